import { computed, ref, shallowRef } from 'vue';
import { measuredFrom, type FollowedPoint } from '@brine/core/judgement/following';
import type { BusFollow } from '@brine/contract/routes';
import { messageOf, request } from '../api/client.ts';

/** How often new points are asked for while a following goes on, and how often whether one began, ms. */
const POINTS_MS = 1000;
const FOLLOWS_MS = 5000;

/** What the control of one job tells over its bus: the newest following, and all of its points that are there. It is asked for while somebody looks. */
export function followingOf(job: string) {
  const follow = shallowRef<BusFollow | null>(null);
  const points = shallowRef<readonly FollowedPoint[]>([]);
  const problem = ref<string | null>(null);
  const isOn = computed(
    () => follow.value !== null && ['waiting', 'running'].includes(follow.value.work.state),
  );
  const measured = computed(() => measuredFrom(points.value));
  let watchers = 0;
  let lastAt: string | undefined;
  let followsDue = 0;
  let timer: ReturnType<typeof setTimeout> | undefined;
  /** Each look begun anew ends the ones before it: what comes late must not be added twice. */
  let round = 0;

  async function look(mine: number): Promise<void> {
    if (performance.now() >= followsDue) {
      const [newest = null] = (await request('busFollows', { params: { id: job } })).follows;
      if (mine !== round) return;
      followsDue = performance.now() + FOLLOWS_MS;
      if (newest?.work.id !== follow.value?.work.id) [points.value, lastAt] = [[], undefined];
      follow.value = newest;
    }
    const at = follow.value?.work.id;
    for (let more = at !== undefined; more;) {
      const answer = await request('busPoints', {
        params: { id: job, follow: at! },
        query: lastAt === undefined ? {} : { after: lastAt },
      });
      if (mine !== round) return;
      if (answer.points.length > 0) {
        const added = answer.points.map(({ at: told, readings }) => ({
          at: Date.parse(told) / 1000,
          readings,
        }));
        points.value = [...points.value, ...added];
        lastAt = answer.points.at(-1)!.at;
      }
      more = answer.more;
    }
  }

  async function rounds(mine: number): Promise<void> {
    try {
      await look(mine);
      if (mine === round) problem.value = null;
    } catch (error) {
      if (mine === round) problem.value = messageOf(error);
    }
    if (mine === round && watchers > 0)
      timer = setTimeout(() => void rounds(mine), isOn.value ? POINTS_MS : FOLLOWS_MS);
  }

  /** Looks at once, as after a following was begun or stopped. */
  function lookNow(): void {
    clearTimeout(timer);
    followsDue = 0;
    round += 1;
    void rounds(round);
  }
  /** Somebody looks, until what is given back is called. */
  function attach(): () => void {
    watchers += 1;
    if (watchers === 1) lookNow();
    return () => {
      watchers -= 1;
      if (watchers > 0) return;
      clearTimeout(timer);
      round += 1;
    };
  }

  return { follow, points, problem, isOn, measured, lookNow, attach };
}
