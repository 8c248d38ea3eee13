import type { ReadAt } from './piece.ts';

/** A line of a page in cells, and where it stands. A `rest` has words away from the first column only: it may belong to a row above or below it. */
export interface LaidRow {
  readonly cells: readonly string[];
  readonly at: ReadAt;
  readonly kind: 'row' | 'rest' | 'text';
}

/** Lines further apart than this, in heights of a line, are not one cell that was broken. */
const SAME_CELL = 1.5;

/**
 * Puts cells that were broken over lines together again. Where cells stand level with the first line of their row, what follows a row belongs to it; where they stand around its
 * middle, as many lines stand above a row as below it. Of the two, the one that leaves the joined lines nearer together is taken.
 */
export function rejoined(rows: readonly LaidRow[], height: number): readonly LaidRow[] {
  return blocksOf(rows, height).flatMap((block) => {
    const ways = [hanging(block), centred(block)].filter((way) => way !== null);
    const [best] = ways.sort((a, b) => apart(block, a) - apart(block, b));
    return best ? merged(block, best) : block;
  });
}

/** To which row each line of a block goes; a row goes to itself. */
type Homes = readonly number[];

/** Lines that stand close together and hold rows and rests alone. */
function blocksOf(rows: readonly LaidRow[], height: number): readonly (readonly LaidRow[])[] {
  return rows.reduce<LaidRow[][]>((blocks, row) => {
    const last = blocks.at(-1)?.at(-1);
    const goesOn =
      last !== undefined &&
      row.kind !== 'text' &&
      last.kind !== 'text' &&
      // Rows stand apart as they like; a rest must be near.
      (row.kind === 'row' && last.kind === 'row' ? true : row.at.top - last.at.bottom < SAME_CELL * height);
    if (goesOn) blocks.at(-1)!.push(row);
    else blocks.push([row]);
    return blocks;
  }, []);
}

function hanging(block: readonly LaidRow[]): Homes | null {
  if (block[0]!.kind !== 'row') return null;
  let home = 0;
  return block.map((row, i) => (row.kind === 'row' ? (home = i) : home));
}

function centred(block: readonly LaidRow[]): Homes | null {
  const homes: number[] = [];
  let above: number[] = [];
  for (let i = 0; i < block.length; i++) {
    if (block[i]!.kind === 'rest') {
      above.push(i);
      continue;
    }
    const below = above.map((_, n) => i + 1 + n);
    if (below.some((n) => block[n]?.kind !== 'rest')) return null;
    for (const n of [...above, i, ...below]) homes[n] = i;
    i += below.length;
    above = [];
  }
  return above.length === 0 ? homes : null;
}

/** Mean room between lines of one row: less where the lines belong together. */
function apart(block: readonly LaidRow[], homes: Homes): number {
  const gaps = block.flatMap((row, i) =>
    i > 0 && homes[i] === homes[i - 1] ? [row.at.top - block[i - 1]!.at.bottom] : [],
  );
  return gaps.reduce((sum, gap) => sum + gap, 0) / Math.max(1, gaps.length);
}

const merged = (block: readonly LaidRow[], homes: Homes): readonly LaidRow[] =>
  block.flatMap((row, i) => {
    if (row.kind === 'rest' && homes[i] !== i) return [];
    const lines = block.filter((_, n) => homes[n] === i);
    return [
      {
        kind: row.kind,
        cells: row.cells.map((_, at) => wordsJoined(lines.map(({ cells }) => cells[at] ?? ''))),
        at: {
          ...row.at,
          left: Math.min(...lines.map(({ at }) => at.left)),
          top: Math.min(...lines.map(({ at }) => at.top)),
          right: Math.max(...lines.map(({ at }) => at.right)),
          bottom: Math.max(...lines.map(({ at }) => at.bottom)),
        },
      },
    ];
  });

/** "set-" and "back", "hours/" and "fix" were one word before the line was broken. */
const wordsJoined = (parts: readonly string[]) =>
  parts
    .filter(Boolean)
    .join(' ')
    .replace(/(\p{Ll}-|\p{L}\/) (?=\p{Ll})/gu, '$1');
