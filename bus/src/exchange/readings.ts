import type { ControllerDefinition, RegisterReading } from '@brine/core/controllers/definitions';
import { readingOf } from '@brine/core/controllers/registers';
import type { Master } from '../line/index.ts';
import { readAll } from './readFound.ts';

/** What a controller tells of its unit at a moment: °C of probes, true or false of outputs, the number of a phase; null where it is not there. */
export type BusReadings = Readonly<Partial<Record<RegisterReading, number | boolean | null>>>;

/** Reads all readings of a controller once. Throws `LineFailure` where nothing answers. */
export async function readReadings(
  line: Master,
  unit: number,
  definition: ControllerDefinition,
): Promise<BusReadings> {
  const readings: Partial<Record<RegisterReading, number | boolean | null>> = {};
  const registers = (definition.registers ?? []).filter(({ reading }) => reading !== undefined);
  await readAll(line, unit, registers, (register, words) => {
    readings[register.reading!] = typeof words === 'string' ? null : readingOf(register, words);
  });
  return readings;
}
