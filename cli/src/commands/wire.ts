import { CIRCUIT_FORMAT, readCircuit, type Circuit } from '@brine/core/wiring/circuit';
import { wireReport } from '@brine/core/wiring/meter';
import { isFileProblem } from '@brine/core/foundation/files';
import { Refusal } from '../args.ts';
import type { Command } from '../command.ts';
import { fileRefusal, readJson } from '../files.ts';

export const wire: Command = {
  name: 'wire',
  usage: 'brine wire CIRCUIT.json [--as-found FOUND.json]',
  summary: 'volts and amps of a circuit in every state, what the meter must read, what is wrong',
  shape: { options: ['as-found'], flags: [] },
  run(args) {
    const [path] = args.positional;
    if (path === undefined) throw new Refusal(`wire: expected a file *.circuit.json in ${CIRCUIT_FORMAT}`);
    const found = args.options.get('as-found')?.at(-1);
    const report = wireReport(circuitAt(path), found === undefined ? null : circuitAt(found));
    if ('unsettled' in report)
      throw new Refusal(
        `${path}: states.${report.state}: ${report.parts.join(' and ')} switch each other without end; expected a state that comes to rest`,
      );
    return { json: report };
  },
};

/** A circuit from a file, or a refusal that names file and field. */
export function circuitAt(path: string): Circuit {
  const circuit = readCircuit(readJson(path));
  if (isFileProblem(circuit)) throw fileRefusal(path, circuit);
  return circuit;
}
