import type { StorageLimits } from '../../../machines/simulation/index.ts';

/** The longest time on end outside the limits, s. */
export function longestOutside(
  course: readonly number[],
  step: number,
  { min, max }: Pick<StorageLimits, 'min' | 'max'>,
): number {
  let [longest, run] = [0, 0];
  for (const t of course) {
    run = (max !== null && t > max) || (min !== null && t < min) ? run + 1 : 0;
    longest = Math.max(longest, run);
  }
  return longest * step;
}
