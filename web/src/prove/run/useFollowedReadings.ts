import { computed, ref, watch } from 'vue';
import { READING_EVERY_MS } from './readingEvery.ts';
import { useFollowing } from '../../shared/follow/useFollowing.ts';

const EVERY = READING_EVERY_MS / 1000;
/** So many at once, where a page was away for hours. */
const MOST = 120;

/** Air that the control tells over its bus, handed on once a minute while it is wanted: also what it told while no page was open. */
export function useFollowedReadings(
  /** From when on, in ms; null: not wanted. */
  since: () => number | null,
  /** When the last reading was written down, in ms. */
  lastTaken: () => number | null,
  take: (readings: readonly { readonly celsius: number; readonly readAt: string }[]) => Promise<unknown>,
) {
  const { following } = useFollowing();
  const writes = ref(true);
  const here = computed(() => following.isOn && since() !== null);
  let busy = false;
  watch(
    () => [following.points, writes.value, since()] as const,
    async ([points]) => {
      const from = since();
      if (busy || from === null || !writes.value) return;
      let last = Math.max(from / 1000 - EVERY, (lastTaken() ?? -Infinity) / 1000);
      const due = points.flatMap(({ at, readings }) => {
        const air = readings?.air;
        if (typeof air !== 'number' || at - last < EVERY || at < from / 1000) return [];
        last = at;
        return [{ celsius: air, readAt: new Date(at * 1000).toISOString() }];
      });
      if (due.length === 0) return;
      busy = true;
      await take(due.slice(0, MOST)).finally(() => (busy = false));
    },
  );
  return { here, writes };
}
