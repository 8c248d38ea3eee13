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

  const page = (n: number) =>
    request('jobs', {
      query: {
        search: cutText(search.value, LONGEST_SEARCH),
        archived: archived.value,
        // What is usual is not said: its answer is the one that is kept on the device.
        ...(state.value !== 'all' && { state: state.value }),
        ...(order.value !== 'newest' && { order: order.value }),
        ...(state.value === 'late' && { today: localDate(new Date().toISOString()) }),
        ...(n > 0 && { page: n }),
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
    return answer.jobs;
  };
  let pages = 1;
  const reload = (): Promise<void> => {
    pages = 1;
    return load(async () => counted(await page(0)));
  };
  const more = (): Promise<void> =>
    load(async () => {
      const next = counted(await page(pages));
      pages += 1;
      const known = new Set(items.value.map(({ id }) => id));
      return [...items.value, ...next.filter(({ id }) => !known.has(id))];
    });

  watch([search, archived, state, order], () => {
    clearTimeout(timer);
    timer = setTimeout(() => void reload(), REST_MS);
  });
  useChanges(() => {
    // Whoever reads further down is not sent back to the first page.
    if (pages > 1) return;
    clearTimeout(timer);
    timer = setTimeout(() => void reload(), GATHER_MS);
  });
  onScopeDispose(() => clearTimeout(timer));
  void reload();
  return { search, archived, state, order, items, total, problem, loading, reload, more };
}
