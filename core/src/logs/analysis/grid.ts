import { median } from '../../foundation/statistics/index.ts';

/** A stretch without rows. */
export interface Gap {
  readonly from: number;
  readonly to: number;
}

/** How a log is sampled. */
export interface Grid {
  /** The usual time from row to row, s; NaN with a single row. */
  readonly step: number;
  readonly gaps: readonly Gap[];
  /** Rows before which a gap lies. */
  readonly gapBefore: ReadonlySet<number>;
  /** Time that rows cover, gaps left out, s. */
  readonly covered: number;
}

/** A gap is more than so many usual steps. */
const GAP_STEPS = 2.5;
const MOST_STEPS_LOOKED_AT = 20001;

/** Usual step and gaps of rows in order of time. */
export function gridOf(time: Float64Array): Grid {
  const n = time.length;
  if (n < 2) return { step: Number.NaN, gaps: [], gapBefore: new Set(), covered: 0 };
  const stride = Math.max(1, Math.floor((n - 1) / MOST_STEPS_LOOKED_AT));
  const steps: number[] = [];
  for (let i = 1; i < n; i += stride) steps.push(time[i]! - time[i - 1]!);
  const step = median(steps);
  const gaps: Gap[] = [];
  const gapBefore = new Set<number>();
  let lost = 0;
  for (let i = 1; i < n; i += 1) {
    const apart = time[i]! - time[i - 1]!;
    if (apart <= GAP_STEPS * step) continue;
    gaps.push({ from: time[i - 1]!, to: time[i]! });
    gapBefore.add(i);
    lost += apart;
  }
  return { step, gaps, gapBefore, covered: time[n - 1]! - time[0]! - lost };
}
