import { parseNumber } from '../../../foundation/quantities/index.ts';
import {
  parameterOf,
  registerReadings,
  wordsIn,
  type ControllerDefinition,
  type Parameter,
  type Register,
  type RegisterCheck,
  type RegisterReading,
  type RegisterType,
} from '../../definitions/index.ts';
import { readAccess, readScale, readType, readUnit, type PrintedUnit } from './cells.ts';
import {
  readAddress,
  readFunctions,
  wholeNumber,
  wireAddress,
  type AddressCount,
  type RegisterTable,
} from './place.ts';
import {
  readRegisters,
  type PrintedRegister,
  type RegisterRole,
  type RegisterTableRead,
} from './readRegisters.ts';
import { meaningsOf, type StandsFor } from './standsFor.ts';

/** What somebody said of one row, as it was typed; what is not here stands as it was read. */
export interface SaidOfRegister {
  /** `code SP`, `reading air`, or null: left out. */
  readonly is?: string | null;
  /** 1 to 4: which table; 16: holding registers that are only written together. */
  readonly function?: 1 | 2 | 3 | 4 | 16;
  /** As it goes over the wire. */
  readonly address?: string;
  readonly type?: RegisterType;
  readonly wordOrder?: 'highFirst' | 'lowFirst';
  readonly scale?: string;
  /** Empty: as the display shows the code. */
  readonly unit?: string;
  readonly writable?: boolean;
  readonly order?: string;
  readonly unlockAddress?: string;
  readonly unlockValue?: string;
  readonly absent?: string;
  /** Looked at, and right as it stands. */
  readonly checked?: boolean;
}

/** A register table as somebody writes it down: the booklet's text, and what was said of it. */
export interface WrittenRegisters {
  readonly text: string;
  readonly roles: readonly RegisterRole[] | null;
  readonly count: AddressCount;
  /** Where registers stand of which the booklet does not say it: among the holding or the input registers; null: nobody said. */
  readonly table: 3 | 4 | null;
  readonly rows: Readonly<Record<string, SaidOfRegister>>;
  /** By which register the control is told from others, as typed; empty: not stated. */
  readonly check: { readonly function: 3 | 4; readonly address: string; readonly equals: string };
}

export const noRegisters: WrittenRegisters = {
  text: '',
  roles: null,
  count: 'usual',
  table: null,
  rows: {},
  check: { function: 3, address: '', equals: '' },
};

/** A row of the table, what it is taken for, and what is open on it. */
export interface RegisterDraft {
  readonly printed: PrintedRegister;
  readonly is: StandsFor | null;
  /** As it would stand in the definition; null where the row is left out or something is wrong. */
  readonly register: Register | null;
  readonly problems: readonly string[];
  /** What the booklet leaves open, as sentences; none once somebody looked at it. */
  readonly doubts: readonly string[];
  /** The booklet does not say in which table it stands, nor did anybody: asked once, of all of them. */
  readonly noTable: boolean;
  /** Nor whether its address counts from 0 or from 1. */
  readonly noCount: boolean;
}

/** A register table as part of a definition. */
export interface RegistersDraft {
  readonly table: RegisterTableRead;
  readonly rows: readonly RegisterDraft[];
  readonly registers: readonly Register[];
  readonly check: RegisterCheck | null;
  readonly problems: readonly string[];
  /** Whether the booklet leaves it open, of some, in which table they stand, and nobody said it. */
  readonly noTable: boolean;
  /** Whether, of some, it does not say where addresses count from, and nobody did: one register beside the right one must not be written. */
  readonly noCount: boolean;
}

/** What was written of a register table, as registers of a definition, and what is open on it. */
export function draftRegisters(definition: ControllerDefinition, written: WrittenRegisters): RegistersDraft {
  const codes = new Set(definition.parameters.map(({ code }) => code));
  const table = readRegisters(written.text, codes, written.roles ?? undefined);
  const found = meaningsOf(table.rows, definition, (row) => accessOf(row) === true);
  const rows = table.rows.map((printed): RegisterDraft => {
    const said = written.rows[printed.key] ?? {};
    const meaning = found.get(printed.key) ?? null;
    const is = said.is === undefined ? (meaning?.is ?? null) : said.is === null ? null : standsFor(said.is);
    if (is === null) return { printed, is, register: null, problems: [], doubts: [], ...stated };
    const parameter = 'code' in is ? (parameterOf(definition, is.code) ?? null) : null;
    if ('code' in is && !parameter)
      return {
        printed,
        is,
        register: null,
        problems: [`${is.code} is no code of this control`],
        doubts: [],
        ...stated,
      };
    const {
      register,
      problems,
      doubts: open,
      noTable,
      noCount,
    } = asRegister(printed, is, parameter, said, written, definition);
    const guess =
      meaning?.guessed && said.is === undefined
        ? [`That it is ${nameOf(is)} is a likely match, not a sure one`]
        : [];
    const doubts = said.checked ? [] : [...guess, ...open];
    return {
      printed,
      is,
      register: register && keptFrom(register, noTable || noCount || doubts.length > 0),
      problems,
      doubts,
      noTable,
      noCount,
    };
  });
  const check = checkOf(written.check);
  return {
    table,
    rows,
    registers: rows.flatMap(({ register }) => register ?? []),
    check: typeof check === 'string' ? null : check,
    noTable: rows.some(({ noTable }) => noTable),
    noCount: rows.some(({ noCount }) => noCount),
    problems: [
      ...(written.text.trim() !== '' && table.problem !== null ? [`Registers: ${table.problem}`] : []),
      ...rows.flatMap(({ printed, problems }) =>
        problems.map((problem) => `Registers, line ${printed.line}: ${problem}`),
      ),
      ...(typeof check === 'string' ? [check] : []),
    ],
  };
}

/** Of a row that is left out, or is none. */
const stated = { noTable: false, noCount: false } as const;

/** What is in doubt is read, and not written. */
function keptFrom({ writable, ...register }: Register, inDoubt: boolean): Register {
  return writable && !inDoubt ? { ...register, writable } : register;
}

/** Name of what a row stands for, as it is kept: `code SP`, `reading air`. */
export const nameOf = (is: StandsFor): string => ('code' in is ? `code ${is.code}` : `reading ${is.reading}`);

function standsFor(name: string): StandsFor | null {
  const [kind, rest] = [name.slice(0, name.indexOf(' ')), name.slice(name.indexOf(' ') + 1)];
  if (kind === 'code') return { code: rest };
  return registerReadings.includes(rest as RegisterReading) ? { reading: rest as RegisterReading } : null;
}

function accessOf({ access, function: by }: PrintedRegister): boolean | null {
  const said = access === '' ? null : readAccess(access);
  if (said !== null) return said;
  return readFunctions(by)?.writes ? true : null;
}

/** One row as a register: each part as it was said, else as the booklet prints it, else as is usual. */
function asRegister(
  printed: PrintedRegister,
  is: StandsFor,
  parameter: Parameter | null,
  said: SaidOfRegister,
  { count, table: usualTable }: WrittenRegisters,
  definition: ControllerDefinition,
): Pick<RegisterDraft, 'register' | 'problems' | 'doubts' | 'noTable' | 'noCount'> {
  const problems: string[] = [];
  const doubts: string[] = [];
  const printedAddress = readAddress(printed.address)!;
  const functions = readFunctions(printed.function);
  // Five digits under functions of another table are a plain address.
  const isPlain =
    functions !== null && printedAddress.table !== null && printedAddress.table !== functions.table;
  const address = isPlain
    ? { ...printedAddress, form: 'plain' as const, number: Number(printed.address.match(/\d+/)![0]) }
    : printedAddress;
  const type = readType(printed.type);
  const told = functions?.table ?? address.table ?? (type?.type === 'bit' ? ('reading' in is ? 2 : 1) : null);
  const table: RegisterTable = told ?? usualTable ?? 3;
  const noTable = told === null && usualTable === null && said.function === undefined;
  const noCount = address.form === 'plain' && count === 'usual' && said.address === undefined;
  const width = address.words === 2 ? 'int32' : 'int16';
  const own = type?.type ?? width;
  const usual: RegisterType = table <= 2 ? 'bit' : own === 'bit' ? 'uint16' : own;
  const by =
    said.function ?? (table === 3 && functions?.writes === 'many' && wordsIn(usual) === 1 ? 16 : table);
  const kind = said.type ?? usual;
  if (wordsIn(kind) === 2 && said.wordOrder === undefined && !type?.wordOrder)
    doubts.push('Which of its two words comes first is not said: taken as the high one');
  const wire = said.address === undefined ? wireAddress(address, count) : wholeNumber(said.address);
  if (wire === null || wire < 0 || wire > 0xffff)
    problems.push(
      `"${said.address ?? printed.address}" is no address: expected a whole number from 0 to 65535`,
    );
  const isNumber = parameter
    ? parameter.encoding.type === 'number'
    : 'reading' in is && isTemperature(is.reading);
  const scale = isNumber && kind !== 'bit' ? scaleOf(printed, said, parameter, kind, doubts, problems) : 1;
  const unit = isNumber ? unitOf(printed, said, parameter, definition, doubts) : undefined;
  const writable = said.writable ?? ('code' in is && accessOf(printed) === true);
  const order = typed('The place in the order of writing', said.order, problems);
  const absent = typed('What stands for a probe that is not there', said.absent, problems);
  const unlock = unlockOf(said, problems);
  if (problems.length > 0) return { register: null, problems, doubts, noTable, noCount };
  const wordOrder = said.wordOrder ?? type?.wordOrder ?? 'highFirst';
  const register: Register = {
    ...is,
    function: by,
    address: wire!,
    type: kind,
    ...(wordsIn(kind) === 2 && { wordOrder }),
    ...(scale !== 1 && { scale }),
    ...(unit !== undefined && { unit }),
    ...(writable && { writable }),
    ...(order !== null && { order }),
    ...(unlock && { unlock }),
    ...(absent !== null && { absent }),
  };
  return { register, problems, doubts, noTable, noCount };
}

const isTemperature = (reading: RegisterReading): boolean =>
  reading === 'air' || reading === 'coil' || reading === 'secondCoil' || reading === 'product';

function scaleOf(
  printed: PrintedRegister,
  said: SaidOfRegister,
  parameter: Parameter | null,
  type: RegisterType,
  doubts: string[],
  problems: string[],
): number {
  if (said.scale !== undefined && said.scale.trim() !== '') {
    const scale = readScale(said.scale);
    if (scale === null) problems.push(`"${said.scale}" is no scale: expected such as 10, 0.1 or x10`);
    return scale ?? 1;
  }
  const stated =
    (printed.scale === '' ? null : readScale(printed.scale)) ??
    (printed.decimals === '' ? null : readScale(printed.decimals, true)) ??
    readUnit(printed.unit).scale;
  if (stated !== null) return stated;
  if (type === 'float32') return 1;
  const encoding = parameter?.encoding;
  const resolution = encoding?.type === 'number' ? (encoding.resolution ?? 1) : 0.1;
  const finest = typeof resolution === 'number' ? resolution : resolution.withDecimal;
  if (finest >= 1) return 1;
  doubts.push('Whether it holds tenths is not said: taken so, as the display shows them');
  return 10;
}

/** The unit on the bus, or undefined: as the display shows the code. */
function unitOf(
  printed: PrintedRegister,
  said: SaidOfRegister,
  parameter: Parameter | null,
  definition: ControllerDefinition,
  doubts: string[],
): string | undefined {
  if (said.unit !== undefined) return said.unit === '' ? undefined : said.unit;
  const { unit } = readUnit(printed.unit);
  if (!parameter) {
    if (unit !== 'degC' && unit !== 'degF')
      doubts.push('In which unit the bus tells this temperature is not said: taken as °C');
    return unit === 'degF' ? 'degF' : 'degC';
  }
  const { encoding } = parameter;
  if (encoding.type !== 'number' || unit === null || unit === 'display') return undefined;
  const isWarm = unit === 'degC' || unit === 'degF';
  const isDifference =
    encoding.unit === 'displayDifference' || encoding.unit === 'K' || encoding.unit === 'deltaF';
  const follows = encoding.unit === 'displayTemperature' || encoding.unit === 'displayDifference';
  if (isWarm !== (follows || isDifference || encoding.unit === 'degC' || encoding.unit === 'degF'))
    return undefined;
  const own = !isWarm ? unit : isDifference ? DIFFERENCE[unit] : unit;
  if (own === encoding.unit) return undefined;
  const turns = definition.parameters.some(({ setting }) => setting === 'display.unit');
  if (follows && turns)
    doubts.push(
      `The booklet prints ${unit === 'degC' ? '°C' : '°F'}: taken so whatever the display stands in; say so if the bus follows the display`,
    );
  return own;
}
const DIFFERENCE: Readonly<Partial<Record<PrintedUnit, string>>> = { degC: 'K', degF: 'deltaF' };

function typed(what: string, text: string | undefined, problems: string[]): number | null {
  if (text === undefined || text.trim() === '') return null;
  const number = parseNumber(text);
  if (number === null) problems.push(`${what}: "${text}" is not a number`);
  return number;
}

function unlockOf(
  { unlockAddress = '', unlockValue = '' }: SaidOfRegister,
  problems: string[],
): { readonly address: number; readonly value: number } | null {
  if (unlockAddress.trim() === '' && unlockValue.trim() === '') return null;
  const [address, value] = [wholeNumber(unlockAddress), wholeNumber(unlockValue)];
  if (address !== null && value !== null) return { address, value };
  problems.push('What must be written first: expected a register and a value, whole numbers from 0 to 65535');
  return null;
}

function checkOf({
  function: by,
  address,
  equals,
}: WrittenRegisters['check']): RegisterCheck | string | null {
  if (address.trim() === '' && equals.trim() === '') return null;
  const [at, value] = [wholeNumber(address), wholeNumber(equals)];
  if (at === null || value === null)
    return 'The register that tells this control from others: expected an address and a value, whole numbers from 0 to 65535';
  return { function: by, address: at, equals: value };
}
