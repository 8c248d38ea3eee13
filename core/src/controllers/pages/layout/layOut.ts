import { printedLines, runsOf, type PrintedLine } from './bands.ts';
import { median } from '../../../foundation/statistics/index.ts';
import { guttersOf, isTableLine, type Gutter } from './gutters.ts';
import { wordsOf, type BookletPage, type ReadAt } from './piece.ts';
import { rejoined, type LaidRow } from './rejoin.ts';

/** The text of pages, and where each of its lines was read: line n of the text is `lines[n - 1]`. */
export interface LaidOut {
  readonly text: string;
  readonly lines: readonly ReadAt[];
}

/** Fewer gutters make no table of parameters. */
const LEAST_GUTTERS = 2;

/**
 * Lays the words of booklet pages out as text that `readTable` reads: cells between tabs where the words stand in columns, lines of words elsewhere. Columns are found from all
 * pages together, since a table goes on over pages; cells broken over lines come together again, whether they stand level with the row's first line or around its middle.
 */
export function layOut(pages: readonly BookletPage[]): LaidOut {
  const printed = pages.map(({ page, pieces }) => ({ page, lines: printedLines(wordsOf(pieces)) }));
  const together = guttersOf(printed.flatMap(({ lines }) => lines));
  const rows = printed.flatMap(({ page, lines }) => {
    // Pages whose tables have different columns have none together: each is read by its own.
    return rowsOf(page, lines, together.length >= LEAST_GUTTERS ? together : guttersOf(lines));
  });
  const width = Math.max(1, ...rows.map(({ cells }) => cells.length));
  return {
    // A quotation mark would open a cell that goes on over lines.
    text: rows
      .map(({ cells }) =>
        width === 1 ? cells[0]! : Array.from({ length: width }, (_, i) => cells[i] ?? '').join('\t'),
      )
      .join('\n')
      .replaceAll('"', '”'),
    lines: rows.map(({ at }) => at),
  };
}

function rowsOf(page: number, lines: readonly PrintedLine[], gutters: readonly Gutter[]): readonly LaidRow[] {
  const height = median(lines.map((line) => line.bottom - line.top));
  const rows = bandsOf(lines, gutters).map((band) => rowOf(page, band, gutters));
  return rejoined(rows, height);
}

/** Lines that overlap in height are one row whose cells have different numbers of lines; two that each begin in the first column are two rows. */
function bandsOf(
  lines: readonly PrintedLine[],
  gutters: readonly Gutter[],
): readonly (readonly PrintedLine[])[] {
  const begins = (line: PrintedLine) => gutters.length > 0 && line.words[0]!.x < gutters[0]!.from;
  return lines.reduce<PrintedLine[][]>((bands, line) => {
    const band = bands.at(-1);
    const last = band?.at(-1);
    const overlaps = last && last.bottom - line.top > BAND_OVERLAP * (line.bottom - line.top);
    if (band && overlaps && !(begins(line) && band.some(begins))) band.push(line);
    else bands.push([line]);
    return bands;
  }, []);
}
const BAND_OVERLAP = 0.05;

function rowOf(page: number, band: readonly PrintedLine[], gutters: readonly Gutter[]): LaidRow {
  const words = band.flatMap((line) => line.words);
  const at = {
    page,
    left: Math.min(...words.map((w) => w.x)),
    top: Math.min(...words.map((w) => w.y)),
    right: Math.max(...words.map((w) => w.x + w.width)),
    bottom: Math.max(...words.map((w) => w.y + w.height)),
  };
  const across = words.some((w) => gutters.some((g) => w.x < g.from && w.x + w.width > g.to));
  const cells = Array.from({ length: gutters.length + 1 }, () => [] as string[]);
  for (const word of words) {
    const middle = word.x + word.width / 2;
    cells[gutters.filter((g) => (g.from + g.to) / 2 < middle).length]!.push(word.text);
  }
  const filled = cells.flatMap((cell, i) => (cell.length === 0 ? [] : [i]));
  // A heading set close has no wide room between its words, but each of them stands in a column of its own.
  const fits = !across && filled.length >= LEAST_CELLS && words.length <= 2 * filled.length;
  const isRow = band.length > 1 || isTableLine(band[0]!) || fits;
  // Running text pays no heed to the columns.
  if (gutters.length === 0 || (!isRow && (across || band.some((line) => runsAcross(line, gutters)))))
    return { cells: [band.map((line) => runsOf(line).map(said).join('  ')).join(' ')], at, kind: 'text' };
  const isRest = !isRow && filled.length <= 2 && filled[0]! > 0;
  return { cells: cells.map((cell) => cell.join(' ')), at, kind: isRest ? 'rest' : isRow ? 'row' : 'text' };
}
const LEAST_CELLS = 3;

const runsAcross = (line: PrintedLine, gutters: readonly Gutter[]) =>
  runsOf(line).some((run) => {
    const [from, to] = [run[0]!.x, run.at(-1)!.x + run.at(-1)!.width];
    return gutters.some((g) => from < g.from && to > g.to);
  });

const said = (run: readonly { readonly text: string }[]) => run.map((word) => word.text).join(' ');
