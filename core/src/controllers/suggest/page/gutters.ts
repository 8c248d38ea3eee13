import { runsOf, type PrintedLine } from './bands.ts';

/** Room between two columns: no word of the table stands in it. */
export interface Gutter {
  readonly from: number;
  readonly to: number;
}

/** Lines of a table at the least, and runs of words that make a line one of a table. */
const LEAST_LINES = 3;
const LEAST_RUNS = 3;
/** Share of the table's lines that may reach into a gutter: one long cell must not close it. */
const MAY_CROSS = 0.08;
/** Least width of a gutter, in heights of a line. */
const LEAST_WIDTH = 0.35;

/** A line of a table by itself: three runs of words or more. */
export const isTableLine = (line: PrintedLine): boolean => runsOf(line).length >= LEAST_RUNS;

/**
 * Finds the gutters between the columns of a table from its lines alone: the places along the line that hardly any line of the table covers. None where fewer than three lines
 * look like a table.
 */
export function guttersOf(lines: readonly PrintedLine[]): readonly Gutter[] {
  const table = lines.filter(isTableLine);
  if (table.length < LEAST_LINES) return [];
  const height = median(table.map((line) => line.bottom - line.top));
  const edges = table
    .flatMap((line) =>
      coveredBy(line, height).flatMap(({ from, to }) => [
        { at: from, by: 1 },
        { at: to, by: -1 },
      ]),
    )
    .sort((a, b) => a.at - b.at || a.by - b.by);
  const most = Math.floor(MAY_CROSS * table.length);
  const gutters: Gutter[] = [];
  let covering = 0;
  let since: number | null = null;
  for (const { at, by } of edges) {
    const before = covering;
    covering += by;
    if (before > most && covering <= most) since = at;
    else if (before <= most && covering > most) {
      if (since !== null && at - since >= LEAST_WIDTH * height) gutters.push({ from: since, to: at });
      since = null;
    }
  }
  return gutters;
}

/** What a line covers: its words, and the room between words where that is no wider than a space. */
function coveredBy(line: PrintedLine, height: number): readonly Gutter[] {
  return line.words.reduce<Gutter[]>((covered, word) => {
    const last = covered.at(-1);
    const here = { from: word.x, to: word.x + word.width };
    if (last && here.from - last.to < LEAST_WIDTH * height)
      covered[covered.length - 1] = { from: last.from, to: Math.max(last.to, here.to) };
    else covered.push(here);
    return covered;
  }, []);
}

export function median(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted[Math.floor(sorted.length / 2)] ?? 0;
}
