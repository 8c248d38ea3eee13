import { median } from '../../../foundation/statistics/index.ts';
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
  const space = spaceOf(table, height);
  const edges = table
    .flatMap((line) =>
      coveredBy(line, space).flatMap(({ from, to }) => [
        { at: from, by: 1 },
        { at: to, by: -1 },
      ]),
    )
    .sort((a, b) => a.at - b.at || a.by - b.by);
  const most = Math.floor(MAY_CROSS * table.length);
  const least = LEAST_WIDTH * height;
  const gutters: Gutter[] = [];
  /** Stretches of the gutter that is open, and how many lines cover each. */
  let open: (Gutter & { readonly lines: number })[] | null = null;
  let covering = 0;
  let since = 0;
  for (const { at, by } of edges) {
    if (open && at > since) open.push({ from: since, to: at, lines: covering });
    const before = covering;
    covering += by;
    since = at;
    if (before > most && covering <= most) open = [];
    else if (before <= most && covering > most) {
      if (open) gutters.push(...emptiest(open, least));
      open = null;
    }
  }
  return gutters;
}

/** The part of a gutter that the fewest lines reach into: a long cell that runs into it does not move the border between the columns. */
function emptiest(
  stretches: readonly (Gutter & { readonly lines: number })[],
  least: number,
): readonly Gutter[] {
  const wide = ({ from, to }: Gutter) => to - from >= least;
  const [best] = stretches.filter(wide).sort((a, b) => a.lines - b.lines || b.to - b.from - (a.to - a.from));
  if (best) return [{ from: best.from, to: best.to }];
  const whole = { from: stretches[0]?.from ?? 0, to: stretches.at(-1)?.to ?? 0 };
  return wide(whole) ? [whole] : [];
}

/** Room up to which two words stand in one cell: a space of the print, or the least width of a gutter where the print has whole cells as pieces. */
function spaceOf(lines: readonly PrintedLine[], height: number): number {
  const least = LEAST_WIDTH * height;
  if (lines.some(({ words }) => words.some(({ text }) => text.includes(' ')))) return least;
  const gaps = lines.flatMap(({ words }) =>
    words.slice(1).map((word, i) => word.x - (words[i]!.x + words[i]!.width)),
  );
  const spaces = gaps.filter((gap) => gap < height);
  if (spaces.length === 0) return least;
  const space = median(spaces);
  return Math.min(MOST_SPACE * height, Math.max(least, AS_SPACE * space));
}
/** Spaces differ by no more than this factor; and none is wider, in heights of a line. */
const AS_SPACE = 1.25;
const MOST_SPACE = 0.8;

/** What a line covers: its words, and the room between words where that is no wider than a space. */
function coveredBy(line: PrintedLine, space: number): readonly Gutter[] {
  return line.words.reduce<Gutter[]>((covered, word) => {
    const last = covered.at(-1);
    const here = { from: word.x, to: word.x + word.width };
    if (last && here.from - last.to < space)
      covered[covered.length - 1] = { from: last.from, to: Math.max(last.to, here.to) };
    else covered.push(here);
    return covered;
  }, []);
}
