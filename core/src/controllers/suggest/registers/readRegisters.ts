import { meanLength, share } from '../table/shares.ts';
import { MOST_LINES, splitLines, type SplitLine } from '../table/splitLines.ts';
import { readAccess, readScale, readType, readUnit } from './cells.ts';
import { readAddress, readFunctions } from './place.ts';

/** What a column of a register table holds. */
export type RegisterRole =
  | 'address'
  | 'function'
  | 'code'
  | 'description'
  | 'type'
  | 'scale'
  | 'decimals'
  | 'unit'
  | 'access'
  | 'left';

/** A row of a register table as the booklet prints it. */
export type PrintedRegister = { readonly line: number; readonly key: string } & Readonly<
  Record<Exclude<RegisterRole, 'left'>, string>
>;

/** A register table taken apart. */
export interface RegisterTableRead {
  readonly roles: readonly RegisterRole[];
  readonly rows: readonly PrintedRegister[];
  /** Lines without an address: headings, notes, what is broken. */
  readonly aside: readonly { readonly line: number; readonly text: string }[];
  /** What concerns the table as a whole; null where all is well. */
  readonly problem: string | null;
}

const HEADS: readonly (readonly [RegExp, RegisterRole])[] = [
  [
    /^((modbus )?(addr(ess)?|reg(ister)?s?|offset)\.?( ?(no|nr|addr(ess)?|number)\.?)?( ?\(?(dec(imal)?|hex)\)?)?|dec\.?|hex\.?|no\.?|nr\.?|#)$/i,
    'address',
  ],
  [
    /^(f(u)?nct?(ion)?s?\.?( ?codes?)?|f\.?c\.?|table|area|object( type)?|reg(ister)?\.? (type|kind)|kind|class)$/i,
    'function',
  ],
  [/^(codes?|par(am(eter)?)?\.?( code)?|label|symbol|mnemonic|menu|variable|display|tag|id)$/i, 'code'],
  [
    /^(desc.*|name|meaning|text|what.*|designation|signal|point|content|parameter (name|description))$/i,
    'description',
  ],
  [/^((data|value|var\w*) ?)?(types?|format)$/i, 'type'],
  [/^(scal(e|ing)|factor|mult(ipl\w*)?\.?|resolution|res\.?|gain|divisor|div\.?|x)$/i, 'scale'],
  [/^(decimals?|dec\.? (places|point)|digits|dp)$/i, 'decimals'],
  [/^(units?( of.*)?|u\.?m\.?|uom|eng.*|dim\.?)$/i, 'unit'],
  [/^(access|r ?\/? ?w|read ?\/? ?write|mode|acc\.?|permissions?|direction|attr.*|writ(e)?able)$/i, 'access'],
];

/**
 * Reads a register table pasted from a booklet: by separators, columns of spaces, or line by line. Nothing is dropped in silence: a line without an address stands in `aside`.
 *
 * @param codes the codes of the control, by which their column is known
 * @param roles what the columns hold, where somebody said so
 */
export function readRegisters(
  pasted: string,
  codes: ReadonlySet<string>,
  roles?: readonly RegisterRole[],
): RegisterTableRead {
  const text = pasted.replace(/[^\S\r\n\t]{60,}/g, ' '.repeat(60));
  const { separator, lines } = splitLines(text);
  const none = { roles: [], rows: [], aside: [] };
  if (lines.length === 0)
    return { ...none, problem: 'Nothing to read: expected a register table, one register a line' };
  if (lines.length > MOST_LINES)
    return {
      ...none,
      problem: `${lines.length} lines; expected at most ${MOST_LINES}: this is no register table`,
    };
  const split =
    separator === 'text' ? lines.map((line) => ({ ...line, cells: cellsOf(line.cells[0]!, codes) })) : lines;
  const heading = split.slice(0, FURTHEST_HEADING).findIndex(({ cells }) => headed(cells).length >= 2);
  const body = split.slice(heading + 1);
  const found = roles ?? findRoles(heading < 0 ? [] : split[heading]!.cells, body, codes);
  const at = found.indexOf('address');
  const isRow = ({ cells }: SplitLine) => at >= 0 && readAddress(cells[at] ?? '') !== null;
  const times = new Map<string, number>();
  const rows = body.filter(isRow).map((line) => rowOf(line, found, times));
  const aside = [...split.slice(0, heading + 1), ...body.filter((line) => !isRow(line))].map(
    ({ line, cells }) => ({
      line,
      text: cells.filter((cell) => cell !== '').join(' '),
    }),
  );
  const problem =
    at < 0
      ? 'No column of addresses was found: say which it is'
      : rows.length === 0
        ? 'No line holds an address: expected such as 17, 0x0011 or 40017'
        : null;
  return { roles: found, rows, aside, problem };
}

/** A preamble is no longer than this, lines. */
const FURTHEST_HEADING = 25;

const headed = (cells: readonly string[]): readonly RegisterRole[] =>
  cells.flatMap((cell) => HEADS.find(([pattern]) => pattern.test(cell.trim()))?.[1] ?? []);

function rowOf(
  { line, cells }: SplitLine,
  roles: readonly RegisterRole[],
  times: Map<string, number>,
): PrintedRegister {
  const at = (role: RegisterRole) =>
    roles
      .flatMap((one, i) => (one === role && cells[i] ? [cells[i]] : []))
      .join(' ')
      .trim();
  const [address, by] = [at('address'), at('function')];
  const name = `${by} ${address}`.trim();
  const before = times.get(name) ?? 0;
  times.set(name, before + 1);
  return {
    line,
    key: before === 0 ? name : `${name} (${before + 1})`,
    address,
    function: by,
    code: at('code'),
    description: at('description'),
    type: at('type'),
    scale: at('scale'),
    decimals: at('decimals'),
    unit: at('unit'),
    access: at('access'),
  };
}

const ADDRESS = /addr|offset|^(modbus )?reg(ister)?s?\.?( ?(no|nr|number)\.?)?$/i;

/** What a heading names, where what stands under it says otherwise: "Name" heads codes or words, "Function" numbers or words, "Type" types or tables, "Parameter" codes or words. */
function byContent(
  role: RegisterRole,
  share: (test: (cell: string) => boolean) => number,
  codes: ReadonlySet<string>,
): RegisterRole {
  const areCodes = share((cell) => codes.has(cell.toLowerCase())) >= 0.3;
  const areTables = share((cell) => readFunctions(cell) !== null) >= 0.7;
  if (role === 'description') return areCodes ? 'code' : role;
  if (role === 'code') return areCodes ? role : 'description';
  if (role === 'function') return areTables ? role : 'description';
  if (role === 'type') return areTables && share((cell) => readType(cell) !== null) < 0.5 ? 'function' : role;
  return role;
}

/** What each column holds: by its heading, where what stands under it agrees, else by what stands there. */
function findRoles(
  heading: readonly string[],
  body: readonly SplitLine[],
  codes: ReadonlySet<string>,
): readonly RegisterRole[] {
  const width = Math.max(heading.length, ...body.map(({ cells }) => cells.length));
  const roles: (RegisterRole | null)[] = Array.from({ length: width }, () => null);
  const rows = body.filter(({ cells }) => cells.filter((cell) => cell !== '').length >= 2);
  const column = (i: number) => rows.map(({ cells }) => cells[i] ?? '').filter((cell) => cell !== '');
  const folded = new Set([...codes].map((code) => code.toLowerCase()));
  // Rows are counted in one booklet ("No."), beside their addresses; in another that is the address.
  const isCounted = heading.some((cell) => ADDRESS.test(cell)) ? /^(no|nr)\.?$|^#$/i : null;
  heading.forEach((cell, i) => {
    const role = isCounted?.test(cell.trim())
      ? 'left'
      : (HEADS.find(([pattern]) => pattern.test(cell.trim()))?.[1] ?? null);
    const settled = role && byContent(role, (test) => share(column(i), test), folded);
    if (settled === 'address' && share(column(i), (c) => readAddress(c) !== null) < 0.5) return;
    if (settled !== null && (settled === 'left' || !roles.includes(settled))) roles[i] = settled;
  });
  const take = (role: RegisterRole, score: (i: number) => number, least: number) => {
    if (roles.includes(role)) return;
    const best = roles
      .flatMap((one, i) => (one === null ? [{ i, score: score(i) }] : []))
      .filter((one) => one.score >= least)
      .sort((a, b) => b.score - a.score || a.i - b.i)[0];
    if (best) roles[best.i] = role;
  };
  const different = (i: number) => new Set(rows.map(({ cells }) => cells[i])).size / Math.max(1, rows.length);
  take('code', (i) => share(column(i), (c) => codes.has(c)), 0.3);
  take('address', (i) => share(column(i), (c) => readAddress(c) !== null) * different(i), 0.6);
  take('type', (i) => share(column(i), (c) => /[a-z]{3}|\d\d/i.test(c) && readType(c) !== null), 0.6);
  take('access', (i) => share(column(i), (c) => readAccess(c) !== null), 0.7);
  take('unit', (i) => share(column(i), (c) => readUnit(c).unit !== null), 0.5);
  take('function', (i) => (different(i) < 0.5 ? share(column(i), (c) => readFunctions(c) !== null) : 0), 0.7);
  take(
    'scale',
    (i) => share(column(i), (c) => readScale(c) !== null && /^([x×*/÷]|1\/|1?0[.,]|10+$|1$)/.test(c)),
    0.7,
  );
  take(
    'description',
    (i) => (share(column(i), (c) => /[a-z]{2}/i.test(c)) > 0.5 ? meanLength(column(i)) : 0),
    3,
  );
  return roles.map((role) => role ?? 'left');
}

/** A line of running text as cells: the address in front, a code after it where one is there, and what is known from the end on. */
function cellsOf(line: string, codes: ReadonlySet<string>): readonly string[] {
  const words = line.trim().split(/\s+/);
  const [address = '', ...rest] = words;
  if (readAddress(address) === null) return [line];
  const code = codes.has(rest[0] ?? '') ? rest.shift()! : '';
  const tail: Record<'type' | 'scale' | 'unit' | 'access', string> = {
    type: '',
    scale: '',
    unit: '',
    access: '',
  };
  while (rest.length > 1) {
    const word = rest.at(-1)!;
    const role =
      tail.access === '' && readAccess(word) !== null
        ? 'access'
        : tail.unit === '' && readUnit(word).unit !== null
          ? 'unit'
          : tail.scale === '' && /^[x×*/÷]?\d/.test(word) && readScale(word) !== null
            ? 'scale'
            : tail.type === '' && readType(word) !== null
              ? 'type'
              : null;
    if (role === null) break;
    tail[role] = rest.pop()!;
  }
  return [address, code, rest.join(' '), tail.type, tail.scale, tail.unit, tail.access];
}
