import type { Bound } from '../e2e/load/bound.ts';
import { largeLists } from '../e2e/load/lists.ts';
import { soak } from '../e2e/load/soak.ts';
import { underLoad } from '../e2e/load/underLoad.ts';
import { ensureBuilt } from './lib/build.mjs';
import { floodBounds } from './bench/flood.ts';
import { keyBounds } from './bench/keys.ts';
import { benchKinds } from './bench/kinds.ts';
import { benchLearned } from './bench/learned.ts';
import { lineBounds } from './bench/lines.ts';
import { benchLogs, logBounds } from './bench/logs.ts';
import { benchSimulation, simulationBounds } from './bench/simulation.ts';
import { largest, scaleBounds } from './bench/scale.ts';
import { serverRatios } from './bench/servers.ts';
import { benchWiring } from './bench/wiring.ts';
import { readFileSync } from 'node:fs';
import { check } from '@brine/core/judgement/checks';
import { plan } from '@brine/core/judgement/plan';
import { readUnit, type UnitDescription } from '@brine/core/foundation/unit';
import {
  decode,
  readSheet,
  type ControllerDefinition,
  type SheetRow,
} from '@brine/core/controllers/definitions';
import { translate } from '@brine/core/controllers/translate';
import { machineOf, planKeys } from '@brine/core/controllers/panel';
import { fold } from '@brine/core/record/fold';
import type { AcceptedEntry } from '@brine/core/record/entries';

/**
 * Timings as ratios within one run, so that they mean the same on every machine: each work is set against one that reads the same
 * input and does nothing else with it. The least of several runs is taken; the rest is other people's work on the machine.
 */
const read = (path: string) => readFileSync(new URL(`../${path}`, import.meta.url), 'utf8');
const family = (id: string) =>
  JSON.parse(read(`demo/controllers/${id}.controller.json`)) as ControllerDefinition;

function least(work: () => unknown, times = 7, inner = 20): number {
  let best = Number.POSITIVE_INFINITY;
  for (let i = 0; i < times; i += 1) {
    const began = performance.now();
    for (let j = 0; j < inner; j += 1) work();
    best = Math.min(best, (performance.now() - began) / inner);
  }
  return best;
}

/** Tells each bound with what was measured; whether all are held. */
function told(bounds: readonly Bound[]): boolean {
  for (const { name, measured, bound, unit: of } of bounds)
    process.stdout.write(
      `${measured <= bound ? 'held  ' : 'BROKEN'} ${name.padEnd(44)} ${measured.toFixed(0)} of ${bound} ${of}\n`,
    );
  return bounds.every(({ measured, bound }) => measured <= bound);
}

function line(name: string, work: number, against: number, what: string): void {
  process.stdout.write(`${name.padEnd(44)} ${(work / against).toFixed(1).padStart(7)} × ${what}\n`);
}

// `--learned`: a hundred boxes of known values, learned from their logs (some twenty minutes).
if (process.argv.includes('--learned')) process.exit(benchLearned() ? 0 : 1);

// `--scale`: the largest company, with twenty clients, and what two and four servers answer and against a bare server; `--log-points 1000000` where the disk holds no hundred million.
if (process.argv.includes('--scale')) {
  ensureBuilt();
  const logPoints = Number(process.argv[process.argv.indexOf('--log-points') + 1] || largest.logPoints);
  const size = process.argv.includes('--log-points') ? { ...largest, logPoints } : largest;
  const say = (text: string) => process.stdout.write(`       ${text}\n`);
  const held = told(await scaleBounds(size, say));
  await serverRatios(say);
  process.exit(held ? 0 : 1);
}

// `--soak 60`: a server under mixed work for so many minutes; whether its memory stays flat.
if (process.argv.includes('--soak')) {
  ensureBuilt();
  const minutes = Number(process.argv[process.argv.indexOf('--soak') + 1] || 60);
  process.exit(told(await soak(minutes, (text) => process.stdout.write(`       ${text}\n`))) ? 0 : 1);
}

// `--check`: only the bounds that an issue asked for; fails where one is not held.
if (process.argv.includes('--check')) {
  ensureBuilt();
  const bounds = [
    ...simulationBounds(read('docs/formats/examples/fish-freezer.scenario.json')),
    ...keyBounds(),
    ...logBounds(),
    ...(await lineBounds(family('skerry-dx'))),
    ...(await floodBounds()),
    ...(await largeLists((text) => process.stdout.write(`       ${text}\n`))),
    ...(await underLoad((text) => process.stdout.write(`       ${text}\n`))),
  ];
  process.exit(told(bounds) ? 0 : 1);
}

const [gault, marl, skerry] = [family('gault-p'), family('marl-4'), family('skerry-dx')];
const sheetText = read('docs/formats/examples/gault-p.sheet.csv');
const sheet = readSheet(sheetText) as readonly SheetRow[];
const unitText = read('docs/formats/examples/fish-store.unit.json');
const scenarioText = read('docs/formats/examples/fish-freezer.scenario.json');
const unit = readUnit(JSON.parse(unitText)) as UnitDescription;
const entries = Array.from({ length: 5000 }, (_, i): AcceptedEntry => ({
  id: `id-${i}`,
  job: 'job',
  device: `device-${i % 3}`,
  deviceSequence: i,
  deviceTime: '2026-01-05T08:00:00.000Z',
  seen: Math.max(0, i - 5),
  author: `person-${i % 3}`,
  sequence: i + 1,
  receivedAt: '2026-01-05T08:00:00.000Z',
  body: { kind: 'found', code: `c${i % 40}`, value: String(i) },
}));
const entriesText = JSON.stringify(entries);

/** A control with 70 codes: one of the demo, its numbers and choices written down again under other codes. */
const long: ControllerDefinition = {
  ...marl,
  parameters: Array.from({ length: 70 }, (_, i) => {
    const parameter = marl.parameters.filter((p) => !p.visibleWhen)[i % 20]!;
    return { ...parameter, code: `${parameter.code}${i}` };
  }),
};
const machine = machineOf(long)!;
const wishes = long.parameters.map((p) => ({
  code: p.code,
  value:
    p.encoding.type === 'number'
      ? p.encoding.default + (p.encoding.default < p.encoding.max ? 1 : -1)
      : p.encoding.type === 'choice'
        ? p.encoding.options.at(-1)!.value
        : '',
}));

const readingSheet = least(() => readSheet(sheetText));
const decoding = least(() => decode(gault, sheet));
line('decode a sheet of 17 codes', decoding, readingSheet, 'reading its CSV');
line(
  'translate it to 27 codes',
  least(() => translate(gault, sheet, marl)),
  decoding,
  'decoding it',
);
line(
  'translate it to 42 codes',
  least(() => translate(gault, sheet, skerry)),
  decoding,
  'decoding it',
);
const planning = least(() => plan(unit));
line(
  'plan a unit',
  planning,
  least(() => readUnit(JSON.parse(unitText))),
  'reading its description',
);
const planned = Object.fromEntries(plan(unit).settings.map((s) => [s.setting, s.value]));
line(
  'check what was planned',
  least(() => check(planned, unit)),
  planning,
  'planning it',
);
const milliseconds = (work: () => unknown) => `${least(work, 5, 3).toFixed(1)} ms on this machine`;
line(
  'key strokes for 70 values, planned and proven',
  least(() => planKeys(machine, new Map(), wishes), 5, 3),
  decoding,
  `decoding a sheet: ${milliseconds(() => planKeys(machine, new Map(), wishes))}`,
);
line(
  'translate to 42 codes once more',
  least(() => translate(gault, sheet, skerry)),
  decoding,
  `decoding a sheet: ${milliseconds(() => translate(gault, sheet, skerry))}`,
);
line(
  'fold 5000 entries of a job',
  least(() => fold(entries, []), 7, 1),
  least(() => JSON.parse(entriesText), 7, 1),
  'parsing their JSON',
);

await benchSimulation(scenarioText, { least, line });
benchWiring(marl, { least, line });
benchKinds({ least, line });
await benchLogs();
