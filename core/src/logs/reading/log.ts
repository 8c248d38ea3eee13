import type { ValueRole } from './columns.ts';

/** A log in memory: true time in order, one reading a row and column. A missing reading or failed probe is NaN. */
export interface Log {
  /** Seconds, since 1970 or since the first row; strictly rising. */
  readonly time: Float64Array;
  /** °C, 0 and 1, %, V, l/min. */
  readonly values: Readonly<Partial<Record<ValueRole, Float64Array>>>;
  /** What its times are: true time of a zone or with offsets, clock time as written, or seconds since the start. */
  readonly clock: LogClock;
}

export type LogClock =
  | { readonly kind: 'true'; readonly zone: string | null }
  | { readonly kind: 'asWritten' }
  | { readonly kind: 'elapsed' };

/** What was put right while reading, to be told. */
export interface Tidied {
  readonly duplicates: number;
  readonly unsorted: number;
  /** Rows after which a repeated hour was put in order. */
  readonly repeatedHours: number;
  /** Lines that could not be read, the first few with why. */
  readonly unreadable: number;
  readonly problems: readonly { readonly line: number; readonly why: string }[];
}
