import { describe, expect, test } from '@jest/globals';
import { printedRows } from '../../../../testing/booklets.ts';
import type { PdfText } from '../../../../testing/pdf.ts';
import { LETTER, setTable, type Setting } from '../../../../testing/typesetter.ts';
import { readTable } from '../../suggest/index.ts';
import { layOut } from './layOut.ts';
import type { TextPiece } from './piece.ts';

const HEIGHT = 9;
const rows = printedRows(30, 'letters');
const heading = ['Par.', 'Description', 'Min', 'Max', 'U.M.', 'Def.'];
const cells = [heading, ...rows.map((r) => [r.code, r.description, r.min, r.max, r.unit, r.default])];
const lefts = (widths: readonly number[], gap: number) =>
  widths.reduce<Setting['columns'][number][]>((columns, width) => {
    const last = columns.at(-1);
    return [...columns, { left: last ? last.left + last.width + gap : 40, width }];
  }, []);
const wide = lefts([30, 330, 30, 30, 30, 30], 8);
const narrow = lefts([30, 110, 30, 30, 30, 30], 8);

/** What a PDF says of texts: each piece with its width. */
const pieces = (texts: readonly PdfText[]): readonly TextPiece[] =>
  texts.map(({ text, x, y }) => ({ text, x, y, width: text.length * LETTER, height: HEIGHT }));
/** The same as a reader of letters says it: word by word. */
const words = (texts: readonly PdfText[]): readonly TextPiece[] =>
  texts.flatMap(({ text, x, y }) =>
    [...text.matchAll(/\S+/g)].map((word) => ({
      text: word[0],
      x: x + word.index * LETTER,
      y,
      width: word[0].length * LETTER - 1,
      height: HEIGHT,
    })),
  );

const figures = (r: {
  readonly code: string;
  readonly min: string;
  readonly max: string;
  readonly default: string;
  readonly unit: string;
}) => [r.code, r.min, r.max, r.default, r.unit].join(' ');
const letters = (text: string) => text.toLowerCase().replace(/[^a-z0-9]/g, '');

describe('a table set in columns is read as it was before it was set', () => {
  // Oracle: the labelled rows themselves.
  const settings: readonly (readonly [string, Setting])[] = [
    ['wide columns', { columns: wide, leading: 10, between: 2, align: 'top' }],
    ['narrow, cells level with the first line', { columns: narrow, leading: 10, between: 4, align: 'top' }],
    ['narrow, cells around the middle', { columns: narrow, leading: 10, between: 4, align: 'middle' }],
    [
      'narrow, around the middle, hardly any room between rows',
      { columns: narrow, leading: 10, between: 1.5, align: 'middle' },
    ],
  ];
  for (const [name, setting] of settings)
    test.each([
      ['pieces', pieces],
      ['words', words],
    ] as const)(`${name}: %s`, (_, as) => {
      // Two pages, since a table goes on over pages; running text before and after.
      const [one, two] = [setTable(cells.slice(0, 17), setting, 120), setTable(cells.slice(17), setting, 60)];
      const before = [
        { text: 'Instruction manual', x: 40, y: 40 },
        {
          text: 'Hold the key for five seconds. Do this only with the compressor stopped and nobody near it.',
          x: 40,
          y: 70,
        },
      ];
      const { text, lines } = layOut([
        { page: 3, pieces: as([...before, ...one.texts]) },
        {
          page: 4,
          pieces: as([
            ...two.texts,
            { text: '* Only on models with a clock and a second probe input.', x: 40, y: two.end + 30 },
          ]),
        },
      ]);
      const read = readTable(text);
      expect(read.rows.map(figures)).toEqual(rows.map(figures));
      expect(read.rows.map((r) => letters(r.description))).toEqual(rows.map((r) => letters(r.description)));
      // Where each row was read.
      for (const [i, row] of read.rows.entries()) {
        const at = lines[row.line - 1]!;
        expect([row.code, at.page]).toEqual([row.code, i < 16 ? 3 : 4]);
        const there = [...one.texts, ...two.texts].find(({ text: printed }) => printed === row.code)!;
        expect(at.top <= there.y && at.bottom >= there.y + HEIGHT).toBe(true);
      }
    });
});

describe('what is no table', () => {
  test('running text stays lines of words', () => {
    const texts = [
      'First hold the key.',
      'Then let it go and wait for the code.',
      'That is all there is to it.',
    ].map((text, i) => ({ text, x: 40, y: 40 + 12 * i }));
    expect(layOut([{ page: 1, pieces: words(texts) }]).text).toBe(texts.map(({ text }) => text).join('\n'));
  });

  test('no words, no text', () => {
    expect(layOut([]).text).toBe('');
    expect(layOut([{ page: 1, pieces: [] }])).toEqual({ text: '', lines: [] });
  });

  test('a word that was broken by a letter of its own kind comes together', () => {
    const broken = [
      { text: 'Di', x: 40, y: 40, width: 9, height: HEIGHT },
      { text: 'ff', x: 49, y: 40, width: 6, height: HEIGHT },
      { text: 'erential', x: 55.2, y: 40, width: 30, height: HEIGHT },
    ];
    expect(layOut([{ page: 1, pieces: broken }]).text).toBe('Differential');
  });
});
