import { isFileProblem, writeCsv } from '@brine/core/files';
import { readScenario, simulate as run, type Sample } from '@brine/core/simulation';
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
      ? { text: writeCsv(header, result.series.map(row)) }
      : { json: { metrics: result.figures, events: result.events } };
  },
};

const header = [
  'time',
  'air_degC',
  'coil_degC',
  'product_degC',
  'frost_kg',
  'compressor',
  'fan',
  'defrost',
  'stage2',
  'alarm',
  'door',
  'phase',
];

function row(s: Sample): (string | number)[] {
  const flag = (on: boolean) => (on ? 1 : 0);
  const round = (value: number, digits: number) => Number(value.toFixed(digits));
  return [
    s.t,
    round(s.air, 2),
    round(s.coil, 2),
    round(s.product, 2),
    round(s.frost, 4),
    flag(s.compressor),
    flag(s.fan),
    flag(s.defrost),
    flag(s.stage2),
    flag(s.alarm),
    flag(s.door),
    s.phase,
  ];
}
