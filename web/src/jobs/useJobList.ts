import { onScopeDispose, ref, shallowRef, watch } from 'vue';
import type { Job, JobOrder, JobState } from '@brine/contract/routes';
import { messageOf, request } from '../shared/api/client.ts';
import { localDate } from '../shared/display/localTime.ts';
import { useChanges } from '../shared/live/changes.ts';
import { cutText } from '../shared/ui/cutText.ts';

const LONGEST_SEARCH = 100;
const REST_MS = 200;
/** Changes come in bunches. */
const GATHER_MS = 1200;

/** The jobs that are looked for, page after page, with how many there are; up to date without reload. */
export function useJobList(first: {
  readonly search: string;
  readonly state: JobState;
  readonly order: JobOrder;
}) {
  const search = ref(first.search);
  const archived = ref(false);
  const state = ref<JobState>(first.state);
  const order = ref<JobOrder>(first.order);
  const items = shallowRef<readonly Job[]>([]);
  const total = ref(0);
  const problem = ref<string | null>(null);
  const loading = ref(true);
  let latest = 0;
  let timer: ReturnType<typeof setTimeout> | undefined;

  /** Where the page after those that are here starts. */
  let next: string | null = null;
  const page = (after: string | null) =>
    request('jobs', {
      query: {
        search: cutText(search.value, LONGEST_SEARCH),
        archived: archived.value,
        // What is usual is not said: its answer is the one that is kept on the device.
        ...(state.value !== 'all' && { state: state.value }),
        ...(order.value !== 'newest' && { order: order.value }),
        ...(state.value === 'late' && { today: localDate(new Date().toISOString()) }),
        ...(after !== null && { after }),
      },
    });

  async function load(work: () => Promise<readonly Job[]>): Promise<void> {
    const mine = (latest += 1);
    try {
      const jobs = await work();
      if (mine !== latest) return;
      items.value = jobs;
      problem.value = null;
    } catch (error) {
      if (mine === latest) problem.value = messageOf(error);
    } finally {
      loading.value = false;
    }
  }
  const counted = (answer: Awaited<ReturnType<typeof page>>): readonly Job[] => {
    // An answer kept before there were counts has none.
    total.value = (answer as { readonly total?: number }).total ?? answer.jobs.length;
    next = (answer as { readonly next?: string | null }).next ?? null;
    return answer.jobs;
  };
  let further = false;
  const reload = (): Promise<void> => {
    further = false;
    return load(async () => counted(await page(null)));
  };
  const more = (): Promise<void> =>
    load(async () => {
      if (next === null) return items.value;
      const jobs = counted(await page(next));
      further = true;
      // A job that was changed meanwhile may stand elsewhere in the order now.
      const known = new Set(items.value.map(({ id }) => id));
      return [...items.value, ...jobs.filter(({ id }) => !known.has(id))];
    });

  watch([search, archived, state, order], () => {
    clearTimeout(timer);
    timer = setTimeout(() => void reload(), REST_MS);
  });
  useChanges(() => {
    // Whoever reads further down is not sent back to the first page.
    if (further) return;
    clearTimeout(timer);
    timer = setTimeout(() => void reload(), GATHER_MS);
  });
  onScopeDispose(() => clearTimeout(timer));
  void reload();
  return { search, archived, state, order, items, total, problem, loading, reload, more };
}
