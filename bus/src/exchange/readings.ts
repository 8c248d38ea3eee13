import type { ControllerDefinition } from '@brine/core/controllers/definitions';
import { readingOf } from '@brine/core/controllers/registers';
import type { Readings } from '@brine/core/judgement/following';
import type { Master } from '../line/index.ts';
import { readAll } from './readFound.ts';

/** Reads all readings of a controller once. Throws `LineFailure` where nothing answers. */
export async function readReadings(
  line: Master,
  unit: number,
  definition: ControllerDefinition,
): Promise<Readings> {
  const readings: { -readonly [Reading in keyof Readings]: Readings[Reading] } = {};
  const registers = (definition.registers ?? []).filter(({ reading }) => reading !== undefined);
  await readAll(line, unit, registers, (register, words) => {
    readings[register.reading!] = typeof words === 'string' ? null : readingOf(register, words);
  });
  return readings;
}
