import { parseNumber } from '../../../foundation/quantities/index.ts';
import { isCode, isUnit, plain, rangeCell } from './cellKinds.ts';
import { findColumns, roleOfHeading, rolesOfHeading, type ColumnRole, type Columns } from './columns.ts';
import { rowsOfLines } from './lineRows.ts';
import { isContinuation, isHeading, isNoise, isOptionLine, isSentence, undecorated } from './noise.ts';
import type { Aside, PrintedRow } from './row.ts';
import { MOST_LINES, plainLines, splitLines, type Separator, type SplitLine } from './splitLines.ts';

/** One parameter as the booklet prints it, with what is wrong with the line. Cells nobody could place are kept in `left`. */
export interface TableRow extends PrintedRow {
  readonly left: readonly string[];
  readonly problems: readonly string[];
}

export interface ReadTable {
  readonly separator: Separator;
  readonly columns: Columns;
  readonly rows: readonly TableRow[];
  /** Lines that are no rows, and what they were taken for: nothing is dropped in silence. */
  readonly aside: readonly Aside[];
  /** What concerns the table as a whole; null where all is well. */
  readonly problem: string | null;
}

/**
 * Reads a pasted parameter table: CSV, TSV, columns of spaces, or lines of text. Nothing is dropped: a line with merged or missing cells
 * stands in the result with a sentence of what is wrong. `roles` overrides what was found of the columns.
 */
export function readTable(pasted: string, roles?: readonly ColumnRole[]): ReadTable {
  // Columns are never so far apart; a page of blanks must not cost a minute.
  const text = pasted.replace(/[^\S\r\n\t]{60,}/g, ' '.repeat(60));
  const { separator, lines } = splitLines(text);
  if (lines.length === 0)
    return empty(separator, 'Nothing to read: expected a parameter table, one parameter a line');
  if (lines.length > MOST_LINES)
    return empty(
      separator,
      `${lines.length} lines; expected at most ${MOST_LINES}: this is no parameter table`,
    );
  const asLines = () => lineTable(plainLines(text.replace(/^\uFEFF/, '')));
  if (separator === 'text') return { ...asLines(), separator };
  const { body, aside } = bodyOf(withoutMerged(lines));
  const found = findColumns(body.map(({ line, cells }) => ({ line, cells })));
  const columns = roles ? { ...found, roles } : found;
  const rows = rowsOfCells(columns.header ? body.slice(1) : body, columns.roles);
  const table: ReadTable = {
    separator,
    columns,
    rows: twice(withoutFollowed(rows)),
    aside: [
      ...aside,
      ...(columns.header
        ? [{ line: body[0]!.line, text: body[0]!.cells.join(' '), as: 'heading' as const }]
        : []),
    ],
    problem: missing(columns.roles),
  };
  if (roles) return table;
  // Columns of spaces, and commas that are only commas, may be told apart better line by line.
  const byLine = separator === 'spaces' || separator === 'comma' ? asLines() : null;
  if (!byLine) return table;
  const better = complete(byLine.rows) - complete(table.rows);
  // Of equals, columns of spaces go by lines: a description that was broken has lost its place among the cells.
  return better > 0 || (better === 0 && separator === 'spaces') ? { ...byLine, separator: 'text' } : table;
}

/** A row that says enough to be one of a parameter table: words, and values or options. */
export const isFilled = (row: TableRow): boolean =>
  row.description !== '' &&
  row.code !== '' &&
  (row.default !== '' || row.options !== '') &&
  (row.max !== '' || row.options !== '');

/** Rows with everything a number needs. */
const complete = (rows: readonly TableRow[]): number =>
  rows.filter(
    (row) =>
      row.code !== '' && row.description !== '' && row.min !== '' && row.max !== '' && row.default !== '',
  ).length - rows.filter((row) => row.code === '' || row.description === '').length;

/** A line with the group it stands under. */
interface GroupedLine extends SplitLine {
  readonly folder: string;
}

/**
 * The table itself: from the line that names the columns, where there is one, without what stands between its rows. A line with a single cell is a group's title, the rest of a
 * description that was broken, or a note.
 */
function bodyOf(lines: readonly SplitLine[]): {
  readonly body: readonly GroupedLine[];
  readonly aside: readonly Aside[];
} {
  const names = (line: SplitLine) => {
    const roles = rolesOfHeading(line.cells);
    return roles.filter((role) => role !== null && role !== 'left').length;
  };
  const most = Math.max(0, ...lines.slice(0, FURTHEST_HEADING).map(names));
  const heading = most >= 3 ? lines.findIndex((line) => names(line) === most) : -1;
  const title = heading < 0 ? null : lines[heading]!.cells.join('|');
  const wordy = wordiest(lines);
  const body: GroupedLine[] = [];
  const aside: Aside[] = lines
    .slice(0, Math.max(0, heading))
    .map(({ line, cells }) => ({ line, text: cells.join(' ').trim(), as: 'note' as const }));
  let folder = '';
  for (const line of lines.slice(Math.max(0, heading))) {
    const filled = line.cells.filter((cell) => cell !== '');
    const [only = ''] = filled.map(undecorated);
    const set = (as: Aside['as']) => void aside.push({ line: line.line, text: filled.join(' '), as });
    const last = body.at(-1);
    // Where columns are parted by spaces alone, the place of a broken description is lost: it is the column of words.
    const at = line.cells.length === 1 ? wordy : line.cells.findIndex((cell) => cell !== '');
    // Printed again on the next page.
    if (last && title !== null && line.cells.join('|') === title) set('heading');
    else if (lines.length < 3 || filled.length > 2 || (filled.length > 1 && !isNoise(only)))
      body.push({ ...line, folder });
    else if (isNoise(only) || isSentence(only)) set('note');
    else if (
      last &&
      body.length > 1 &&
      (isContinuation(only) ||
        isOptionLine(only) ||
        (at > 0 && !isHeading(only)) ||
        /[,/(]$|\b(or|and)$/.test(last.cells[at > 0 ? at : wordy]?.trim() ?? ''))
    ) {
      body[body.length - 1] = {
        ...last,
        cells: last.cells.map((cell, i) =>
          i === at ? `${cell}${isOptionLine(only) ? ';' : ''} ${only}` : cell,
        ),
      };
      set('joined');
    } else if (isHeading(only)) {
      folder = only.replace(/[:.]$/, '');
      set('group');
    }
    // Beside empty cells only a code could be a row's.
    else if (line.cells.length >= 4 && filled.length === 1 && !isCode(only) && !splitCode(only)) set('note');
    else body.push({ ...line, folder });
  }
  return { body, aside };
}

/** "Min. Max. Def." as one heading: its column holds as many values, parted by spaces. */
function withoutMerged(lines: readonly SplitLine[]): readonly SplitLine[] {
  const merged = lines.slice(0, FURTHEST_HEADING).flatMap(({ cells }, line) =>
    cells.flatMap((cell, column) => {
      const words = cell.trim().split(/\s+/);
      const all =
        words.length >= 2 && words.length <= 4 && words.every((word) => valueHeads.has(roleOfHeading(word)));
      return all ? [{ line, column, count: words.length }] : [];
    }),
  )[0];
  if (!merged) return lines;
  const { line, column, count } = merged;
  const width = lines[line]!.cells.length;
  return lines.map((one, i) => {
    const parts = (one.cells[column] ?? '').trim().split(/\s+/).filter(Boolean);
    // What is no row of the table keeps its cells.
    if (one.cells.length !== width || (i !== line && parts.length !== count)) return one;
    return { ...one, cells: [...one.cells.slice(0, column), ...parts, ...one.cells.slice(column + 1)] };
  });
}
const valueHeads: ReadonlySet<ColumnRole | null> = new Set(['min', 'max', 'default', 'unit']);

/** The column with the longest cells. */
function wordiest(lines: readonly SplitLine[]): number {
  const whole = lines.filter(({ cells }) => cells.length > 2);
  const width = Math.max(0, ...whole.map(({ cells }) => cells.length));
  const lengths = Array.from({ length: width }, (_, i) =>
    whole.reduce((sum, { cells }) => sum + (cells[i]?.length ?? 0), 0),
  );
  return Math.max(0, lengths.indexOf(Math.max(...lengths)));
}

/** A preamble is no longer than this, lines. */
const FURTHEST_HEADING = 25;

function rowsOfCells(lines: readonly GroupedLine[], roles: readonly ColumnRole[]): readonly TableRow[] {
  return lines.map((line) => {
    const row = rowOf(line, roles);
    return row.folder === '' && line.folder !== '' ? { ...row, folder: line.folder } : row;
  });
}

/** Cells of a row that a person may put right. */
export type Mend = Partial<
  Pick<TableRow, 'code' | 'description' | 'unit' | 'min' | 'max' | 'default' | 'options' | 'folder'>
>;

/** Rows with what a person put right, by line; what is wrong with them is found anew. */
export function mendRows(rows: readonly TableRow[], mends: ReadonlyMap<number, Mend>): readonly TableRow[] {
  const mended = rows.map((row) => {
    const mend = mends.get(row.line);
    if (!mend) return { ...row, problems: row.problems.filter((p) => !isTwice(p)) };
    const next = { ...row, ...mend };
    return { ...next, problems: wrongWith(next) };
  });
  return twice(mended);
}

const isTwice = (problem: string) => /^the code .* stands on line \d+ too$/.test(problem);

function empty(separator: Separator, problem: string): ReadTable {
  return { separator, columns: { roles: [], header: false }, rows: [], aside: [], problem };
}

function rowOf({ line, cells }: SplitLine, roles: readonly ColumnRole[]): TableRow {
  const problems: string[] = [];
  if (cells.length !== roles.length)
    problems.push(`this line has ${cells.length} cells where the table has ${roles.length} columns`);
  const at = (role: ColumnRole) =>
    roles
      .flatMap((r, i) => (r === role && cells[i] ? [cells[i]] : []))
      .join(' ')
      .trim();
  const split = at('code') === '' ? splitCode(at('description')) : null;
  const range = rangeCell(at('range'));
  const listed = !range && isList(at('range')) ? at('range') : '';
  if (at('range') !== '' && !range && listed === '')
    problems.push(`"${at('range')}" is no range; expected two ends such as 0…15`);
  const row = {
    line,
    code: split?.code ?? at('code'),
    description: split?.description ?? at('description'),
    unit: at('unit') || (range?.unit ?? '') || unitBeside(at('default')),
    min: plainValue(at('min') || (range?.min ?? '')),
    max: plainValue(at('max') || (range?.max ?? '')),
    default: plainValue(withoutUnit(at('default'))),
    options: [at('options'), listed].filter(Boolean).join(' '),
    folder: at('folder'),
    left: cells.filter((cell, i) => cell !== '' && (roles[i] ?? 'left') === 'left'),
  };
  return { ...row, problems: [...problems, ...wrongWith(row)] };
}

/** "EL, GAS, AIr": options by what is typed, three or more. */
const isList = (cell: string): boolean =>
  /^[A-Za-z0-9]{1,5}(\s*[,/|]\s*[A-Za-z0-9]{1,5}){2,}$/.test(cell.trim());

/** "SP Set point": a code and its description that fell into one cell. */
function splitCode(cell: string): { code: string; description: string } | null {
  const [first = '', ...rest] = cell.split(/[\s:–-]+/);
  const oddlySpelt =
    /\d/.test(first) || /^[A-Z]{2,5}$/.test(first) || /[a-z][A-Z]/.test(first) || first.length <= 2;
  return rest.length > 0 && isCode(first) && oddlySpelt
    ? { code: first, description: cell.slice(first.length).replace(/^[\s:–-]+/, '') }
    : null;
}

const plainValue = (text: string) => (parseNumber(plain(text)) === null ? text.trim() : plain(text));

/** "35.0 °C" as a factory value says the unit. */
function unitBeside(cell: string): string {
  const [value = '', unit = ''] = cell.trim().split(/\s+(.*)/s);
  return parseNumber(plain(value)) !== null && isUnit(unit) ? unit : '';
}

/** "3 min" in a column of values: the unit belongs to another column. */
function withoutUnit(cell: string): string {
  const [value = '', unit = ''] = cell.split(/\s+/);
  return unit !== '' && parseNumber(plain(value)) !== null && isUnit(unit) ? value : cell;
}

function wrongWith(row: Omit<TableRow, 'problems'>): readonly string[] {
  const problems: string[] = [];
  if (row.code === '') problems.push('no code found on this line');
  if (row.description === '') problems.push('no description found on this line');
  const [min, max, standard] = [parseNumber(row.min), parseNumber(row.max), parseNumber(row.default)];
  if ((row.min === '') !== (row.max === '')) problems.push('only one end of the range found');
  if (min !== null && max !== null && min > max)
    problems.push(`the least value ${row.min} is above the greatest, ${row.max}`);
  else if (standard !== null && ((min !== null && standard < min) || (max !== null && standard > max)))
    problems.push(`the factory value ${row.default} lies outside ${row.min} to ${row.max}`);
  if (row.min !== '' && row.max !== '' && row.default === '')
    problems.push('a range without a factory value');
  return problems;
}

/** An end of a range that follows another code is left out: it is none of its own. */
function withoutFollowed(rows: readonly TableRow[]): readonly TableRow[] {
  const codes = new Set(rows.map((row) => row.code).filter((code) => code !== ''));
  const follows = (end: string, other: string) =>
    end !== '' &&
    parseNumber(end) === null &&
    (codes.has(end.replace(/\s*[+\-−]\s*[\d.,]+$/, '')) ||
      (parseNumber(other) !== null && /^[A-Z][A-Za-z0-9]{0,3}(\s*[+\-−]\s*[\d.,]+)?$/.test(end)));
  return rows.map((row) => {
    const [min, max] = [follows(row.min, row.max), follows(row.max, row.min)];
    if (!min && !max) return row;
    const next = { ...row, min: min ? '' : row.min, max: max ? '' : row.max };
    const ends = [
      min ? `the least value follows ${row.min}` : '',
      max ? `the greatest value follows ${row.max}` : '',
    ];
    return {
      ...next,
      problems: [
        ...row.problems.filter((problem) => !problem.startsWith('only one end')),
        ends.filter(Boolean).join(', '),
      ],
    };
  });
}

function twice(rows: readonly TableRow[]): readonly TableRow[] {
  const first = new Map<string, number>();
  return rows.map((row) => {
    const earlier = first.get(row.code);
    if (row.code === '' || earlier === undefined) {
      first.set(row.code, row.line);
      return row;
    }
    return { ...row, problems: [...row.problems, `the code ${row.code} stands on line ${earlier} too`] };
  });
}

function missing(roles: readonly ColumnRole[]): string | null {
  const lacks = [
    !roles.includes('code') && !roles.includes('description') ? 'codes' : '',
    roles.includes('description') ? '' : 'descriptions',
    roles.includes('range') || (roles.includes('min') && roles.includes('max')) ? '' : 'ranges',
    roles.includes('default') ? '' : 'factory values',
  ].filter(Boolean);
  return lacks.length === 0
    ? null
    : `No column of ${lacks.join(', nor of ')} was found: say which it is, or fill in by hand`;
}

/** Lines of running text: "SP Set point -40…99 °F (36)" and the like. */
function lineTable(lines: readonly SplitLine[]): Omit<ReadTable, 'separator'> {
  const { rows: found, aside } = rowsOfLines(lines);
  const rows = found.map((row) => {
    const whole = { ...row, left: [] };
    return { ...whole, problems: wrongWith(whole) };
  });
  return {
    columns: { roles: [], header: false },
    rows: twice(withoutFollowed(rows)),
    aside,
    problem: rows.every((r) => r.code === '')
      ? 'No line begins with a code: expected lines such as "SP Set point -40…99 °F 36"'
      : null,
  };
}
