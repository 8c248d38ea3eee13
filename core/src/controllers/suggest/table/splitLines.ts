import Papa from 'papaparse';

/** A line of a pasted table in cells. */
export interface SplitLine {
  readonly line: number;
  readonly cells: readonly string[];
}

/** How the lines were taken apart. */
export type Separator = 'tab' | 'semicolon' | 'bar' | 'comma' | 'spaces' | 'text';

export interface SplitText {
  readonly separator: Separator;
  readonly lines: readonly SplitLine[];
}

/** Most lines read in one piece: the longest booklet has some hundred parameters. */
export const MOST_LINES = 2000;

const separators: readonly (readonly [Separator, string])[] = [
  ['tab', '\t'],
  ['semicolon', ';'],
  ['bar', '|'],
  ['comma', ','],
];

/**
 * Takes pasted text apart: by the separator that gives most lines the same number of cells, else by columns of two or more spaces, else each line
 * is one cell. Empty lines and lines of rules are left out; every other line is kept, with its number in the text.
 */
export function splitLines(text: string): SplitText {
  const body = text.replace(/^\uFEFF/, '');
  const found = separators
    .map(([separator, mark]) => ({ separator, lines: byMark(body, mark) }))
    .map((split) => ({ ...split, even: evenness(split.lines) }))
    .filter(({ even }) => even.share >= 0.6 && even.cells >= 3);
  const best = found.reduce<(typeof found)[number] | null>(
    (one, next) =>
      one === null || next.even.share * next.even.cells > one.even.share * one.even.cells ? next : one,
    null,
  );
  if (best) return { separator: best.separator, lines: best.lines };
  const plain = plainLines(body);
  const spaced = plain.map(({ line, cells }) => ({ line, cells: cells[0]!.trim().split(/\s{2,}|\t/) }));
  const even = evenness(spaced);
  if (even.cells >= 3 && even.share >= 0.5) return { separator: 'spaces', lines: spaced };
  return { separator: 'text', lines: plain };
}

function byMark(body: string, mark: string): readonly SplitLine[] {
  if (mark === '|')
    return plainLines(body).map(({ line, cells }) => ({
      line,
      cells: cells[0]!
        .replace(/^\s*\||\|\s*$/g, '')
        .split('|')
        .map((c) => c.trim()),
    }));
  const parsed = Papa.parse<string[]>(body, { delimiter: mark, skipEmptyLines: false });
  let line = 1;
  return parsed.data.flatMap((cells) => {
    const at = line;
    line += 1 + cells.reduce((n, cell) => n + (cell.match(/\r\n|\n|\r/g)?.length ?? 0), 0);
    const trimmed = cells.map((c) => c.replace(/\s*[\r\n]+\s*/g, ' ').trim());
    return isRule(trimmed) ? [] : [{ line: at, cells: trimmed }];
  });
}

/** Each line as one cell, with its number; lines with nothing to read in them are left out. */
export function plainLines(body: string): readonly SplitLine[] {
  return body
    .split(/\r\n|\n|\r/)
    .map((text, i) => ({ line: i + 1, cells: [text.trim()] }))
    .filter(({ cells }) => !isRule(cells));
}

/** Nothing to read in it: empty, or only strokes that draw a table. */
function isRule(cells: readonly string[]): boolean {
  return cells.every((cell) => !/[\p{L}\p{N}]/u.test(cell));
}

/** The commonest number of cells, and the share of lines that have it. */
function evenness(lines: readonly SplitLine[]): { readonly cells: number; readonly share: number } {
  const counts = new Map<number, number>();
  for (const { cells } of lines) counts.set(cells.length, (counts.get(cells.length) ?? 0) + 1);
  const [cells, times] = [...counts].sort((a, b) => b[1] - a[1])[0] ?? [0, 0];
  return { cells, share: lines.length === 0 ? 0 : times / lines.length };
}
