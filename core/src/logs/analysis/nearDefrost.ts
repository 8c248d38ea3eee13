import type { CyclePoint } from './cycles.ts';
import type { Defrost } from './defrosts.ts';

/** Starts that follow a defrost say when the drain ended, not where cut-in lies. */
export function undisturbed(
  points: readonly CyclePoint[],
  defrosts: readonly Defrost[],
): readonly CyclePoint[] {
  let before = -Infinity;
  return points.filter((point) => {
    if (!point.start) return true;
    const disturbed = meetsDefrost(defrosts, before, point.at);
    before = point.at;
    return !disturbed;
  });
}

/** A stop with which a defrost begins. */
export const endsInDefrost = (point: CyclePoint, defrosts: readonly Defrost[]) =>
  meetsDefrost(defrosts, point.at - 0.001, point.at + 120);

/** The first defrost that ends after a time: they come in order, so that it is found by halving. */
function firstEndingAfter(defrosts: readonly Defrost[], t: number): Defrost | undefined {
  let [low, high] = [0, defrosts.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (defrosts[middle]!.end > t) high = middle;
    else low = middle + 1;
  }
  return defrosts[low];
}

/** Whether a defrost lies between two times or over one of them. */
export function meetsDefrost(defrosts: readonly Defrost[], from: number, to: number): boolean {
  const next = firstEndingAfter(defrosts, from);
  return next !== undefined && next.start < to;
}
