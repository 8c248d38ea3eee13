import { readFileSync } from 'node:fs';
import { isFileProblem, parseCsv } from '../../src/foundation/files/index.ts';
import type { SettingId } from '../../src/foundation/settings/index.ts';
import type { BookletRow } from '../../src/controllers/suggest/index.ts';

/** A row of a booklet with the setting it means; null where it fits nothing. */
export interface LabelledRow extends BookletRow {
  readonly setting: SettingId | null;
}

/** One half of the labelled rows. For tests only. */
export function labelledRows(half: 'test' | 'practice'): readonly LabelledRow[] {
  const table = parseCsv(readFileSync(new URL(`./${half}.csv`, import.meta.url), 'utf8'), [
    'description',
    'setting',
  ]);
  if (isFileProblem(table)) throw new Error(table.message);
  return table.rows.map(({ cells }) => {
    const at = (column: string) => cells.get(column) ?? '';
    return {
      description: at('description'),
      unit: at('unit'),
      min: at('min'),
      max: at('max'),
      default: at('default'),
      setting: (at('setting') || null) as SettingId | null,
    };
  });
}

/** The parameter table of an invented booklet, 60 rows, tab-separated. */
export const peatTable = readFileSync(
  new URL('../../../docs/formats/examples/peat-6.table.tsv', import.meta.url),
  'utf8',
);
