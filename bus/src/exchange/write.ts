import {
  displayOf,
  parameterOf,
  sameCodeValue,
  writeFunctionOf,
  type CodeValue,
  type CodeValues,
  type ControllerDefinition,
  type DisplayState,
  type Register,
} from '@brine/core/controllers/definitions';
import {
  blocksOf,
  codeValueOf,
  hangsOnUnit,
  unitIsKnown,
  type BusWrite,
} from '@brine/core/controllers/registers';
import { LineFailure, type Master } from '../line/index.ts';
import type { Progress } from './readFound.ts';

/**
 * What became of one value: it stands; something else stands there; it was refused, and what stands there; nobody knows, since the line fell silent; or it
 * was not written, and why.
 */
export type Written =
  | { readonly code: string; readonly is: 'written'; readonly value: CodeValue }
  | { readonly code: string; readonly is: 'otherwise'; readonly value: CodeValue; readonly found: CodeValue }
  | {
      readonly code: string;
      readonly is: 'refused';
      readonly value: CodeValue;
      readonly found: CodeValue;
      readonly why: string;
    }
  | { readonly code: string; readonly is: 'notKnown'; readonly value: CodeValue; readonly why: string }
  | { readonly code: string; readonly is: 'notWritten'; readonly value: CodeValue; readonly why: string };

/** After a silence a write is tried again so often, when reading back shows that it was not taken. */
const WRITE_AGAIN = 1;
const OTHER_UNIT = 'The display did not take its unit, and this number would stand for another temperature.';
const SILENT = 'The line had fallen silent before.';

/**
 * Writes values in the order given and reads each back. A write that gets no answer is read back before it is tried again, so that nothing is written twice without need. When the line
 * falls silent, the rest is not written: what stands is not guessed.
 *
 * @param standing values as they were read before
 * @param told how the display stands under which the numbers are told; one that would meet another unit is not written
 */
export async function writeValues(
  line: Master,
  unit: number,
  definition: ControllerDefinition,
  writes: readonly BusWrite[],
  standing: CodeValues,
  told: DisplayState,
  progress: Progress = () => undefined,
): Promise<readonly Written[]> {
  const became: Written[] = [];
  const values = new Map(standing);
  let silent = false;
  for (const [i, write] of writes.entries()) {
    const { code, value, register } = write;
    const meets = unitIsKnown(definition, values) && displayOf(definition, values).unit === told.unit;
    const hangs = hangsOnUnit(register, parameterOf(definition, code)!);
    const why: string | null = silent ? SILENT : hangs && !meets ? OTHER_UNIT : null;
    const one: Written =
      why === null
        ? await writeOne(line, unit, definition, write, told)
        : { code, is: 'notWritten', value, why };
    became.push(one);
    if (one.is === 'written') values.set(code, value);
    else if ('found' in one) values.set(code, one.found);
    silent ||= one.is === 'notKnown';
    progress(i + 1, writes.length);
  }
  return became;
}

async function writeOne(
  line: Master,
  unit: number,
  definition: ControllerDefinition,
  { code, register, value, words }: BusWrite,
  told: DisplayState,
): Promise<Written> {
  const by = writeFunctionOf(register)!;
  for (let again = 0; ; again += 1) {
    let failure: LineFailure | null;
    let found: CodeValue | null;
    try {
      failure = await failureIn(async () => {
        if (register.unlock) await line.write(unit, 6, register.unlock.address, [register.unlock.value]);
        await line.write(unit, by, register.address, words);
      });
      found = await readBack(line, unit, definition, register, told);
    } catch (error) {
      if (!(error instanceof LineFailure)) throw error;
      return { code, is: 'notKnown', value, why: error.message };
    }
    if (found === null)
      return { code, is: 'notKnown', value, why: 'What its register holds now is no value of it.' };
    if (sameCodeValue(found, value)) return { code, is: 'written', value };
    if (failure?.mayPass && again < WRITE_AGAIN) continue;
    return failure
      ? { code, is: 'refused', value, found, why: failure.message }
      : { code, is: 'otherwise', value, found };
  }
}

/** How something asked of the line failed; null where it did not. */
async function failureIn(ask: () => Promise<void>): Promise<LineFailure | null> {
  try {
    await ask();
    return null;
  } catch (error) {
    if (error instanceof LineFailure) return error;
    throw error;
  }
}

async function readBack(
  line: Master,
  unit: number,
  definition: ControllerDefinition,
  register: Register,
  told: DisplayState,
): Promise<CodeValue | null> {
  const [block] = blocksOf([register]);
  const words = await line.read(unit, block!);
  return codeValueOf(register, parameterOf(definition, register.code!)!, words, told);
}
