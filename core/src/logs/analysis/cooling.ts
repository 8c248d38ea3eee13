import type { Log } from '../reading/index.ts';
import { cyclesOf } from './cycles.ts';
import { gridOf } from './grid.ts';

/** A time in which it cooled, or rested. */
export interface Cooling {
  readonly on: boolean;
  readonly from: number;
  readonly to: number;
}

/** When a log's unit cooled: by the compressor column, else from each peak of the air to the valley after it. */
export function coolingOf(log: Log): readonly Cooling[] {
  const { from, stretches, points } = cyclesOf(log, gridOf(log.time));
  if (from === 'compressor') return stretches.map(({ on, from: at, to }) => ({ on, from: at, to }));
  return points.slice(1).map((point, i) => ({ on: points[i]!.start, from: points[i]!.at, to: point.at }));
}
