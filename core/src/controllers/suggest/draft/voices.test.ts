import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, test } from '@jest/globals';
import { readTable } from '../table/readTable.ts';
import { draftRows } from './draftRow.ts';

const folder = new URL('../../../../testing/labelled/voices/', import.meta.url);
const read = (name: string) => readFileSync(new URL(name, folder), 'utf8');
const voices = readdirSync(folder)
  .filter((name) => name.endsWith('.txt'))
  .map((name) => name.replace('.txt', ''));

/** What a person reads in the booklet: each code, and its setting where it has one. */
const labelled = (name: string) =>
  read(`${name}.csv`)
    .trim()
    .split('\n')
    .slice(1)
    .map((line) => {
      const [code = '', setting = ''] = line.split(',');
      return { code, setting: setting === '' ? null : setting };
    });

describe('booklets in other voices: for owners, terse, in sentences, in two languages, with dots to the value', () => {
  // Oracle: read by a person, row by row. The words were grown from these voices, so this holds them; it is no measure of booklets not seen yet.
  test.each(voices)(
    '%s: rows as printed, none invented, none swallowed, settings as a person reads them',
    (name) => {
      const wanted = labelled(name);
      const rows = draftRows(readTable(read(`${name}.txt`)).rows);
      expect(rows.map(({ code }) => code)).toEqual(wanted.map(({ code }) => code));
      const wrong = wanted.filter(({ setting }, i) => rows[i]!.setting !== setting);
      expect(wrong.length).toBeLessThanOrEqual(1);
      // What is said to be sure is right.
      for (const { code, setting } of wrong)
        expect([code, (rows.find((row) => row.code === code)?.score ?? 0) < 0.8 || setting === null]).toEqual(
          [code, true],
        );
    },
  );
});
