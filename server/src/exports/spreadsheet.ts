import type { Cell } from '@brine/core/record/handover';

/** Rows of a spreadsheet, its head in bold. Texts are stored as texts, so that none is run as a formula; one that looks like one gets an apostrophe besides. */
export function sheetRows({
  header,
  rows,
}: {
  readonly header: readonly string[];
  readonly rows: readonly (readonly Cell[])[];
}) {
  const text = (cell: string) => (/^[=+@\t\r]|^-(?![\d.]+$)/.test(cell) ? `'${cell}` : cell);
  return [
    header.map((value) => ({ value, type: String, fontWeight: 'bold' as const })),
    ...rows.map((row) =>
      row.map((cell) =>
        cell === null
          ? null
          : typeof cell === 'number'
            ? { value: cell, type: Number }
            : { value: text(cell), type: String },
      ),
    ),
  ];
}
