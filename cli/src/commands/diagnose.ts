import { diagnose as diagnoseCircuit } from '@brine/core/wiring/faults';
import { readReadings, READINGS_FORMAT } from '@brine/core/wiring/readings';
import { isFileProblem } from '@brine/core/foundation/files';
import { Refusal, required } from '../args.ts';
import type { Command } from '../command.ts';
import { fileRefusal, readJson } from '../files.ts';
import { circuitAt } from './wire.ts';

export const diagnose: Command = {
  name: 'diagnose',
  usage: 'brine diagnose CIRCUIT.json --readings READINGS.json',
  summary: 'faults ranked by how well they explain the readings, and the next reading',
  shape: { options: ['readings'], flags: [] },
  run(args) {
    const [path] = args.positional;
    if (path === undefined) throw new Refusal('diagnose: expected a file *.circuit.json');
    const circuit = circuitAt(path);
    const file = required(args, 'readings');
    const readings = readReadings(readJson(file), circuit);
    if (isFileProblem(readings)) throw fileRefusal(file, readings);
    const diagnosis = diagnoseCircuit(circuit, readings);
    const note =
      diagnosis?.fits === false
        ? `no fault and no pair of faults explains every reading (${READINGS_FORMAT}): read again, or trace the wires anew`
        : undefined;
    return { json: diagnosis, ...(note ? { note } : {}) };
  },
};
