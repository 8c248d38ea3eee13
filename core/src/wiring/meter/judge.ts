import { isWholeWinding, type Ground } from '../readings/index.ts';
import type { MeterUnit } from '../readings/index.ts';
import { misfitOf } from '../readings/index.ts';

/** How a reading is judged against its row; a winding only as whole or not. */
export function judgeReading(
  row: { readonly unit: MeterUnit; readonly expected: number; readonly ground?: Ground },
  read: number,
): 'right' | 'off' {
  if (row.unit === 'ohm' && row.ground === 'winding')
    return isWholeWinding(row.expected, read) ? 'right' : 'off';
  return misfitOf(row.unit, row.expected, read) <= 1 ? 'right' : 'off';
}
