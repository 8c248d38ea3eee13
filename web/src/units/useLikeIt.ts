import { onScopeDispose, shallowRef, watch } from 'vue';

const REST_MS = 250;
/** Fewer signs are held by almost everything. */
const LEAST = 3;

/**
 * What is there already and holds what is typed, found a moment after the last key: is it this one? `watched` gives the texts that tell one from another, the surest first;
 * nothing is found while `off`.
 */
export function useLikeIt<Item>(
  watched: () => readonly string[],
  find: (text: string) => Promise<readonly Item[]>,
  off: boolean,
) {
  const found = shallowRef<readonly Item[]>([]);
  let timer: ReturnType<typeof setTimeout> | undefined;
  let latest = 0;
  if (!off)
    watch(
      () =>
        watched()
          .map((text) => text.trim())
          .find((text) => text.length >= LEAST) ?? '',
      (text) => {
        clearTimeout(timer);
        const mine = (latest += 1);
        if (text === '') return void (found.value = []);
        timer = setTimeout(() => {
          find(text)
            // A server that is away finds nothing; the form goes on.
            .catch(() => [])
            .then((items) => mine === latest && (found.value = items))
            .catch(() => undefined);
        }, REST_MS);
      },
    );
  onScopeDispose(() => clearTimeout(timer));
  return found;
}
