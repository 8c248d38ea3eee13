import type { Log } from '../reading/index.ts';
import type { Grid } from './grid.ts';
import { median, middleMean, quantile, spreadOf, straightLine } from '../../foundation/statistics/index.ts';
import { stretchesOf, type Stretch } from './stretches.ts';
import { switchPoints } from './switching.ts';
import { noiseOf, turnsOf } from './turns.ts';

/** A start or stop of cooling with the air at that moment. */
export interface CyclePoint {
  readonly start: boolean;
  readonly at: number;
  readonly celsius: number;
}

/** The cycling of a log. */
export interface Cycles {
  readonly from: 'compressor' | 'air';
  readonly points: readonly CyclePoint[];
  readonly stretches: readonly Stretch[];
  /** Rows a usual cycle spans. */
  readonly rowsPerCycle: number;
  /** Why cycles cannot be read, or null. */
  readonly tooCoarse: string | null;
}

/** Fewer rows a cycle than this tell no cut-in (as agreed for this format). */
export const LEAST_ROWS = 6;
/** Of the runs so many must cool and of the rests so many warm, or rows and cycles do not belong together. */
const SENSIBLE = 0.75;

/**
 * Cycles of a log: from the compressor column where there is one, else from the turns of the air. Where a cycle spans too few rows, or the air rises in
 * runs as often as it falls (rows that miss whole cycles), it says so.
 */
export function cyclesOf(log: Log, grid: Grid): Cycles {
  const { air, compressor } = log.values;
  if (compressor) {
    const stretches = stretchesOf(compressor, log.time, grid);
    const points = air ? switchPoints(stretches, air, log.time) : [];
    const rowsPerCycle = rowsFrom(
      stretches.filter((s) => s.on).map((s) => s.from),
      grid,
    );
    return {
      from: 'compressor',
      points,
      stretches,
      rowsPerCycle,
      tooCoarse: coarse(rowsPerCycle) ?? (air ? contrary(stretches, air, log.time) : null),
    };
  }
  if (!air) return { from: 'air', points: [], stretches: [], rowsPerCycle: Number.NaN, tooCoarse: null };
  const turns = turnsOf(air, log.time, grid);
  const rowsPerCycle = rowsFrom(
    turns.filter((t) => t.peak).map((t) => t.at),
    grid,
  );
  return {
    from: 'air',
    points: turns.map((t) => ({ start: t.peak, at: t.at, celsius: t.celsius })),
    stretches: [],
    rowsPerCycle,
    tooCoarse: coarse(rowsPerCycle) ?? jumpy(air),
  };
}

function rowsFrom(starts: readonly number[], grid: Grid): number {
  return median(starts.slice(1).map((t, i) => t - starts[i]!)) / grid.step;
}

function coarse(rows: number): string | null {
  return rows < LEAST_ROWS
    ? `too coarse: a cycle spans ${rows.toFixed(1)} rows, at least ${LEAST_ROWS} are needed`
    : null;
}

/** A swing that counts, K, and how many noises it must hold. */
const SWING = 0.8;
const NOISES = 4;

function jumpy(air: Float64Array): string | null {
  const readings = air.filter((t) => t === t);
  const swing = quantile(readings, 0.95) - quantile(readings, 0.05);
  return swing > SWING && swing < NOISES * noiseOf(air)
    ? 'too coarse: from row to row the air jumps by as much as it swings'
    : null;
}

function contrary(stretches: readonly Stretch[], air: Float64Array, time: Float64Array): string | null {
  let [right, all] = [0, 0];
  for (const { on, first, end } of stretches) {
    // The first row may still follow what was before.
    if (end - first < 4) continue;
    const x: number[] = [];
    const y: number[] = [];
    for (let i = first + 1; i < end; i += 1)
      if (air[i] === air[i]) {
        x.push(time[i]! - time[first]!);
        y.push(air[i]!);
      }
    if (x.length < 2) continue;
    all += 1;
    if (straightLine(x, y).slope < 0 === on) right += 1;
  }
  return all >= 10 && right / all < SENSIBLE
    ? `too coarse: in ${all - right} of ${all} runs and off-cycles the air moves against the compressor, so that the rows miss whole cycles`
    : null;
}

/** A level of the band with how sure it is. */
export interface Level {
  readonly celsius: number;
  /** One standard error, K. */
  readonly error: number;
  readonly spread: number;
  readonly count: number;
}

/** Cut-in or cut-out from many starts or stops: the middle half counts, so that starts after a defrost or an open door do not. */
export function levelOf(points: readonly CyclePoint[]): Level | null {
  if (points.length < 2) return null;
  const readings = points.map((p) => p.celsius);
  const spread = spreadOf(readings);
  return {
    celsius: middleMean(readings),
    spread,
    error: spread / Math.sqrt(readings.length),
    count: readings.length,
  };
}
