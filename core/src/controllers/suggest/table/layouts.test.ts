import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, test } from '@jest/globals';
import { layouts, printedRows } from '../../../../testing/booklets.ts';
import { draftRows } from '../draft/draftRow.ts';
import { readTable, type TableRow } from './readTable.ts';

const number = (text: string) => (text === '' ? '' : String(Number(text)));
const letters = (text: string) => text.toLowerCase().replace(/[^a-z0-9]/g, '');
const figures = (row: Pick<TableRow, 'code' | 'min' | 'max' | 'default'>) => [
  row.code,
  number(row.min),
  number(row.max),
  number(row.default),
];

describe('one table in ten layouts', () => {
  // Oracle: the labelled rows themselves, before they were printed.
  for (const codes of ['letters', 'words', 'numbers'] as const)
    test.each(layouts.map((layout) => [layout.name, layout] as const))(
      `%s, codes of ${codes}: every row with its figures and words, none invented`,
      (_, layout) => {
        const printed = printedRows(40, codes);
        const { rows, aside } = readTable(layout.print(printed));
        expect(rows.map(figures)).toEqual(printed.map(figures));
        for (const [i, row] of rows.entries()) {
          expect(letters(row.description)).toContain(letters(printed[i]!.description).slice(0, 20));
          expect([row.code, row.unit.replace('-', '')]).toEqual([row.code, printed[i]!.unit]);
        }
        // What is no row is told, not dropped.
        expect(new Set(aside.map((a) => a.line)).size).toBeLessThanOrEqual(aside.length);
      },
    );

  test('groups stand with the rows below them', () => {
    const printed = printedRows(20, 'letters');
    const { rows } = readTable(layouts[2]!.print(printed));
    expect([rows[0]!.folder, rows.at(-1)!.folder]).toEqual(['REGULATION', 'DEFROST']);
  });
});

const folder = new URL('../../../../testing/labelled/booklets/', import.meta.url);
const read = (name: string) => readFileSync(new URL(name, folder), 'utf8');
const booklets = readdirSync(folder)
  .filter((name) => name.endsWith('.txt'))
  .map((name) => name.replace('.txt', ''));

/** A row's name: its code, or what it says where the booklet has no codes. */
const nameOf = (row: { readonly code: string; readonly description: string }) => row.code || row.description;

/** What a person reads in the booklet: code (or words), setting, and the figures of rows that hold a number. */
const readByAPerson = (name: string) =>
  read(`${name}.csv`)
    .trim()
    .split('\n')
    .slice(1)
    .map((line) => {
      const [code = '', setting = '', min = '', max = '', standard = ''] = line.split(',');
      return { code, setting, min, max, default: standard };
    });

describe('booklets written by hand, each in another layout and voice (oracle: read by a person)', () => {
  test.each(booklets)('%s: its rows and no others, in its order', (name) => {
    const { rows, aside } = readTable(read(`${name}.txt`));
    expect(rows.map(nameOf)).toEqual(readByAPerson(name).map((row) => row.code));
    expect(aside.length).toBeGreaterThan(0);
  });

  test.each(booklets)('%s: the figures', (name) => {
    const byCode = new Map(
      readTable(read(`${name}.txt`)).rows.map((row) => [nameOf(row), { ...row, code: nameOf(row) }]),
    );
    for (const row of readByAPerson(name))
      if (row.min + row.max + row.default !== '')
        expect(figures(byCode.get(row.code)!)).toEqual(figures(row));
  });

  test('the settings: 92 of 100 right, and hardly any surely wrong', () => {
    let [all, right, surelyWrong] = [0, 0, 0];
    for (const name of booklets) {
      const rows = new Map(draftRows(readTable(read(`${name}.txt`)).rows).map((row) => [nameOf(row), row]));
      for (const { code, setting } of readByAPerson(name)) {
        const row = rows.get(code)!;
        all += 1;
        if ((row.setting ?? '') === setting) right += 1;
        else if (row.score >= 0.8) surelyWrong += 1;
      }
    }
    expect([right / all >= 0.92, surelyWrong / all <= 0.02]).toEqual([true, true]);
  });
});
