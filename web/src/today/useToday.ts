import { computed, onScopeDispose, ref, shallowRef } from 'vue';
import type { AnswerOf, api } from '@brine/contract/routes';
import { messageOf, request } from '../shared/api/client.ts';
import { localDate } from '../shared/display/localTime.ts';
import { useChanges } from '../shared/live/changes.ts';

type Today = AnswerOf<typeof api.today>;

/** Without word of a change it is asked for this often. */
const ROUND_MS = 60_000;
/** Changes come in bunches: one question for all of them, and the next no sooner than after this. */
const GATHER_MS = 80;
const APART_MS = 1000;

/** The company's day as the server has it, up to date without reload. */
export function useToday() {
  const today = shallowRef<Today | null>(null);
  const problem = ref<string | null>(null);
  const day = ref(localDate(new Date().toISOString()));

  let loadedAt = -Infinity;
  async function load(): Promise<void> {
    loadedAt = performance.now();
    day.value = localDate(new Date().toISOString());
    try {
      today.value = await request('today');
      problem.value = null;
    } catch (error) {
      problem.value = messageOf(error);
    }
  }
  let soon: ReturnType<typeof setTimeout> | undefined;
  useChanges(() => {
    clearTimeout(soon);
    const wait = Math.max(GATHER_MS, loadedAt + APART_MS - performance.now());
    soon = setTimeout(() => void load(), wait);
  });
  const round = setInterval(() => void load(), ROUND_MS);
  onScopeDispose(() => {
    clearInterval(round);
    clearTimeout(soon);
  });
  void load();
  return { today, problem, day, jobs: computed(() => today.value?.jobs ?? []), load };
}
