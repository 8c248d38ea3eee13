import { ref, shallowRef } from 'vue';
import { request, messageOf } from '../api/client.ts';
import type { ControllerLine } from '@brine/contract/routes';

const controllers = shallowRef<readonly ControllerLine[]>([]);
const problem = ref<string | null>(null);
/** True once the library was asked for and is empty: nothing is still to come. */
const isEmpty = ref(false);

/** The library of families, asked for each time a page needs it; the last answer stays while the server is away. */
export function useControllers() {
  void reload();
  return { controllers, problem, isEmpty, reload };
}

/** The number of the next version of a family: one more than the highest there is. */
export const nextVersionOf = (id: string): string =>
  String(
    1 +
      Math.max(
        1,
        ...controllers.value
          .filter((c) => c.id === id)
          .map(({ version }) => Number.parseInt(version, 10) || 1),
      ),
  );

async function reload(): Promise<void> {
  try {
    controllers.value = (await request('controllers')).controllers;
    problem.value = null;
    isEmpty.value = controllers.value.length === 0;
  } catch (error) {
    problem.value = controllers.value.length > 0 ? null : messageOf(error);
  }
}
