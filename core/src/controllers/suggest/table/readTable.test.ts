import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { peatTable } from '../../../../testing/labelled/rows.ts';
import { mendRows, readTable, type TableRow } from './readTable.ts';

const lines = peatTable
  .trim()
  .split('\n')
  .map((line) => line.split('\t'));
const body = lines.slice(1);
/** Oracle: the cells as they stand in the file, in its own order of columns. */
const expected = body.map(([code, description, min, max, unit, standard]) => ({
  code,
  description,
  unit,
  min,
  max,
  default: standard,
}));
const seen = (rows: readonly TableRow[]) =>
  rows.map(({ code, description, unit, min, max, default: standard }) => ({
    code,
    description,
    unit,
    min,
    max,
    default: standard,
  }));
const quoted = (cell: string) => (/[",;\t]/.test(cell) ? `"${cell.replaceAll('"', '""')}"` : cell);

describe('the same table however it was pasted', () => {
  test.each([
    ['tabs with a header', peatTable],
    ['tabs without a header', body.map((c) => c.join('\t')).join('\n')],
    ['commas and quotes', lines.map((c) => c.map(quoted).join(',')).join('\r\n')],
    ['semicolons and a BOM', '\uFEFF' + lines.map((c) => c.map(quoted).join(';')).join('\n')],
    [
      'bars with a rule',
      lines
        .map((c) => `| ${c.join(' | ')} |`)
        .join('\n')
        .replace('\n', '\n|---|---|---|---|---|---|\n'),
    ],
  ])('%s', (_, text) => {
    const table = readTable(text);
    expect(seen(table.rows)).toEqual(expected);
    expect(table.rows.flatMap((r) => r.problems)).toEqual([]);
  });

  test('range in one cell, unit with it', () => {
    const merged = body.map(([code, description, min, max, unit, standard]) => [
      code,
      description,
      `${min}…${max} ${unit}`.trim(),
      standard,
    ]);
    expect(seen(readTable(merged.map((c) => c.join('\t')).join('\n')).rows)).toEqual(expected);
  });

  test('columns in any order, without a header: found by what stands in them (property)', () => {
    fc.assert(
      fc.property(fc.shuffledSubarray([0, 1, 2, 3, 4, 5], { minLength: 6 }), (order) => {
        const text = body.map((cells) => order.map((i) => cells[i]).join('\t')).join('\n');
        expect(seen(readTable(text).rows)).toEqual(expected);
      }),
      { seed: 5, numRuns: 100 },
    );
  });

  test('lines of text', () => {
    const text =
      'SP Set point -40…99 °F (36)\nAc: anti short cycle delay, 0 to 15 min, default 3\nrd Differential 1..20 K 4';
    expect(seen(readTable(text).rows)).toEqual([
      { code: 'SP', description: 'Set point', unit: '°F', min: '-40', max: '99', default: '36' },
      { code: 'Ac', description: 'anti short cycle delay', unit: 'min', min: '0', max: '15', default: '3' },
      { code: 'rd', description: 'Differential', unit: 'K', min: '1', max: '20', default: '4' },
    ]);
  });

  test('decimal commas and typographic minus', () => {
    const [row] = readTable(
      'SP;Set point;−40,5;99,5;°C;3,5\nrd;Differential;0,5;20;K;2\nhy;Other thing here;1;2;K;1',
    ).rows;
    expect(row).toMatchObject({ min: '-40.5', max: '99.5', default: '3.5' });
  });
});

describe('nothing is dropped', () => {
  test('a line with missing cells stands there for mending', () => {
    const table = readTable(
      peatTable.replace(
        'H20\tMinimum off time of compressor\t0\t15\tmin\t3',
        'H20\tMinimum off time of compressor\t3',
      ),
    );
    const row = table.rows.find((r) => r.code === 'H20')!;
    expect(table.rows).toHaveLength(60);
    expect(row.problems).toContain('this line has 3 cells where the table has 6 columns');
  });

  test('two cells that fell into one', () => {
    const table = readTable(peatTable.replace('H20\tMinimum off time', 'H20 Minimum off time'));
    expect(table.rows).toHaveLength(60);
    expect(table.rows.filter((r) => r.problems.length > 0)).toHaveLength(1);
  });

  test('a column nobody can place is kept', () => {
    const text = body
      .slice(0, 8)
      .map((c, i) => [...c, `page ${i % 2} foo`].join('\t'))
      .join('\n');
    expect(JSON.stringify(readTable(text).rows[0])).toContain('page 0 foo');
  });

  test('the same code twice, ends the wrong way round, a factory value outside', () => {
    const text =
      'A\tSet point here\t9\t1\tK\t5\nB\tOther point here\t0\t5\tK\t3\nB\tThird point here\t0\t5\tK\t9\nC\tFourth point here\t0\t5\tK\t2';
    expect(readTable(text).rows.map((r) => r.problems)).toEqual([
      ['the least value 9 is above the greatest, 1'],
      [],
      ['the factory value 9 lies outside 0 to 5', 'the code B stands on line 2 too'],
      [],
    ]);
  });

  test('every pasted line is a row or told as what it is taken for (property)', () => {
    fc.assert(
      fc.property(
        fc.array(fc.stringMatching(/^[A-Za-z0-9 ,;|.\t°-]{1,40}$/), { minLength: 1, maxLength: 20 }),
        (pasted) => {
          const text = pasted.join('\n');
          const kept = pasted.filter((line) => /[A-Za-z0-9]/.test(line));
          const { rows, aside } = readTable(text);
          const told = new Set([...rows, ...aside].map(({ line }) => line));
          expect(told.size).toBe(kept.length);
        },
      ),
      { seed: 6, numRuns: 200 },
    );
  });

  test('nothing, and far too much', () => {
    expect(readTable(' \n ').problem).toContain('expected a parameter table');
    expect(readTable('a b c\n'.repeat(2001)).problem).toContain('expected at most 2000');
  });
});

test('a mended row is judged anew, and its twin too', () => {
  const { rows } = readTable(
    'A\tSet point here\t0\t9\tK\t5\nA\tOther point here\t0\t5\tK\t3\nC\tThird point here\t0\t5\tK\t9',
  );
  expect(rows.map((r) => r.problems.length)).toEqual([0, 1, 1]);
  const mended = mendRows(
    rows,
    new Map([
      [2, { code: 'B' }],
      [3, { default: '4' }],
    ]),
  );
  expect(mended.map((r) => [r.code, r.default, r.problems])).toEqual([
    ['A', '5', []],
    ['B', '3', []],
    ['C', '4', []],
  ]);
});

test('the roles of columns can be said by hand', () => {
  const text = 'x\ty\tz\nq\tr\ts\nt\tu\tv';
  const { rows } = readTable(text, ['description', 'left', 'code']);
  expect(rows[0]).toMatchObject({ code: 'z', description: 'x', left: ['y'] });
});

test('a page of blanks between two words reads as a gap does (it once took a minute)', () => {
  const withBlanks = (blanks: number) => readTable(`SP${' '.repeat(blanks)}Set point 0 9 5`);
  expect(withBlanks(400_000)).toEqual(withBlanks(70));
});
