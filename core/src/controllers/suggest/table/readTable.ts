import { parseNumber } from '../../../foundation/quantities/index.ts';
import { isCode, isUnit, plain, rangeCell } from './cellKinds.ts';
import { findColumns, type ColumnRole, type Columns } from './columns.ts';
import { MOST_LINES, splitLines, type Separator, type SplitLine } from './splitLines.ts';

/** One parameter as the booklet prints it, with what is wrong with the line. Cells nobody could place are kept in `left`. */
export interface TableRow {
  readonly line: number;
  readonly code: string;
  readonly description: string;
  readonly unit: string;
  readonly min: string;
  readonly max: string;
  readonly default: string;
  readonly options: string;
  readonly folder: string;
  readonly left: readonly string[];
  readonly problems: readonly string[];
}

export interface ReadTable {
  readonly separator: Separator;
  readonly columns: Columns;
  readonly rows: readonly TableRow[];
  /** What concerns the table as a whole; null where all is well. */
  readonly problem: string | null;
}

/**
 * Reads a pasted parameter table: CSV, TSV, columns of spaces, or lines of text. Nothing is dropped: a line with merged or missing cells
 * stands in the result with a sentence of what is wrong. `roles` overrides what was found of the columns.
 */
export function readTable(text: string, roles?: readonly ColumnRole[]): ReadTable {
  const { separator, lines } = splitLines(text);
  if (lines.length === 0)
    return empty(separator, 'Nothing to read: expected a parameter table, one parameter a line');
  if (lines.length > MOST_LINES)
    return empty(
      separator,
      `${lines.length} lines; expected at most ${MOST_LINES}: this is no parameter table`,
    );
  if (separator === 'text') return { ...textTable(lines), separator };
  const found = findColumns(lines);
  const columns = roles ? { ...found, roles } : found;
  const body = columns.header ? lines.slice(1) : lines;
  const rows = body.map((line) => rowOf(line, columns.roles));
  return { separator, columns, rows: twice(rows), problem: missing(columns.roles) };
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
  return { separator, columns: { roles: [], header: false }, rows: [], problem };
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
  if (at('range') !== '' && !range)
    problems.push(`"${at('range')}" is no range; expected two ends such as 0…15`);
  const row = {
    line,
    code: split?.code ?? at('code'),
    description: split?.description ?? at('description'),
    unit: at('unit') || (range?.unit ?? ''),
    min: plainValue(at('min') || (range?.min ?? '')),
    max: plainValue(at('max') || (range?.max ?? '')),
    default: plainValue(withoutUnit(at('default'))),
    options: at('options'),
    folder: at('folder'),
    left: cells.filter((cell, i) => cell !== '' && (roles[i] ?? 'left') === 'left'),
  };
  return { ...row, problems: [...problems, ...wrongWith(row)] };
}

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
function textTable(lines: readonly SplitLine[]): Omit<ReadTable, 'separator'> {
  const rows = lines.map(({ line, cells }) => {
    const row = textRow(line, cells[0]!);
    return { ...row, problems: wrongWith(row) };
  });
  return {
    columns: { roles: [], header: false },
    rows: twice(rows),
    problem: rows.every((r) => r.code === '')
      ? 'No line begins with a code: expected lines such as "SP Set point -40…99 °F 36"'
      : null,
  };
}

const rangeInText =
  /(?:^|[\s(,])([+\-−–]?\d+(?:[.,]\d+)?)\s*(?:\.{2,3}|…|÷|\bto\b|–|—|~)\s*([+\-−–]?\d+(?:[.,]\d+)?)\s*(°\s?[CF]|K|sec|seconds|s|min|minutes|h|hours?|%|V)?\b\)?/;
const defaultInText =
  /(?:\(|\b(?:def(?:ault)?|factory|preset|std)\.?:?\s*|=\s*|\s)([+\-−–]?\d+(?:[.,]\d+)?|[A-Za-z]{1,3})\)?\s*(°\s?[CF]|K|s|min|h|%|V)?\s*\)?$/i;

function textRow(line: number, text: string): Omit<TableRow, 'problems'> {
  const [, code = '', rest = text] = /^([A-Za-z0-9./_-]{1,7}?)[\s:)–-]+(.*)$/.exec(text) ?? [];
  const range = rangeInText.exec(rest);
  const after = range ? rest.slice(range.index + range[0].length).trim() : '';
  const standard = range ? (defaultInText.exec(` ${after}`)?.[1] ?? '') : '';
  const description = (range ? rest.slice(0, range.index) : rest).replace(/[\s:,(–-]+$/, '');
  const unit = range?.[3] ?? (isUnit(after.split(/\s+/)[0] ?? '') ? after.split(/\s+/)[0]! : '');
  const leftover = after
    .replace(/[()]/g, ' ')
    .split(/\s+/)
    .filter(
      (w) =>
        w !== '' &&
        plain(w) !== plain(standard) &&
        w !== unit &&
        !/^(def(ault)?|factory|preset|std)\.?:?$/i.test(w),
    );
  return {
    line,
    code: isCode(code) ? code : '',
    description: isCode(code) ? description : text,
    unit,
    min: range ? plain(range[1]!) : '',
    max: range ? plain(range[2]!) : '',
    default: plainValue(standard),
    options: leftover.length > 2 ? leftover.join(' ') : '',
    folder: '',
    left: leftover.length > 2 ? [] : leftover,
  };
}
