import type { ControllerDefinition, Register } from '@brine/core/controllers/definitions';
import { blocksOf, cutOut, foundOf, type Block, type FoundOverBus } from '@brine/core/controllers/registers';
import { LineFailure, type Master } from '../line/index.ts';

/** What a reading of a whole controller brought: its values, and every code that could not be read, with why. */
export interface ReadFound extends FoundOverBus {
  readonly requests: number;
}

/** How far a reading has come: requests done of about so many. */
export type Progress = (done: number, of: number) => void;

/**
 * Reads the values of every code that has a register, in few requests. Where the device refuses a stretch because of a gap in it, that stretch is asked for in its parts. Throws
 * {@link LineFailure} where nothing answers, or where another device answers than the definition describes.
 */
export async function readFound(
  line: Master,
  unit: number,
  definition: ControllerDefinition,
  progress: Progress = () => undefined,
): Promise<ReadFound> {
  const before = line.requests;
  await checkDevice(line, unit, definition);
  const registers = (definition.registers ?? []).filter(({ code }) => code !== undefined);
  const wordsAt = new Map<Register, readonly number[]>();
  const refused = new Map<Register, string>();
  await readAll(
    line,
    unit,
    registers,
    (register, words) => {
      if (typeof words === 'string') refused.set(register, words);
      else wordsAt.set(register, words);
    },
    progress,
  );
  const found = foundOf(definition, wordsAt);
  return {
    ...found,
    unread: [...found.unread, ...[...refused].map(([register, why]) => ({ code: register.code!, why }))],
    requests: line.requests - before,
  };
}

/** Asks the device for the register by which it is told from others. Throws where it holds something else. */
export async function checkDevice(
  line: Master,
  unit: number,
  definition: ControllerDefinition,
): Promise<void> {
  const check = definition.registerCheck;
  if (!check) return;
  const { function: by, address, equals } = check;
  let held: number | undefined;
  try {
    [held] = await line.read(unit, { function: by, address, count: 1 });
  } catch (error) {
    if (!(error instanceof LineFailure) || error.kind !== 'refused') throw error;
  }
  if (held !== equals)
    throw new LineFailure(
      'badAnswer',
      `Device ${unit} is no ${definition.family}: register ${address} ${held === undefined ? 'is not there' : `holds ${held}`}, expected ${equals}. Check the address, and which control is written down.`,
    );
}

/** Reads some registers; each is told its words, or why there are none. Throws where the line itself fails. */
export async function readAll(
  line: Master,
  unit: number,
  registers: readonly Register[],
  tell: (register: Register, words: readonly number[] | string) => void,
  progress: Progress = () => undefined,
): Promise<void> {
  const waiting: { block: Block; gap: number }[] = blocksOf(registers).map((block) => ({ block, gap: 1 }));
  let done = 0;
  for (let next = waiting.shift(); next; next = waiting.shift()) {
    const { block } = next;
    try {
      const words = await line.read(unit, block);
      for (const register of block.registers) tell(register, cutOut(block, words, register));
    } catch (error) {
      if (!(error instanceof LineFailure) || error.kind !== 'refused') throw error;
      const parts = partsOf(block, next.gap);
      if (parts === null) for (const register of block.registers) tell(register, error.message);
      else waiting.unshift(...parts.map((part) => ({ block: part, gap: 0 })));
    }
    done += 1;
    progress(done, done + waiting.length);
  }
}

/** A refused stretch without its gaps, and then register by register; null where it is one register already. */
function partsOf(block: Block, gap: number): readonly Block[] | null {
  if (block.registers.length === 1) return null;
  const whole = gap > 0 ? blocksOf(block.registers, 0) : [];
  return whole.length > 1 ? whole : block.registers.flatMap((register) => blocksOf([register]));
}
