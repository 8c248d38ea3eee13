import Papa from 'papaparse';
import { formatColumns, isTemperature, type ColumnRole } from './columns.ts';
import type { ColumnUse, LogLayout } from './layout.ts';
import { readTime, type TimeOrder, writtenTime } from './readTime.ts';

/** A layout read from the beginning of a file, with what is not sure in it. */
export interface GuessedLayout {
  readonly layout: LogLayout;
  readonly doubts: readonly string[];
  /** The first rows as they stand in the file, for the preview. */
  readonly rows: readonly (readonly string[])[];
}

const PREVIEW_ROWS = 40;

/**
 * Guesses how a log is laid out from the beginning of its text (some hundred lines are enough): what parts the cells, decimal sign, where the rows begin, which
 * column holds the time and in what order, what the others hold and in which degrees. What cannot be known is a doubt in words.
 */
export function guessLayout(text: string): GuessedLayout {
  const body = text.replace(/^\uFEFF/, '');
  const lines = body.split(/\r\n|\n|\r/).slice(0, 400);
  const delimiter = delimiterOf(lines);
  const cells = Papa.parse<string[]>(lines.join('\n'), { delimiter, skipEmptyLines: false }).data.map((row) =>
    row.map((cell) => cell.trim()),
  );
  const decimal = decimalOf(cells, delimiter);
  const first = firstRow(cells, decimal);
  const rows = cells.slice(first).filter((row) => row.some((cell) => cell !== ''));
  const header = headerOf(cells, first);
  const doubts: string[] = [];
  const timeColumns = timeColumnsOf(header, rows);
  const order = orderOf(rows, timeColumns, doubts);
  const columns = header.map((name, i): ColumnUse => {
    const timeRole = timeColumns.get(i);
    if (timeRole) return { name, role: timeRole, fahrenheit: false };
    return useOf(name, numbersOf(rows, i, decimal), doubts);
  });
  if (timeColumns.size === 0) doubts.push('No column looks like a time: choose it.');
  return {
    layout: {
      delimiter,
      decimal,
      skipLines: first,
      columns: eachRoleOnce(columns, doubts),
      order,
      zone: null,
    },
    doubts,
    rows: rows.slice(0, PREVIEW_ROWS),
  };
}

function delimiterOf(lines: readonly string[]): string {
  const full = lines.filter((line) => line.trim() !== '').slice(-200);
  const score = (delimiter: string) => {
    const counts = full.map((line) => line.split(delimiter).length - 1);
    const common = counts.toSorted((a, b) => a - b)[Math.floor(counts.length / 2)] ?? 0;
    return common === 0 ? 0 : counts.filter((n) => n === common).length / counts.length + common / 100;
  };
  const ranked = [';', '\t', '|', ','].map((d) => [d, score(d)] as const);
  // A comma may be a decimal sign, so that any other delimiter that parts every line comes first.
  const sure = ranked.find(([, s]) => s >= 0.9);
  return (sure ?? ranked.reduce((best, next) => (next[1] > best[1] ? next : best)))[0];
}

function decimalOf(cells: readonly (readonly string[])[], delimiter: string): '.' | ',' {
  if (delimiter === ',') {
    // Quoted cells may still hold decimal commas.
    const quoted = cells.flat().filter((cell) => /^[+-]?\d+,\d+$/.test(cell)).length;
    return quoted > cells.length ? ',' : '.';
  }
  const count = (pattern: RegExp) => cells.flat().filter((cell) => pattern.test(cell)).length;
  return count(/^[+−-]?\d+,\d+(\s*°?[CF%])?$/) > count(/^[+−-]?\d+\.\d+(\s*°?[CF%])?$/) ? ',' : '.';
}

/** The first line of readings: one with a time in it, followed by others like it. */
function firstRow(cells: readonly (readonly string[])[], decimal: '.' | ','): number {
  const looks = cells.map(
    (row) =>
      row.some(isDated) ||
      row.filter((cell) => isNumber(cell, decimal)).length >= Math.max(2, row.length / 2),
  );
  const at = looks.findIndex((look, i) => look && (looks[i + 1] ?? true) && (looks[i + 2] ?? true));
  return at < 0 ? Math.min(1, cells.length) : at;
}

/** The last line before the rows that has as many names as they have cells; else numbers stand for names. */
function headerOf(cells: readonly (readonly string[])[], first: number): readonly string[] {
  const width = Math.max(...cells.slice(first, first + 5).map((row) => row.length), 1);
  for (let i = first - 1; i >= 0; i -= 1) {
    const row = cells[i]!;
    if (row.filter((cell) => cell !== '').length >= Math.max(1, width - 1))
      return Array.from({ length: width }, (_, j) => row[j] || `column ${j + 1}`);
  }
  return Array.from({ length: width }, (_, j) => `column ${j + 1}`);
}

const isDated = (cell: string) =>
  /\d{1,4}[-/.]\d{1,2}[-/.]\d{1,4}|\d[- ][A-Za-z]{3,9}[- ]\d/.test(cell) &&
  (['ymd', 'dmy', 'mdy'] as const).some((order) => readTime(cell, order, writtenTime()));
const isClock = (cell: string) => /^\d{1,2}:\d{2}(:\d{2})?([.,]\d+)?\s*([ap]\.?m\.?)?$/i.test(cell);
const isNumber = (cell: string, decimal: '.' | ',') =>
  cell !== '' && Number.isFinite(Number(decimal === ',' ? cell.replace(',', '.') : cell));

function timeColumnsOf(
  header: readonly string[],
  rows: readonly (readonly string[])[],
): ReadonlyMap<number, 'time' | 'date' | 'clock'> {
  const some = rows.slice(0, 30);
  const share = (i: number, test: (cell: string) => boolean) =>
    some.filter((row) => test(row[i] ?? '')).length / Math.max(1, some.length);
  const indexes = header.map((_, i) => i);
  const dated = indexes.find((i) => share(i, isDated) > 0.8);
  if (dated !== undefined) {
    const hasClock = some.some((row) => /\d:\d\d/.test(row[dated] ?? ''));
    const clock = indexes.find((i) => i !== dated && share(i, isClock) > 0.8);
    return !hasClock && clock !== undefined
      ? new Map([
          [dated, 'date'],
          [clock, 'clock'],
        ] as const)
      : new Map([[dated, 'time']] as const);
  }
  const named = indexes.find((i) => /^t$|\b(time|seconds|elapsed|date|timestamp)\b/i.test(header[i]!));
  return named === undefined ? new Map() : new Map([[named, 'time']] as const);
}

function orderOf(
  rows: readonly (readonly string[])[],
  columns: ReadonlyMap<number, string>,
  doubts: string[],
): TimeOrder {
  const at = [...columns].find(([, role]) => role !== 'clock')?.[0];
  if (at === undefined) return 'ymd';
  const cells = rows.map((row) => row[at] ?? '').filter((cell) => cell !== '');
  // A line at the end that says so is no reason to doubt the others.
  const plain = cells.filter((cell) => /^[+-]?\d+([.,]\d+)?$/.test(cell));
  if (plain.length >= 0.7 * cells.length) {
    const numbers = plain.map((cell) => Number(cell.replace(',', '.')));
    // Days of a spreadsheet from 2000 on; seconds of a run begin at 0 or near it.
    return numbers.every((n) => n > 36526 && n < 80000) && numbers.some((n) => !Number.isInteger(n))
      ? 'serial'
      : 'seconds';
  }
  if (cells.some((cell) => /^\D*\d{4}\D/.test(cell))) return 'ymd';
  const parts = cells.flatMap((cell) => {
    const match = /^\D*(\d{1,2})[-/. ](\d{1,2})[-/. ]\d/.exec(cell);
    return match ? [[Number(match[1]), Number(match[2])] as const] : [];
  });
  if (parts.length === 0 || parts.some(([a]) => a > 12)) return 'dmy';
  if (parts.some(([, b]) => b > 12)) return 'mdy';
  // Over a midnight the day moves by one; the part that moves is the day.
  const moves = parts.slice(1).map(([a, b], i) => [a !== parts[i]![0], b !== parts[i]![1]] as const);
  if (moves.some(([a, b]) => a && !b)) return 'dmy';
  if (moves.some(([a, b]) => b && !a)) return 'mdy';
  doubts.push('Day and month cannot be told apart in these rows: day first is assumed. Look at the dates.');
  return 'dmy';
}

function numbersOf(
  rows: readonly (readonly string[])[],
  index: number,
  decimal: '.' | ',',
): readonly number[] {
  return rows
    .map((row) => row[index] ?? '')
    .filter((cell) => cell !== '')
    .map((cell) =>
      Number(
        (decimal === ',' ? cell.replace(',', '.') : cell).replace('−', '-').replace(/\s*(°?\s*[CF]|%)$/, ''),
      ),
    )
    .filter(Number.isFinite);
}

/** Words by which other loggers name a column, most telling first. */
const words: readonly (readonly [RegExp, ColumnRole])[] = [
  [/fan.*(%|percent|speed)|(%|percent).*fan/i, 'fanPercent'],
  [/humid|\brh\b|r\.h\./i, 'humidity'],
  [/batt|volt/i, 'battery'],
  [/flow|l\/min|lpm/i, 'flow'],
  [/(coil|evap\w*)\W*(2|b)\b|second coil/i, 'coil2'],
  [/coil|evap|plate\b|plate[ _]|fin\b|defrost (probe|temp|sensor|end)|end of defrost/i, 'coil'],
  [/product|core|goods|simulat|buffer|glycol|food|vaccine/i, 'product'],
  [/outdoor|outside|weather/i, 'outdoor'],
  [/ambient|kitchen|shop|around/i, 'ambient'],
  [/liquid|condens/i, 'liquid'],
  [/supply|discharge air|flow temp/i, 'supply'],
  [/return(?! air)/i, 'return'],
  [/comp\w*|cooling|solenoid|refrigerat\w* relay|run\b|relay 1/i, 'compressor'],
  [/defrost|heater/i, 'defrost'],
  [/fan/i, 'fan'],
  [/door/i, 'door'],
  [/alarm/i, 'alarm'],
  [/air|room|box|cabinet|chamber|temp|probe|channel|sensor|°|ch ?1\b|t1\b/i, 'air'],
];

function useOf(name: string, numbers: readonly number[], doubts: string[]): ColumnUse {
  const exact = formatColumns.get(name.toLowerCase());
  if (exact) return { name, ...exact };
  const flags = numbers.length > 0 && numbers.every((n) => n === 0 || n === 1);
  const role =
    words.find(([pattern, r]) => pattern.test(name) && (flags ? !isTemperature(r) : true))?.[1] ?? null;
  if (role === null || !isTemperature(role)) {
    // Words such as "defrost" stand over temperatures too; those hold other numbers than 0 and 1.
    if (
      role !== null &&
      !flags &&
      numbers.length > 0 &&
      ['compressor', 'defrost', 'fan', 'door', 'alarm'].includes(role)
    )
      return {
        name,
        role: role === 'defrost' ? 'coil' : null,
        fahrenheit: saysFahrenheit(name, numbers, doubts),
      };
    return { name, role, fahrenheit: false };
  }
  return { name, role, fahrenheit: saysFahrenheit(name, numbers, doubts) };
}

function saysFahrenheit(name: string, numbers: readonly number[], doubts: string[]): boolean {
  if (/(°|º|deg\w*|\(|\[|_|\b)\s*F\b/i.test(name) && !/off/i.test(name)) return true;
  if (/(°|º|deg\w*|\(|\[|_|\b)\s*C\b|celsius/i.test(name)) return false;
  if (/fahrenheit/i.test(name)) return true;
  const middle = numbers.toSorted((a, b) => a - b)[Math.floor(numbers.length / 2)];
  const fahrenheit = middle !== undefined && middle > 24;
  doubts.push(
    `“${name}” does not say its degrees: ${fahrenheit ? '°F is assumed, since most of it lies above 24' : '°C is assumed'}. Look at it.`,
  );
  return fahrenheit;
}

/** Two columns cannot hold the same: the first keeps the role, the next air column becomes the product, others are left out. */
function eachRoleOnce(columns: readonly ColumnUse[], doubts: string[]): readonly ColumnUse[] {
  const taken = new Set<ColumnRole>();
  return columns.map((column) => {
    if (column.role === null || !taken.has(column.role)) {
      if (column.role) taken.add(column.role);
      return column;
    }
    const spare = (['coil', 'product', 'ambient'] as const).find(
      (role) => column.role === 'air' && !taken.has(role),
    );
    if (!spare) return { ...column, role: null };
    taken.add(spare);
    doubts.push(`“${column.name}” is taken for the ${spare}: choose what it is.`);
    return { ...column, role: spare };
  });
}
