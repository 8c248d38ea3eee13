import type { Analysis } from '../analysis/index.ts';
import { median } from '../../foundation/statistics/index.ts';
import type { Log } from '../reading/index.ts';

/** After a switch the supply air has settled within so many seconds; the room has not. */
const SETTLED_S = 180;

/**
 * How much of the swing the air takes within three minutes of a start, 0 to 1: in the room it follows slowly, in the supply air it drops at once. 0 where
 * the log is too coarse to tell or has no compressor column.
 */
export function jumpShare(log: Log, found: Analysis): number {
  const { air, compressor } = log.values;
  if (!air || !compressor || found.step > 90 || found.cutIn === null || found.cutOut === null) return 0;
  const rows = Math.max(1, Math.round(SETTLED_S / found.step));
  const shares: number[] = [];
  for (let i = 1; i + rows < air.length; i += 1) {
    if (!(compressor[i]! === 1 && compressor[i - 1]! === 0)) continue;
    const swing = air[i - 1]! - lowestAfter(air, compressor, i);
    if (swing > 0.5) shares.push((air[i - 1]! - air[i + rows - 1]!) / swing);
  }
  return shares.length < 3 ? 0 : median(shares);
}

function lowestAfter(air: Float64Array, compressor: Float64Array, start: number): number {
  let lowest = air[start]!;
  for (let i = start; i < air.length && compressor[i] === 1; i += 1) if (air[i]! < lowest) lowest = air[i]!;
  return lowest;
}
