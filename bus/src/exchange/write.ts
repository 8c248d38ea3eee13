import {
  displayOf,
  followsDisplay,
  parameterOf,
  sameCodeValue,
  type CodeValue,
  type CodeValues,
  type ControllerDefinition,
  type DisplayState,
  type Register,
} from '@brine/core/controllers/definitions';
import { blocksOf, codeValueOf, writeFunctionOf, type BusWrite } from '@brine/core/controllers/registers';
import { LineFailure, type Line } from '../line/index.ts';
import type { Progress } from './readFound.ts';

/** What became of one value: it stands; something else stands there; it was refused; or nobody knows, since the line fell silent. */
export type Written =
  | { readonly code: string; readonly is: 'written'; readonly value: CodeValue }
  | { readonly code: string; readonly is: 'otherwise'; readonly value: CodeValue; readonly found: CodeValue }
  | { readonly code: string; readonly is: 'refused'; readonly value: CodeValue; readonly why: string }
  | { readonly code: string; readonly is: 'notKnown'; readonly value: CodeValue; readonly why: string }
  | { readonly code: string; readonly is: 'notReached'; readonly value: CodeValue };

/** After a silence a write is tried again so often, when reading back shows that it was not taken. */
const WRITE_AGAIN = 1;
const OTHER_DISPLAY =
  'Not written: the display did not take its unit or its tenths, and this number would stand for another one.';

/**
 * Writes values in the order given and reads each back. A write that gets no answer is read back before it is tried again, so that nothing is written twice without need. When the line
 * falls silent, the rest is not reached: what stands is not guessed. `standing`: values as they were read before.
 */
export async function writeValues(
  line: Line,
  unit: number,
  definition: ControllerDefinition,
  writes: readonly BusWrite[],
  standing: CodeValues,
  progress: Progress = () => undefined,
): Promise<readonly Written[]> {
  const told: Written[] = [];
  const values = new Map(standing);
  const planned = displayOf(
    definition,
    new Map([...standing, ...writes.map(({ code, value }) => [code, value] as const)]),
  );
  let silent = false;
  for (const [i, write] of writes.entries()) {
    const { code, value } = write;
    if (silent) {
      told.push({ code, is: 'notReached', value });
      continue;
    }
    const display = displayOf(definition, values);
    const encoding = parameterOf(definition, code)?.encoding;
    const isShown = encoding?.type === 'number' && followsDisplay(encoding);
    if (isShown && (display.unit !== planned.unit || display.decimal !== planned.decimal)) {
      // Its words are those of the planned display: here they would stand for another temperature.
      told.push({ code, is: 'refused', value, why: OTHER_DISPLAY });
      progress(i + 1, writes.length);
      continue;
    }
    const written = await writeOne(line, unit, definition, write, display);
    told.push(written);
    if (written.is === 'written') values.set(code, value);
    else if (written.is === 'otherwise') values.set(code, written.found);
    silent = written.is === 'notKnown';
    progress(i + 1, writes.length);
  }
  return told;
}

async function writeOne(
  line: Line,
  unit: number,
  definition: ControllerDefinition,
  { code, register, value, words }: BusWrite,
  display: DisplayState,
): Promise<Written> {
  const by = writeFunctionOf(register)!;
  for (let again = 0; ; again += 1) {
    let failure: LineFailure | null = null;
    try {
      const { unlock } = register;
      if (unlock) await line.write(unit, 6, unlock.address, [unlock.value]);
      await line.write(unit, by, register.address, words);
    } catch (error) {
      if (!(error instanceof LineFailure)) throw error;
      failure = error;
      if (failure.kind === 'refused' && !failure.mayPass)
        return { code, is: 'refused', value, why: failure.message };
    }
    let found: CodeValue | null;
    try {
      found = await readBack(line, unit, definition, register, display);
    } catch (error) {
      if (!(error instanceof LineFailure)) throw error;
      return { code, is: 'notKnown', value, why: error.message };
    }
    if (found !== null && sameCodeValue(found, value)) return { code, is: 'written', value };
    if (failure && again < WRITE_AGAIN) continue;
    if (failure) return { code, is: 'refused', value, why: failure.message };
    return found === null
      ? { code, is: 'notKnown', value, why: 'What its register holds now is no value of it.' }
      : { code, is: 'otherwise', value, found };
  }
}

async function readBack(
  line: Line,
  unit: number,
  definition: ControllerDefinition,
  register: Register,
  display: DisplayState,
): Promise<CodeValue | null> {
  const [block] = blocksOf([register]);
  const words = await line.read(unit, block!);
  return codeValueOf(register, parameterOf(definition, register.code!)!, words, display);
}
