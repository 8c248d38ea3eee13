import { parseNumber } from '../../../foundation/quantities/index.ts';
import {
  HIGHEST_WORD,
  wordsIn,
  type ControllerDefinition,
  type Parameter,
  type Register,
  type RegisterReading,
  type RegisterType,
} from '../../definitions/index.ts';
import { readAccess, readScale, readType, readUnit, type PrintedUnit } from './cells.ts';
import { readAddress, readFunctions, wholeNumber, wireAddress, type RegisterTable } from './place.ts';
import type { PrintedRegister } from './readRegisters.ts';
import type { StandsFor } from './standsFor.ts';
import type { SaidOfRegister, WrittenRegisters } from './written.ts';

/** A row as a register: null where something is wrong; what is wrong, and what the booklet leaves open. */
export interface RowAsRegister {
  readonly register: Register | null;
  readonly problems: readonly string[];
  /** As sentences. */
  readonly doubts: readonly string[];
  /** The booklet does not say in which table it stands, nor did anybody: asked once, of all of them. */
  readonly noTable: boolean;
  /** Nor whether its address counts from 0 or from 1. */
  readonly noCount: boolean;
}

/** One row as a register: each part as it was said, else as the booklet prints it, else as is usual. */
export function asRegister(
  printed: PrintedRegister,
  is: StandsFor,
  parameter: Parameter | null,
  said: SaidOfRegister,
  { count, table: usualTable }: WrittenRegisters,
  definition: ControllerDefinition,
): RowAsRegister {
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
  if (wire === null || wire < 0 || wire > HIGHEST_WORD)
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

/** Whether a row says that it may be written; null: it does not say. */
export function accessOf({ access, function: by }: PrintedRegister): boolean | null {
  const said = access === '' ? null : readAccess(access);
  if (said !== null) return said;
  return readFunctions(by)?.writes ? true : null;
}
