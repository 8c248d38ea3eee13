import type { Grid } from './grid.ts';

/** A time in which an output stood one way. */
export interface Stretch {
  readonly on: boolean;
  /** The first row of it, and the first row after it. */
  readonly first: number;
  readonly end: number;
  /** Seconds; where it changed between two rows, half way. */
  readonly from: number;
  readonly to: number;
  /** False where a gap or the log's end cuts it: its length is not known. */
  readonly whole: boolean;
}

/** The stretches of a column of 0 and 1. A missing value or a gap breaks one off. */
export function stretchesOf(flag: Float64Array, time: Float64Array, grid: Grid): readonly Stretch[] {
  const stretches: Stretch[] = [];
  const n = flag.length;
  let first = 0;
  while (first < n) {
    if (flag[first] !== flag[first]) {
      first += 1;
      continue;
    }
    let end = first + 1;
    while (end < n && flag[end] === flag[first] && !grid.gapBefore.has(end)) end += 1;
    const cutLeft = first === 0 || grid.gapBefore.has(first) || flag[first - 1] !== flag[first - 1];
    const cutRight = end === n || grid.gapBefore.has(end) || flag[end] !== flag[end];
    stretches.push({
      on: flag[first]! > 0.5,
      first,
      end,
      from: cutLeft ? time[first]! : (time[first - 1]! + time[first]!) / 2,
      to: cutRight ? time[end - 1]! : (time[end - 1]! + time[end]!) / 2,
      whole: !cutLeft && !cutRight,
    });
    first = end;
  }
  return stretches;
}
