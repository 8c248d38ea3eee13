import { expect, test } from '@jest/globals';
import { printedRows } from '../../../../testing/booklets.ts';
import { layOut } from '../layout/layOut.ts';
import type { TextPiece } from '../layout/piece.ts';
import { readTable } from '../../suggest/index.ts';
import type { Picture } from './picture.ts';
import { readScan, type LetterReader } from './readScan.ts';

const WIDTH = 1000;
const HEIGHT = 600;
const rows = printedRows(12, 'letters');
const lefts = [40, 120, 700, 780, 850, 920];
/** Words of the page at their places, as they are printed. */
const cells = [
  ['Code', 'Parameter', 'Min', 'Max', 'Unit', 'Factory'],
  ...rows.map((row) => [row.code, row.description, row.min, row.max, row.unit, row.default]),
];
const printed: readonly TextPiece[] = cells.flatMap((row, i) =>
  row.flatMap((cell, column) =>
    [...cell.matchAll(/\S+/g)].map((word) => ({
      text: word[0],
      x: lefts[column]! + word.index * 9,
      y: 40 + 40 * i,
      width: word[0].length * 9 - 2,
      height: 18,
    })),
  ),
);
/** Each word is a block of a grey of its own, so that a reader of a test knows it wherever it is cut out. */
const page: Picture = (() => {
  const grey = new Uint8Array(WIDTH * HEIGHT).fill(255);
  for (const [n, { x, y, width, height }] of printed.entries())
    for (let at = y; at < y + height; at++) grey.fill(n + 1, at * WIDTH + x, at * WIDTH + x + width);
  return { width: WIDTH, height: HEIGHT, grey };
})();

/** The words whose blocks are in a picture, at their places in it. */
function wordsIn({ width, height, grey }: Picture): readonly TextPiece[] {
  const boxes = new Map<
    number,
    { left: number; top: number; right: number; bottom: number; count: number }
  >();
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const n = grey[y * width + x]!;
      if (n === 255) continue;
      const box = boxes.get(n) ?? { left: x, top: y, right: x, bottom: y, count: 0 };
      box.left = Math.min(box.left, x);
      box.right = Math.max(box.right, x);
      box.bottom = y;
      box.count += 1;
      boxes.set(n, box);
    }
  // Edges between grey and white have greys of other words: a few pixels are no word.
  return [...boxes].flatMap(([n, { left, top, right, bottom, count }]) =>
    printed[n - 1] && count > 40 && bottom - top > 10
      ? [{ text: printed[n - 1]!.text, x: left, y: top, width: right - left, height: bottom - top }]
      : [],
  );
}

/** Takes figures for letters. */
const spoilt = (text: string) =>
  /^[-\d.]+$/.test(text)
    ? text.replace(/0/g, 'o').replace(/1/g, 'l')
    : /^[A-Z]\d\d$/.test(text)
      ? text.replace('0', 'O')
      : text;

test('figures are read again with nothing but figures allowed, codes by themselves, and both take the place of what was read before', async () => {
  const allowed: (string | undefined)[] = [];
  const read: LetterReader = async (picture, signs) => {
    allowed.push(signs);
    // The page as a whole is read badly; a column of codes by itself better.
    const badly = picture.width === WIDTH;
    return wordsIn(picture).flatMap((word) =>
      badly ? { ...word, text: spoilt(word.text) } : signs && !/^[-\d.]+$/.test(word.text) ? [] : word,
    );
  };
  const told: (readonly [number, number])[] = [];
  const pieces = await readScan(
    { level: page, clean: page, scale: 1 },
    read,
    (done, of) => void told.push([done, of]),
  );
  const table = readTable(layOut([{ page: 1, pieces }]).text);
  // Oracle: the rows before they were printed.
  expect(table.rows.map((r) => [r.code, r.min, r.max, r.default])).toEqual(
    rows.map((r) => [r.code, r.min, r.max, r.default]),
  );
  expect(allowed[0]).toBeUndefined();
  expect(allowed.filter((signs) => signs !== undefined)).toHaveLength(3);
  expect(told.at(-1)).toEqual([6, 6]);
});

test('places are those of the page before it was enlarged', async () => {
  const read: LetterReader = async () => [{ text: 'Words', x: 100, y: 40, width: 60, height: 20 }];
  expect(await readScan({ level: page, clean: page, scale: 2 }, read, () => undefined)).toEqual([
    { text: 'Words', x: 50, y: 20, width: 30, height: 10 },
  ]);
});
