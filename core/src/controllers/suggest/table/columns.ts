import { parseNumber } from '../../../foundation/quantities/index.ts';
import { isCode, isUnit, isValue, rangeCell } from './cellKinds.ts';
import { meanLength, share } from './shares.ts';
import type { SplitLine } from './splitLines.ts';

/** What a column of a table holds. `options` are words such as "0 = runs"; `left` is kept and not read. */
export type ColumnRole =
  'code' | 'description' | 'unit' | 'min' | 'max' | 'range' | 'default' | 'options' | 'folder' | 'left';

/** Columns of a table, and whether its first line names them. */
export interface Columns {
  readonly roles: readonly ColumnRole[];
  readonly header: boolean;
}

const headers: readonly (readonly [RegExp, ColumnRole])[] = [
  [
    /^(codes?|cod\.?|label|symbol|mnemonic|no\.?|nr\.?|n°|#|key|item|display|abbr\.?|id|ident|ref\.?|pos\.?|prompt|screen|par\. ?(code|no\.?)|(parameter|menu) (code|no\.?|number))$/i,
    'code',
  ],
  [
    /^(desc.*|name|meaning|function|parameter (description|name)|text|what.*|explanation|designation|denomination|details?|effect)$/i,
    'description',
  ],
  [/^((eng\.? ?)?units?|u\.? ?m\.?|uom|dim(ension)?s?\.?|unit of meas.*|meas\.? ?unit|measure)$/i, 'unit'],
  [/^(min\.?|minimum|low(er|est)?( limit)?|from|least|min\.? value)$/i, 'min'],
  [/^(max\.?|maximum|high(er|est)?( limit)?|upper( limit)?|to|greatest|max\.? value)$/i, 'max'],
  [
    /^((setting |adj\w*\.? |value )?range( of (values|settings?|adjustment))?|(setting )?limits?|(possible |permitted )?values?|settings?|min\.? ?[./…÷-]+ ?max\.?)$/i,
    'range',
  ],
  [
    /^(def\.?|fact\.?|default( value| setting)?|factory( value| setting| default)?|(factory )?preset( value)?|std\.?|standard( value)?|init(ial)?\.?( value)?|(ex )?works( setting| value)?|dflt\.?|deflt\.?|delivered|(as )?(delivered|supplied|shipped)|basic setting|from factory|fact\.? ?set\.?(ting)?)$/i,
    'default',
  ],
  [/^(options?|choices?|remarks?|notes?|comments?)$/i, 'options'],
  [/^(folder|group|menu|path|level|section)$/i, 'folder'],
  [
    /^(your (own )?(value|setting)s?|own (value|setting)s?|set to|actual|user|customer|page|pag\.?)$/i,
    'left',
  ],
];
/** Heads a column of codes, or where there is one already a column of descriptions. */
const parameter = /^par(am(eter)?s?)?\.?$/i;

/** What a heading names, seen by itself. */
export function roleOfHeading(cell: string): ColumnRole | null {
  const text = cell.trim();
  if (parameter.test(text)) return 'code';
  return headers.find(([pattern]) => pattern.test(text))?.[1] ?? null;
}

/** What the cells of a heading line name: each role once, the first that has it. */
export function rolesOfHeading(cells: readonly string[]): readonly (ColumnRole | null)[] {
  const own = cells.map((cell) => (parameter.test(cell.trim()) ? null : roleOfHeading(cell)));
  const roles = cells.map((cell, i) =>
    parameter.test(cell.trim()) ? (own.includes('code') ? 'description' : 'code') : own[i]!,
  );
  const missing = (role: ColumnRole) => !roles.includes(role);
  // Rows that are counted, beside their codes and their words: the count is none of the control's.
  const at = cells.findIndex((cell) => parameter.test(cell.trim()));
  const isCounted = /^(pos|no|nr|n°|#|item|index)\.?$/i;
  const counted = own.findIndex((role, i) => role === 'code' && isCounted.test(cells[i]!.trim()));
  if (at >= 0 && counted >= 0 && own.includes('description')) {
    roles[counted] = 'left';
    roles[at] = 'code';
  }
  const settled = roles.map((role, i) => {
    // "Menu" heads codes where nothing else does; "Setting" words, where least and greatest stand by themselves.
    if (role === 'folder' && missing('code') && /^menu$/i.test(cells[i]!.trim())) return 'code';
    const ends = !missing('min') && !missing('max');
    return role === 'range' && ends && missing('description') ? 'description' : role;
  });
  return settled.map((role, i) => (role === 'left' || settled.indexOf(role) === i ? role : null));
}

/** Finds what each column holds: by the words of a header line where there is one, else by what stands in the column. */
export function findColumns(lines: readonly SplitLine[]): Columns {
  const width = Math.max(0, ...lines.map((l) => l.cells.length));
  const named = rolesOfHeading(lines[0]?.cells ?? []);
  const header = named.filter((n) => n !== null).length >= Math.min(2, width);
  const body = header ? lines.slice(1) : lines;
  const roles: (ColumnRole | null)[] = Array.from({ length: width }, (_, i) =>
    header ? (named[i] ?? null) : null,
  );
  const column = (i: number) => body.map((l) => l.cells[i] ?? '').filter((cell) => cell !== '');
  const open = () => roles.flatMap((role, i) => (role === null ? [i] : []));
  const take = (role: ColumnRole, score: (cells: readonly string[]) => number, least: number) => {
    if (roles.includes(role)) return;
    const ranked = open()
      .map((i) => ({ i, score: score(column(i)) }))
      .filter((c) => c.score >= least)
      .sort((a, b) => b.score - a.score || a.i - b.i);
    if (ranked[0]) roles[ranked[0].i] = role;
  };
  // "Name" may head the codes, beside a column of explanations.
  const byName = roles.indexOf('description');
  if (byName >= 0 && !roles.includes('code') && codeScore(column(byName)) >= 0.9) {
    roles[byName] = 'code';
    const words = open().find((i) => roleOfHeading(lines[0]!.cells[i] ?? '') === 'description');
    if (words !== undefined) roles[words] = 'description';
  }
  take(
    'description',
    (cells) => (share(cells, (c) => /[A-Za-z]{3,}.*\s/.test(c)) > 0.5 ? meanLength(cells) : 0),
    5,
  );
  take('unit', (cells) => share(cells, isUnit), 0.6);
  take('range', (cells) => share(cells, (c) => rangeCell(c) !== null), 0.6);
  take('code', codeScore, 0.7);
  takeNumbers(roles, body, open());
  take('options', (cells) => share(cells, (c) => /[=:]|\d\s+[a-z]{2,}/i.test(c)) * 10, 3);
  take(
    'folder',
    (cells) => (new Set(cells).size <= cells.length / 2 ? share(cells, (c) => /[A-Za-z]{2,}/.test(c)) : 0),
    0.8,
  );
  return { roles: roles.map((role) => role ?? 'left'), header };
}

/** Codes are short, and hardly two are alike. Bare numbers are codes only where they count up. */
function codeScore(cells: readonly string[]): number {
  if (cells.length === 0) return 0;
  const different = new Set(cells).size / cells.length;
  // 1.01, 2.10: menu and line; as values hardly two would be alike and all of two decimals.
  if (different === 1 && share(cells, (cell) => /^\d{1,2}\.\d{2}$/.test(cell)) >= 0.9) return 0.95;
  const numbers = cells.map(parseNumber);
  const countsUp = numbers.every(
    (n, i) => n !== null && Number.isInteger(n) && (i === 0 || n > numbers[i - 1]!),
  );
  const lettered = share(cells, (cell) => /[A-Za-z]/.test(cell)) >= 0.5;
  return different < 0.6 || (!lettered && !countsUp) ? 0 : share(cells, isCode) * (0.7 + 0.3 * different);
}

/**
 * Columns of values are least, greatest and factory value. Which is which the values tell: the least is never above the greatest, and the
 * factory value lies between; booklets' own order (least, greatest, factory) decides between equals.
 */
function takeNumbers(
  roles: (ColumnRole | null)[],
  body: readonly SplitLine[],
  open: readonly number[],
): void {
  const wanted = (['min', 'max', 'default'] as const).filter(
    (role) => !roles.includes(role) && !(role !== 'default' && roles.includes('range')),
  );
  const values = open.filter((i) => {
    const cells = body.map((l) => l.cells[i] ?? '').filter((c) => c !== '');
    return (
      cells.length > 0 && share(cells, isValue) >= 0.7 && share(cells, (c) => parseNumber(c) !== null) >= 0.3
    );
  });
  if (values.length === 0 || wanted.length === 0) return;
  if (values.length === 1) {
    roles[values[0]!] = wanted.includes('default') ? 'default' : wanted[0]!;
    return;
  }
  const orders = arrangements(values, wanted);
  const agrees = (order: ReadonlyMap<ColumnRole, number>) =>
    body.filter(({ cells }) => {
      const at = (role: ColumnRole) => parseNumber(cells[order.get(role) ?? roles.indexOf(role)] ?? '');
      const [min, max, standard] = [at('min'), at('max'), at('default')];
      if (min !== null && max !== null && min > max) return false;
      return standard === null || ((min === null || standard >= min) && (max === null || standard <= max));
    }).length;
  const best = orders.reduce((one, next) => (agrees(next) > agrees(one) ? next : one));
  for (const [role, i] of best) roles[i] = role;
}

/** Every way to give the value columns their roles, the booklets' own order first. */
function arrangements(
  columns: readonly number[],
  roles: readonly ColumnRole[],
): readonly ReadonlyMap<ColumnRole, number>[] {
  const [role, ...rest] = roles;
  if (role === undefined || columns.length === 0) return [new Map()];
  const with_ = columns.flatMap((column) =>
    arrangements(
      columns.filter((c) => c !== column),
      rest,
    ).map((others) => new Map([[role, column] as const, ...others])),
  );
  return columns.length < roles.length ? [...with_, ...arrangements(columns, rest)] : with_;
}
