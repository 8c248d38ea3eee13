import { printedLines, type PrintedLine } from '../layout/bands.ts';
import { guttersOf, isTableLine } from '../layout/gutters.ts';
import type { TextPiece } from '../layout/piece.ts';
import { likelyCodes } from './likelyCodes.ts';
import { likelyUnits } from './likelyUnits.ts';
import { cutOut, scaled, type Part } from './parts.ts';
import type { Picture } from './picture.ts';
import type { Prepared } from './prepare.ts';

/** Reads the words of a picture, at their places in it. `signs`: the only ones that occur. */
export type LetterReader = (picture: Picture, signs?: string) => Promise<readonly TextPiece[]>;

/** White around what is cut out, pixels. */
const MARGIN = 20;
/** A code is read again this much larger. */
const LARGER = 1.5;
const FIGURES = '0123456789-+.,';

/**
 * Reads a prepared page: once as a whole, which finds its columns, then the columns of codes and of figures each by itself, since a reader of letters that expects sentences reads
 * both badly. Figures are read with nothing but figures allowed; codes are read at two sizes, and the list put right that fits together best.
 *
 * @param page the page made ready
 * @param read the reader of letters
 * @param progress told after each reading how many of how many are done
 * @returns words at their places on the level page, not enlarged
 */
export async function readScan(
  page: Prepared,
  read: LetterReader,
  progress: (done: number, of: number) => void,
): Promise<readonly TextPiece[]> {
  const { clean, scale } = page;
  const words = await read(clean);
  const lines = printedLines(words);
  const table = lines.filter(isTableLine);
  const gutters = guttersOf(lines);
  const edges = [0, ...gutters.map((g) => (g.from + g.to) / 2), clean.width];
  const columns = edges.slice(1).map((right, i) => ({ left: edges[i]!, right }));
  if (gutters.length === 0) return placed(words, scale);
  const [top, bottom] = [table[0]!.top - MARGIN, table.at(-1)!.bottom + MARGIN];
  const isIn =
    ({ left, right }: { left: number; right: number }) =>
    (word: TextPiece) =>
      middle(word) >= left && middle(word) < right && table.some((line) => line.words.includes(word));
  const figures = columns
    .slice(1)
    .filter((column) => areFigures(table.flatMap((l) => l.words).filter(isIn(column))));
  const steps = figures.length + 3;
  progress(1, steps);
  let better = words;
  for (const [i, column] of figures.entries()) {
    better = withFigures(better, column, await readPart(read, clean, { ...column, top, bottom }, 1, FIGURES));
    progress(2 + i, steps);
  }
  for (const column of columns.slice(1)) better = withUnits(better, column, table);
  const codes = { left: 0, right: columns[0]!.right, top, bottom };
  const again = [await readPart(read, clean, codes, 1)];
  progress(steps - 1, steps);
  again.push(await readPart(read, clean, codes, LARGER));
  progress(steps, steps);
  return placed(withCodes(better, table, codes.right, again), scale);
}

const middle = (word: TextPiece) => word.x + word.width / 2;

/** Most of a column's words hold figures, if badly read ones. */
function areFigures(words: readonly TextPiece[]): boolean {
  const like = words.filter(({ text }) => /^[-+−–—]?[\dOolIS.,]+$/.test(text));
  return words.length >= 3 && like.length >= 0.6 * words.length;
}

async function readPart(
  read: LetterReader,
  picture: Picture,
  part: Part,
  factor: number,
  signs?: string,
): Promise<readonly TextPiece[]> {
  const [left, top] = [Math.max(0, Math.floor(part.left)), Math.max(0, Math.floor(part.top))];
  const words = await read(scaled(cutOut(picture, part, MARGIN), factor), signs);
  return words.map((word) => ({
    text: word.text,
    x: word.x / factor - MARGIN + left,
    y: word.y / factor - MARGIN + top,
    width: word.width / factor,
    height: word.height / factor,
  }));
}

/** Words with the figures of a column read again; what was read as words there, such as its heading, stays. */
function withFigures(
  words: readonly TextPiece[],
  column: { readonly left: number; readonly right: number },
  again: readonly TextPiece[],
): readonly TextPiece[] {
  const replaced = new Map<TextPiece, TextPiece | null>();
  const kept = again.filter((figure) => {
    if (!/\d/.test(figure.text)) return false;
    const there = words.filter((word) => overlaps(word, figure));
    const inside = there.filter((word) => middle(word) >= column.left && middle(word) < column.right);
    if (inside.some(({ text }) => /\p{L}{2}/u.test(text) && !/\d/.test(text) && !/^[OolIS]+$/.test(text)))
      return false;
    for (const word of inside) replaced.set(word, null);
    // A word of the column beside that ran into the figure loses it again.
    for (const word of there)
      if (!inside.includes(word) && word.text.endsWith(figure.text) && word.x < figure.x)
        replaced.set(word, {
          ...word,
          text: word.text.slice(0, -figure.text.length),
          width: Math.max(1, Math.min(word.width, column.left - word.x)),
        });
    return true;
  });
  return [
    ...words.flatMap((word) => (replaced.has(word) ? (replaced.get(word) ?? []) : word)),
    ...kept,
  ].filter(({ text }) => text !== '');
}

/** Words with the units of a column put right, where it holds units. A sign read apart from its letter, as in `o C`, comes to it. */
function withUnits(
  words: readonly TextPiece[],
  { left, right }: { readonly left: number; readonly right: number },
  table: readonly PrintedLine[],
): readonly TextPiece[] {
  const cells = table.flatMap((line) => {
    const here = words
      .filter((word) => middle(word) >= left && middle(word) < right && level(word, line))
      .sort((a, b) => a.x - b.x);
    return here.length === 0 ? [] : [here];
  });
  const read = cells.map((cell) => cell.map(({ text }) => text).join(''));
  const units = likelyUnits(read);
  if (units === read) return words;
  const replaced = new Set(cells.flat());
  return [
    ...words.filter((word) => !replaced.has(word)),
    ...cells.map((cell, i) => {
      const [first, last] = [cell[0]!, cell.at(-1)!];
      return { ...first, text: units[i]!, width: last.x + last.width - first.x };
    }),
  ];
}

/** Words with the first column's codes put right. */
function withCodes(
  words: readonly TextPiece[],
  table: readonly PrintedLine[],
  right: number,
  again: readonly (readonly TextPiece[])[],
): readonly TextPiece[] {
  const rows = table.map((line) => {
    const here = words.filter((word) => middle(word) < right && level(word, line));
    const readings = [here, ...again.map((reading) => reading.filter((word) => level(word, line)))]
      .map((found) =>
        [...found]
          .sort((a, b) => a.x - b.x)
          .map(({ text }) => text)
          .join(''),
      )
      .filter((text) => text !== '');
    return { line, here, readings: [...readings.slice(1), ...readings.slice(0, 1)] };
  });
  const codes = likelyCodes(rows.map(({ readings }) => readings));
  const replaced = new Set(rows.flatMap(({ here }, i) => (codes[i] === '' ? [] : here)));
  return [
    ...words.filter((word) => !replaced.has(word)),
    ...rows.flatMap(({ line, here }, i) => {
      if (codes[i] === '') return [];
      const x = Math.min(right - 2, ...here.map((word) => word.x));
      const end = Math.max(x + 1, ...here.map((word) => word.x + word.width));
      return [{ text: codes[i]!, x, y: line.top, width: end - x, height: line.bottom - line.top }];
    }),
  ];
}

const level = (word: TextPiece, line: PrintedLine) => {
  const at = word.y + word.height / 2;
  return at >= line.top && at <= line.bottom;
};

function overlaps(a: TextPiece, b: TextPiece): boolean {
  const across = Math.min(a.x + a.width, b.x + b.width) - Math.max(a.x, b.x);
  const down = Math.min(a.y + a.height, b.y + b.height) - Math.max(a.y, b.y);
  return across > 0.3 * Math.min(a.width, b.width) && down > 0.3 * Math.min(a.height, b.height);
}

const placed = (words: readonly TextPiece[], scale: number): readonly TextPiece[] =>
  words.map(({ text, x, y, width, height }) => ({
    text,
    x: x / scale,
    y: y / scale,
    width: width / scale,
    height: height / scale,
  }));
