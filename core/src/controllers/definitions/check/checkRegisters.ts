import { encodingUnits } from '../definition.ts';
import {
  HIGHEST_WORD,
  readFunctionOf,
  registerFunctions,
  registerReadings,
  registerTypes,
  wordsIn,
  writeFunctionOf,
  type Register,
} from '../register.ts';
import { isRecord, shown, type Faults } from './fault.ts';

/** What the four tables of a device are called, by the function that reads them. */
const TABLES = { 1: 'coils', 2: 'contacts', 3: 'holding registers', 4: 'input registers' } as const;
/** A bus knows no display: its units are fixed. */
const UNITS: readonly string[] = encodingUnits.filter((unit) => !unit.startsWith('display'));

/** Judges the register table: each row by itself, and that no two rows of one table overlap. */
export function checkRegisters(
  definition: Readonly<Record<string, unknown>>,
  codes: ReadonlySet<string>,
  faults: Faults,
): void {
  checkWhich(definition['registerCheck'], faults);
  if (definition['registers'] === undefined) return;
  const spans: { table: string; from: number; to: number; path: string; is: string }[] = [];
  const named = new Map<string, string>();
  faults.array('$.registers', definition['registers']).forEach((raw, i) => {
    const path = `$.registers[${i}]`;
    const register = faults.object(path, raw);
    if (!register) return;
    const is = checkName(path, register, codes, named, faults);
    const words = checkPlace(path, register, faults);
    checkRest(path, register, faults);
    if (words === null) return;
    const table = TABLES[readFunctionOf(register as unknown as Register)];
    const from = register['address'] as number;
    const span = { table, from, to: from + words - 1, path, is };
    const other = spans.find((one) => one.table === table && one.from <= span.to && span.from <= one.to);
    if (other)
      faults.add(
        `${path}.address`,
        `address ${from} of the ${table} belongs to ${other.is} already, at ${other.path}`,
      );
    spans.push(span);
  });
}

/** What the row is called: a code of the definition, or a reading, and one of them alone. */
function checkName(
  path: string,
  { code, reading }: Readonly<Record<string, unknown>>,
  codes: ReadonlySet<string>,
  named: Map<string, string>,
  faults: Faults,
): string {
  const is = String(code ?? reading);
  if ((code === undefined) === (reading === undefined))
    faults.add(path, 'expected either a code of this definition or a reading');
  else if (code !== undefined && !codes.has(code as string))
    faults.add(`${path}.code`, `${shown(code)} is no code of this definition`);
  else if (reading !== undefined && !registerReadings.includes(reading as never))
    faults.add(
      `${path}.reading`,
      `${shown(reading)} is unknown; expected one of ${registerReadings.join(', ')}`,
    );
  const key = `${code === undefined ? 'reading' : 'code'} ${is}`;
  const before = named.get(key);
  if (before !== undefined) faults.add(path, `${is} already stands at ${before}`);
  else named.set(key, path);
  return is;
}

/** Function, address and type; how many words or bits it takes, null where one of them is wrong. */
function checkPlace(
  path: string,
  register: Readonly<Record<string, unknown>>,
  faults: Faults,
): number | null {
  const { function: by, address, type } = register;
  const isFunction = registerFunctions.includes(by as never);
  if (!isFunction)
    faults.add(
      `${path}.function`,
      `${shown(by)} is unknown; expected one of ${registerFunctions.join(', ')}`,
    );
  const isType = registerTypes.includes(type as never);
  if (!isType)
    faults.add(`${path}.type`, `${shown(type)} is unknown; expected one of ${registerTypes.join(', ')}`);
  const words = isType ? wordsIn(type as Register['type']) : 1;
  const isAddress = Number.isInteger(address) && (address as number) >= 0;
  if (!isAddress || (address as number) + words - 1 > HIGHEST_WORD)
    faults.add(
      `${path}.address`,
      `expected a whole number from 0 to ${HIGHEST_WORD}, found ${shown(address)}`,
    );
  const isBit = [1, 2, 5].includes(by as number);
  if (isFunction && isType && isBit !== (type === 'bit'))
    faults.add(
      `${path}.type`,
      isBit ? `function ${shown(by)} speaks to single bits` : 'a bit is read by 1 or 2, or written by 5',
    );
  else if (by === 6 && words === 2)
    faults.add(`${path}.function`, 'two registers are written together: function 16');
  return isFunction && isAddress && isType ? words : null;
}

function checkRest(path: string, register: Readonly<Record<string, unknown>>, faults: Faults): void {
  const { wordOrder, scale, unit, writable, order, unlock, absent, function: by } = register;
  if (wordOrder !== undefined && wordOrder !== 'highFirst' && wordOrder !== 'lowFirst')
    faults.add(`${path}.wordOrder`, `expected highFirst or lowFirst, found ${shown(wordOrder)}`);
  if (scale !== undefined && !(typeof scale === 'number' && Number.isFinite(scale) && scale !== 0))
    faults.add(`${path}.scale`, `expected a number other than 0, found ${shown(scale)}`);
  if (unit !== undefined && !UNITS.includes(unit as string))
    faults.add(`${path}.unit`, `${shown(unit)} is unknown; expected one of ${UNITS.join(', ')}`);
  if (writable !== undefined && typeof writable !== 'boolean')
    faults.add(`${path}.writable`, `expected true or false, found ${shown(writable)}`);
  if (writable === true && registerFunctions.includes(by as never) && !writeFunctionOf(register as never))
    faults.add(`${path}.writable`, `what is read by function ${by} cannot be written`);
  if (order !== undefined && !Number.isFinite(order))
    faults.add(`${path}.order`, `expected a number, found ${shown(order)}`);
  if (absent !== undefined && !Number.isFinite(absent))
    faults.add(`${path}.absent`, `expected a number, found ${shown(absent)}`);
  if (unlock !== undefined) checkUnlock(`${path}.unlock`, unlock, faults);
}

function checkUnlock(path: string, raw: unknown, faults: Faults): void {
  const unlock = faults.object(path, raw);
  if (!unlock) return;
  for (const field of ['address', 'value'] as const) checkWord(`${path}.${field}`, unlock[field], faults);
}

function checkWhich(raw: unknown, faults: Faults): void {
  if (raw === undefined) return;
  const path = '$.registerCheck';
  if (!isRecord(raw)) return faults.add(path, `expected an object, found ${shown(raw)}`);
  if (raw['function'] !== 3 && raw['function'] !== 4)
    faults.add(`${path}.function`, `expected 3 or 4, found ${shown(raw['function'])}`);
  for (const field of ['address', 'equals'] as const) checkWord(`${path}.${field}`, raw[field], faults);
}

function checkWord(path: string, value: unknown, faults: Faults): void {
  if (!(Number.isInteger(value) && (value as number) >= 0 && (value as number) <= HIGHEST_WORD))
    faults.add(path, `expected a whole number from 0 to ${HIGHEST_WORD}, found ${shown(value)}`);
}
