import { parseCsv, type FileProblem } from '../../foundation/files/index.ts';

/** One line of a controller's own values as found or left: a code and what its display shows. */
export interface SheetRow {
  readonly code: string;
  readonly value: string;
  readonly line?: number;
}

/** Reads a `*.sheet.csv`: columns `code` and `value` at least. A decimal comma is a point where `;` or a tab parts the cells. */
export function readSheet(text: string): readonly SheetRow[] | FileProblem {
  const table = parseCsv(text, ['code', 'value']);
  if ('problem' in table) return table;
  return table.rows.map(({ line, cells }) => ({
    code: cells.get('code') ?? '',
    value: cells.get('value') ?? '',
    line,
  }));
}
