import Papa from 'papaparse';
import type { FileProblem } from './header.ts';

/** One row of a table with the line it started on (1 = first line of the file). */
export interface CsvRow {
  readonly line: number;
  readonly cells: Readonly<Map<string, string>>;
}

/** A table read from CSV: column names as typed (trimmed, lower case), rows in file order. */
export interface CsvTable {
  readonly columns: readonly string[];
  readonly delimiter: string;
  readonly rows: readonly CsvRow[];
}

/** Longest table read in one piece; a sheet has at most some hundred codes. */
export const MOST_ROWS = 5000;

/**
 * Reads RFC 4180 text: BOM, CRLF or LF, quotes, `,` `;` or tab between cells, empty lines skipped. Needs a header with the `required`
 * columns, in any order. Cells keep their spaces inside quotes and lose them outside.
 */
export function parseCsv(text: string, required: readonly string[]): CsvTable | FileProblem {
  const body = text.replace(/^\uFEFF/, '');
  if (body.trim() === '')
    return fileProblem('the file is empty; expected a header line with ' + required.join(', '));
  if (body.includes('\u0000')) return fileProblem('this is not a text file; expected CSV in UTF-8');
  const delimiter = delimiterOf(body);
  const parsed = Papa.parse<string[]>(body, { delimiter, skipEmptyLines: false });
  const quoteError = parsed.errors.find((e) => e.type === 'Quotes');
  if (quoteError)
    return {
      problem: true,
      field: `line ${(quoteError.row ?? 0) + 1}`,
      message: 'a quote is opened and not closed as RFC 4180 wants',
    };
  return toTable(parsed.data, lineNumbers(parsed.data), delimiter, required);
}

function toTable(
  lines: readonly string[][],
  numbers: readonly number[],
  delimiter: string,
  required: readonly string[],
): CsvTable | FileProblem {
  const headerAt = lines.findIndex((cells) => !isBlank(cells));
  const columns = lines[headerAt]!.map((name) => name.trim().toLowerCase());
  const missing = required.filter((name) => !columns.includes(name));
  if (missing.length > 0)
    return {
      problem: true,
      field: `line ${numbers[headerAt]}`,
      message: `expected a header with ${required.join(' and ')}; ${missing.join(' and ')} is missing`,
    };
  const twice = columns.find((name, i) => name !== '' && columns.indexOf(name) !== i);
  if (twice)
    return {
      problem: true,
      field: `line ${numbers[headerAt]}`,
      message: `the column ${twice} is there twice`,
    };
  const filled = lines
    .map((cells, i) => ({ cells, line: numbers[i]! }))
    .slice(headerAt + 1)
    .filter(({ cells }) => !isBlank(cells));
  if (filled.length > MOST_ROWS)
    return fileProblem(`${filled.length} rows; expected at most ${MOST_ROWS}: this is no settings sheet`);
  const rows = filled.map(({ cells, line }) => ({
    line,
    cells: new Map(columns.map((name, i) => [name, (cells[i] ?? '').trim()])),
  }));
  return { columns, delimiter, rows };
}

function delimiterOf(body: string): string {
  const header = body.split(/\r?\n/).find((line) => line.trim() !== '') ?? '';
  const counted = [';', '\t', ','].map((d) => [d, header.split(d).length] as const);
  return counted.reduce((best, next) => (next[1] > best[1] ? next : best))[0];
}

/** The line each record starts on; a quoted cell may span several. */
function lineNumbers(records: readonly string[][]): readonly number[] {
  let line = 1;
  return records.map((cells) => {
    const start = line;
    line += 1 + cells.reduce((n, cell) => n + (cell.match(/\r\n|\n|\r/g)?.length ?? 0), 0);
    return start;
  });
}

function isBlank(cells: readonly string[]): boolean {
  return cells.every((cell) => cell.trim() === '');
}

function fileProblem(message: string): FileProblem {
  return { problem: true, field: '(file)', message };
}

/**
 * Writes rows as RFC 4180 text. A cell that a spreadsheet would run as a formula gets a leading apostrophe; numbers stay numbers.
 */
export function writeCsv(
  header: readonly string[],
  rows: readonly (readonly (string | number | null)[])[],
): string {
  const safe = (cell: string | number | null): string | number => {
    if (cell === null) return '';
    if (typeof cell === 'number' || /^[+-]?\d*\.?\d+$/.test(cell)) return cell;
    return /^[=+\-@\t\r]/.test(cell) ? `'${cell}` : cell;
  };
  return (
    Papa.unparse([header, ...rows.map((row) => row.map(safe))] as unknown[][], { newline: '\r\n' }) + '\r\n'
  );
}
