import type { ControllerDefinition, RegisterReading } from '../../definitions/index.ts';
import { CLEAR, suggestSetting } from '../match/suggest.ts';
import { readUnit } from './cells.ts';
import type { PrintedRegister } from './readRegisters.ts';

/** What a register stands for: the value of a code, or something the unit does. */
export type StandsFor = { readonly code: string } | { readonly reading: RegisterReading };

/** What a row was found to stand for, and whether somebody should look at it. */
export interface FoundMeaning {
  readonly is: StandsFor;
  readonly guessed: boolean;
}

/** Words of what a unit does, the surest first. A set point is never among them. */
const READINGS: readonly (readonly [RegExp, RegisterReading])[] = [
  [/\balarms?\b/i, 'alarm'],
  [/\b(second|2nd|two)\b.*\b(coil|evap\w*)\b|\b(coil|evap\w*)( probe| temp\w*)? ?2\b/i, 'secondCoil'],
  [/\b(coil|evap\w*|defrost (probe|sensor|temp\w*))\b.*|\bprobe 2\b/i, 'coil'],
  [/\b(product|core|food)\b/i, 'product'],
  [/\b(phase|state machine|regulation state|step)\b/i, 'phase'],
  [/\bcompressor\b/i, 'compressor'],
  [/\bdefrost(ing)?\b/i, 'defrost'],
  [/\bfans?\b/i, 'fan'],
  [/\b(air|cabinet|room|cold room|box|control(led)? temp\w*|probe 1|temperature|ambient)\b/i, 'air'],
];
const TEMPERATURES: ReadonlySet<RegisterReading> = new Set(['air', 'coil', 'secondCoil', 'product']);
/** Words of something that is set, and of counts: no reading. */
const SET =
  /set ?point|limit|delay|minim|maxim|differential|interval|duration|offset|calibrat|enable|interlock|type|mode|present|threshold|hours|counter|number of/i;

/**
 * What each row of a register table stands for: a code that it names; else a reading, by its words; else a code whose meaning its words suggest, which somebody should look at. A code or
 * reading is given once, to the row that says it best.
 *
 * @param writable whether a row may be written; a reading may not
 */
export function meaningsOf(
  rows: readonly PrintedRegister[],
  definition: ControllerDefinition,
  writable: (row: PrintedRegister) => boolean,
): ReadonlyMap<string, FoundMeaning> {
  const found = new Map<string, FoundMeaning>();
  const given = new Set<string>();
  const give = (row: PrintedRegister, is: StandsFor, guessed: boolean) => {
    const name = 'code' in is ? `code ${is.code}` : `reading ${is.reading}`;
    if (found.has(row.key) || given.has(name)) return;
    given.add(name);
    found.set(row.key, { is, guessed });
  };
  const codes = new Map(definition.parameters.map(({ code }) => [code, code]));
  const folded = new Map(definition.parameters.map(({ code }) => [code.toLowerCase(), code]));
  for (const row of rows) {
    const code = codes.get(row.code) ?? firstCode(row, codes);
    if (code !== undefined) give(row, { code }, false);
  }
  for (const row of rows) {
    const code = row.code === '' ? undefined : folded.get(row.code.toLowerCase());
    if (code !== undefined) give(row, { code }, true);
  }
  for (const row of rows) {
    const reading = writable(row) || found.has(row.key) ? null : readingIn(row);
    if (reading !== null) give(row, { reading }, false);
  }
  for (const row of rows) {
    if (found.has(row.key) || row.description === '') continue;
    const same = definition.parameters.find(({ name }) => alike(name, row.description));
    if (same) give(row, { code: same.code }, true);
  }
  for (const row of rows) {
    if (found.has(row.key) || row.description === '') continue;
    const { best } = suggestSetting({
      description: row.description,
      unit: row.unit,
      min: '',
      max: '',
      default: '',
    });
    const meant =
      best && best.score >= CLEAR
        ? definition.parameters.filter(({ setting }) => setting === best.setting)
        : [];
    if (meant.length === 1) give(row, { code: meant[0]!.code }, true);
  }
  return found;
}

/** "SP Set point", "Set point (SP)": a code that stands in the description. */
function firstCode(
  { code, description }: PrintedRegister,
  codes: ReadonlyMap<string, string>,
): string | undefined {
  if (code !== '') return undefined;
  const first = /^([^\s:–-]+)(?=[\s:–-]|$)/.exec(description)?.[1];
  const inBrackets = /[([]([^\s)\]]+)[)\]]\s*$/.exec(description)?.[1];
  return codes.get(first ?? '') ?? codes.get(inBrackets ?? '');
}

function readingIn(row: PrintedRegister): RegisterReading | null {
  const words = `${row.code} ${row.description}`;
  if (SET.test(words)) return null;
  const reading = READINGS.find(([pattern]) => pattern.test(words))?.[1] ?? null;
  if (reading === null) return null;
  const unit = readUnit(row.unit).unit;
  const isWarm = unit === 'degC' || unit === 'degF' || unit === 'display' || /temp|probe|sensor/i.test(words);
  // An output is a bit or a number without a unit; a temperature says that it is one.
  if (TEMPERATURES.has(reading)) return isWarm ? reading : null;
  return isWarm && reading !== 'alarm' ? null : unit === null ? reading : null;
}

const plain = (text: string) =>
  text
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, ' ')
    .trim();
const alike = (a: string, b: string) => plain(a) === plain(b);
