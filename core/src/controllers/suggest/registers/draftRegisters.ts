import {
  parameterOf,
  registerReadings,
  type ControllerDefinition,
  type Register,
  type RegisterCheck,
  type RegisterReading,
} from '../../definitions/index.ts';
import { accessOf, asRegister, type RowAsRegister } from './asRegister.ts';
import { wholeNumber } from './place.ts';
import { readRegisters, type PrintedRegister, type RegisterTableRead } from './readRegisters.ts';
import { meaningsOf, type FoundMeaning, type StandsFor } from './standsFor.ts';
import type { SaidOfRegister, WrittenRegisters } from './written.ts';

/** A row of the table, what it is taken for, and what is open on it: no register where it is left out, no doubts once somebody looked at it. */
export interface RegisterDraft extends RowAsRegister {
  readonly printed: PrintedRegister;
  readonly is: StandsFor | null;
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
  const rows = table.rows.map((printed) =>
    draftOf(definition, written, printed, found.get(printed.key) ?? null, written.rows[printed.key] ?? {}),
  );
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

/** Of a row that is left out, or is wrong before its parts are looked at. */
const NOTHING: RowAsRegister = { register: null, problems: [], doubts: [], noTable: false, noCount: false };

function draftOf(
  definition: ControllerDefinition,
  written: WrittenRegisters,
  printed: PrintedRegister,
  meaning: FoundMeaning | null,
  said: SaidOfRegister,
): RegisterDraft {
  const is = said.is === undefined ? (meaning?.is ?? null) : said.is === null ? null : standsFor(said.is);
  if (is === null) return { printed, is, ...NOTHING };
  const parameter = 'code' in is ? (parameterOf(definition, is.code) ?? null) : null;
  if ('code' in is && !parameter)
    return { printed, is, ...NOTHING, problems: [`${is.code} is no code of this control`] };
  const row = asRegister(printed, is, parameter, said, written, definition);
  const guess =
    meaning?.guessed && said.is === undefined
      ? [`That it is ${nameOf(is)} is a likely match, not a sure one`]
      : [];
  const doubts = said.checked ? [] : [...guess, ...row.doubts];
  const inDoubt = row.noTable || row.noCount || doubts.length > 0;
  return { printed, is, ...row, doubts, register: row.register && keptFrom(row.register, inDoubt) };
}

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
