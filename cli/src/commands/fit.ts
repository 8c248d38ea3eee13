import { readdirSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { join } from 'node:path';
import { isFileProblem } from '@brine/core/foundation/files';
import { fit as fitControls, needsOf, readLoads } from '@brine/core/judgement/fit';
import { Refusal } from '../args.ts';
import type { Command } from '../command.ts';
import { fileRefusal, readController } from '../files.ts';
import { unitAt } from '../unitFiles.ts';
import { circuitAt } from './wire.ts';

/** The families that come with the project. */
const library = fileURLToPath(new URL('../../../demo/controllers/', import.meta.url));

export const fit: Command = {
  name: 'fit',
  usage: 'brine fit --unit UNIT.json [--found CIRCUIT.json] [--controllers FOLDER]',
  summary: 'every control ranked for a unit, what each lacks, the bridge',
  shape: { options: ['unit', 'found', 'controllers'], flags: [] },
  run(args) {
    const unit = unitAt('fit', args);
    const loads = readLoads(unit);
    if (isFileProblem(loads)) throw fileRefusal(args.options.get('unit')!.at(-1)!, loads);
    const found = args.options.get('found')?.at(-1);
    const needs = needsOf(unit, loads, found === undefined ? null : circuitAt(found));
    const folder = args.options.get('controllers')?.at(-1) ?? library;
    const { outputs, probes, volts } = needs;
    return {
      json: { needs: { outputs, probes, volts }, controls: fitControls(needs, definitionsIn(folder)) },
    };
  },
};

function definitionsIn(folder: string) {
  let files: readonly string[];
  try {
    files = readdirSync(folder);
  } catch {
    throw new Refusal(`${folder}: expected a folder with *.controller.json files`);
  }
  const definitions = files.filter((file) => file.endsWith('.controller.json')).sort();
  if (definitions.length === 0) throw new Refusal(`${folder}: expected *.controller.json files in it`);
  return definitions.map((file) => readController(join(folder, file)));
}
