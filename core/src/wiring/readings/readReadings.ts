import { isQuantity } from '../../foundation/quantities/index.ts';
import { fileProblem, readHeader, type FileProblem } from '../../foundation/files/index.ts';
import type { Circuit } from '../circuit/index.ts';
import { endsOf } from '../circuit/index.ts';
import { DEAD, meterUnitOf, type Place, type Reading } from './place.ts';

export const READINGS_FORMAT = 'brine-dial/readings@1';

/** Reads a parsed `*.readings.json` against its circuit: the first field that does not fit, or the readings. */
export function readReadings(data: unknown, circuit: Circuit): readonly Reading[] | FileProblem {
  const header = readHeader(data, 'brine-dial/readings', 1);
  if ('problem' in header) return header;
  const list = header.data['readings'];
  if (!Array.isArray(list)) return fileProblem('readings', 'expected a list of readings');
  const ends = new Set(endsOf(circuit));
  for (const [i, raw] of (list as unknown[]).entries()) {
    const problem = readingProblem(`readings[${i}]`, raw, circuit, ends);
    if (problem) return problem;
  }
  return list as Reading[];
}

function readingProblem(
  path: string,
  raw: unknown,
  circuit: Circuit,
  ends: ReadonlySet<string>,
): FileProblem | null {
  if (typeof raw !== 'object' || raw === null) return fileProblem(path, 'expected an object');
  const reading = raw as Record<string, unknown>;
  const state = reading['state'];
  if (typeof state !== 'string' || (state !== DEAD && !Object.hasOwn(circuit.states, state)))
    return fileProblem(
      `${path}.state`,
      `expected one of ${[DEAD, ...Object.keys(circuit.states)].join(', ')}`,
    );
  if (reading['through'] !== undefined) {
    if (!circuit.parts.some((p) => p.id === reading['through']))
      return fileProblem(
        `${path}.through`,
        `${JSON.stringify(reading['through'])} is no part of this circuit`,
      );
    if (state === DEAD) return fileProblem(`${path}.state`, 'amps are read live; expected one of the states');
  } else
    for (const end of ['from', 'to'])
      if (!ends.has(reading[end] as string))
        return fileProblem(
          `${path}.${end}`,
          `${(JSON.stringify(reading[end]) as string | undefined) ?? 'nothing'} is nowhere in this circuit`,
        );
  const unit = meterUnitOf(reading as unknown as Place);
  const reads = reading['reads'];
  if (!isQuantity(reads) || reads.unit !== unit || reads.value < 0)
    return fileProblem(`${path}.reads`, `expected a value from 0 up in ${unit} as {"value", "unit"}`);
  return null;
}
