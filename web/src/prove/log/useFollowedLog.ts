import { computed } from 'vue';
import { localSecond } from '../../shared/display/localTime.ts';
import { followedCsv } from '../../shared/follow/followedFiles.ts';
import { useFollowing } from '../../shared/follow/useFollowing.ts';

/** Fewer answers tell nothing. */
const FEWEST = 3;

/** What the control told over its bus, as the file a logger would give; null while there is too little. */
export function useFollowedLog() {
  const { following } = useFollowing();
  return computed(() => {
    const { points } = following;
    if (points.filter(({ readings }) => readings !== null).length < FEWEST) return null;
    return () => {
      const began = localSecond(new Date(points[0]!.at * 1000).toISOString()).replace(/[ :]/g, '-');
      return new File([followedCsv(points)], `bus-${began}.csv`, { type: 'text/csv' });
    };
  });
}
