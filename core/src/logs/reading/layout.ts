import type { ColumnRole } from './columns.ts';
import type { TimeOrder } from './readTime.ts';

/** What one column of a file is taken for; null: left out. */
export interface ColumnUse {
  readonly name: string;
  readonly role: ColumnRole | null;
  readonly fahrenheit: boolean;
}

/** How a file is to be read. Guessed, then mended by a person. Plain data, kept with the log. */
export interface LogLayout {
  readonly delimiter: string;
  readonly decimal: '.' | ',';
  /** Lines before the first row of readings: title lines and header. */
  readonly skipLines: number;
  readonly columns: readonly ColumnUse[];
  readonly order: TimeOrder;
  /** IANA zone that clock times belong to; null: as written. */
  readonly zone: string | null;
}
