import type { LogRow } from './readLog.ts';

/** A stretch of a log without a reading: the last one was held through it. */
export interface LogGap {
  readonly line: number;
  readonly hours: number;
}

const LONG_S = 3600;

/** Gaps of an hour and more. A log that writes a row only where something changed has them by nature, so they are told and not refused. */
export function logGaps(rows: readonly LogRow[]): readonly LogGap[] {
  return rows.flatMap((row, i) => {
    const seconds = i === 0 ? 0 : row.t - rows[i - 1]!.t;
    return seconds >= LONG_S ? [{ line: row.line, hours: seconds / 3600 }] : [];
  });
}

/** “line 4: no reading for 10 h before it; the last one was held. 2 more such gaps.” Empty without one. */
export function gapSentence(gaps: readonly LogGap[]): string {
  const [first] = gaps;
  if (!first) return '';
  const more = gaps.length - 1;
  return `line ${first.line}: no reading for ${Math.round(first.hours * 10) / 10} h before it; the last one was held.${more > 0 ? ` ${more} more such ${more === 1 ? 'gap' : 'gaps'}.` : ''}`;
}
