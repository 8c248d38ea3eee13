import { defineStore } from 'pinia';
import { computed, onScopeDispose, ref, shallowRef } from 'vue';
import { measuredFrom, type FollowedPoint } from '@brine/core/judgement/following';
import type { BusFollow } from '@brine/contract/routes';
import { messageOf, request } from '../api/client.ts';
import { useJob } from '../job/useJob.ts';

/** How often new points are asked for while a following goes on, and how often whether one began, ms. */
const POINTS_MS = 1000;
const FOLLOWS_MS = 5000;

/** What the control of a job tells over its bus: the newest following, and all of its points that are there. */
const useFollowStore = defineStore('follow', () => {
  const job = ref<string | null>(null);
  const follow = shallowRef<BusFollow | null>(null);
  const points = shallowRef<readonly FollowedPoint[]>([]);
  const problem = ref<string | null>(null);
  const isOn = computed(
    () => follow.value !== null && ['waiting', 'running'].includes(follow.value.work.state),
  );
  const measured = computed(() => measuredFrom(points.value));
  let watchers = 0;
  let timer: ReturnType<typeof setTimeout> | undefined;
  let lastAt: string | undefined;
  let askedFollowsAt = -Infinity;

  async function look(): Promise<void> {
    const id = job.value;
    if (id === null) return;
    if (performance.now() - askedFollowsAt > FOLLOWS_MS) {
      const [newest] = (await request('busFollows', { params: { id } })).follows;
      askedFollowsAt = performance.now();
      if (job.value !== id) return;
      if (newest?.work.id !== follow.value?.work.id) {
        points.value = [];
        lastAt = undefined;
      }
      follow.value = newest ?? null;
    }
    const at = follow.value?.work.id;
    for (let more = at !== undefined; more;) {
      const answer = await request('busPoints', {
        params: { id, follow: at! },
        query: lastAt === undefined ? {} : { after: lastAt },
      });
      if (job.value !== id || follow.value?.work.id !== at) return;
      if (answer.points.length > 0) {
        points.value = [
          ...points.value,
          ...answer.points.map((point) => ({ at: Date.parse(point.at) / 1000, readings: point.readings })),
        ];
        lastAt = answer.points.at(-1)!.at;
      }
      more = answer.more;
    }
  }

  async function round(): Promise<void> {
    try {
      await look();
      problem.value = null;
    } catch (error) {
      problem.value = messageOf(error);
    }
    if (watchers > 0) timer = setTimeout(() => void round(), isOn.value ? POINTS_MS : FOLLOWS_MS);
  }

  /** Looks at once, as after a following was begun or stopped. */
  function lookNow(): void {
    clearTimeout(timer);
    askedFollowsAt = -Infinity;
    void round();
  }

  function attach(id: string): void {
    watchers += 1;
    if (job.value !== id) {
      job.value = id;
      follow.value = null;
      points.value = [];
      lastAt = undefined;
    } else if (watchers > 1) return;
    lookNow();
  }
  function detach(): void {
    watchers -= 1;
    if (watchers === 0) clearTimeout(timer);
  }

  return { job, follow, points, problem, isOn, measured, attach, detach, lookNow };
});

/** What the control of this job tells over its bus, while a page that wants it is open; nothing is asked for a control without readings. */
export function useFollow() {
  const job = useJob();
  const store = useFollowStore();
  /** The control that is followed: the new one where it tells anything, else the old one. */
  const control = computed(() => {
    const tells = (one: typeof job.replacement.value) =>
      one?.registers?.some(({ reading }) => reading) ?? false;
    if (tells(job.replacement.value)) return { definition: job.replacement.value!, pin: job.newPin.value! };
    return tells(job.old.value) ? { definition: job.old.value!, pin: job.oldPin.value! } : null;
  });
  let attached = false;
  const attach = () => {
    if (attached || control.value === null) return;
    attached = true;
    store.attach(job.id);
  };
  onScopeDispose(() => attached && store.detach());
  return { store, control, attach };
}
