import { isFileProblem } from '@brine/core/foundation/files';
import { readScenario, seriesCsv, simulate as run } from '@brine/core/machines/simulation';
import { Refusal } from '../args.ts';
import type { Command } from '../command.ts';
import { fileRefusal, readJson } from '../files.ts';

export const simulate: Command = {
  name: 'simulate',
  usage: 'brine simulate SCENARIO.json [--csv]',
  summary: 'what these settings will do in a box: figures and events, or the series of a minute',
  shape: { options: [], flags: ['csv'] },
  run(args) {
    const [path] = args.positional;
    if (path === undefined) throw new Refusal('simulate: expected a file *.scenario.json');
    const scenario = readScenario(readJson(path));
    if (isFileProblem(scenario)) throw fileRefusal(path, scenario);
    const csv = args.flags.has('csv');
    const result = run(scenario, csv ? { sampleEvery: 60 } : {})!;
    return csv
      ? { text: seriesCsv(result.series) }
      : { json: { metrics: result.figures, events: result.events } };
  },
};
