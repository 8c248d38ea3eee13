import { onScopeDispose, ref, shallowRef } from 'vue';
import type { GoalId } from '@brine/core/judgement/tuning';
import type { Review, Work } from '@brine/contract/routes';
import { ApiError, messageOf, request } from '../shared/api/client.ts';

/** How long between two looks while it runs. */
const ASK_MS = 700;

/** A review that is followed while a server works on it: how far it is, and each unit as it comes through. Goes on after the page was away. */
export function useReview() {
  const work = shallowRef<Work | null>(null);
  const goal = ref<GoalId | null>(null);
  const units = shallowRef<Review['units']>([]);
  const problem = ref<string | null>(null);
  /** Of the last look; none from an earlier review may write into a later one. */
  let id: string | null = null;
  let after = 0;
  let timer: ReturnType<typeof setTimeout> | undefined;
  onScopeDispose(() => {
    id = null;
    clearTimeout(timer);
  });
  const isRunning = (w: Work) => w.state === 'waiting' || w.state === 'running';

  async function look(): Promise<void> {
    clearTimeout(timer);
    const asked = id;
    if (asked === null) return;
    try {
      const { review } = await request('review', { params: { id: asked }, query: { after } });
      if (id !== asked) return;
      const more = review.after > after;
      work.value = review.work;
      goal.value = review.goal;
      if (more) units.value = [...units.value, ...review.units];
      after = review.after;
      problem.value = null;
      // What is told at once has a limit: whatever is left is asked for at once.
      if (more || isRunning(review.work)) timer = setTimeout(() => void look(), more ? 50 : ASK_MS);
    } catch (error) {
      if (id !== asked) return;
      problem.value = messageOf(error);
      if (error instanceof ApiError && error.isTransient) timer = setTimeout(() => void look(), 5 * ASK_MS);
    }
  }
  function follow(reviewId: string): Promise<void> {
    id = reviewId;
    after = 0;
    units.value = [];
    return look();
  }
  async function start(wanted: GoalId | null): Promise<string | null> {
    try {
      work.value = (await request('startReview', { body: { goal: wanted } })).work;
      problem.value = null;
      await follow(work.value.id);
      return id;
    } catch (error) {
      problem.value = messageOf(error);
      return null;
    }
  }
  async function stop(): Promise<void> {
    if (!work.value) return;
    try {
      work.value = (await request('stopWork', { params: { id: work.value.id } })).work;
    } catch (error) {
      problem.value = messageOf(error);
    }
    await look();
  }
  return { work, goal, units, problem, follow, start, stop, isRunning };
}
