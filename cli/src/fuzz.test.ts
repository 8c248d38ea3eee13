import { afterAll, expect, test } from '@jest/globals';
import { readFileSync } from 'node:fs';
import { basename, join } from 'node:path';
import { mutatedJson, mutatedText } from '../../core/testing/mutations.ts';
import { seeded } from '../../core/testing/seeded.ts';
import { root, Scratch } from '../testing/scratch.ts';
import { run } from './run.ts';

/** `bin/test --fuzz` runs 10,000 cases: these, and requests in `server/src/http/hostile.test.ts`; every run a tenth of them. */
const times = process.env['BRINE_FUZZ'] ? 10 : 1;
const SEED = Number(process.env['BRINE_FUZZ_SEED'] ?? 15);
/** Files of each kind in every run. */
const CASES = 30 * times;
const LONGEST_MS = 10_000;

const scratch = new Scratch();
afterAll(() => scratch.remove());
const example = (name: string) => join(root, 'docs/formats/examples', name);
const controller = (id: string) => join(root, `demo/controllers/${id}.controller.json`);

/** Each format with a command that reads it and goes on with what it read: the file that is damaged stands for `FILE`. */
const readers: readonly (readonly [format: string, file: string, ...argv: string[]])[] = [
  ['a unit, planned', example('fish-store.unit.json'), 'plan', 'FILE'],
  ['a unit, fitted', example('fish-store.unit.json'), 'fit', '--unit', 'FILE'],
  [
    'settings, checked',
    example('freezer.settings.json'),
    'check',
    'FILE',
    '--unit',
    example('fish-store.unit.json'),
  ],
  [
    'a unit settings are checked for',
    example('fish-store.unit.json'),
    'check',
    example('freezer.settings.json'),
    '--unit',
    'FILE',
  ],
  [
    'settings, replayed',
    example('replay/cooler.settings.json'),
    'replay',
    '--settings',
    'FILE',
    '--trace',
    example('replay/cooler.log.csv'),
  ],
  [
    'a trace, replayed',
    example('replay/cooler.log.csv'),
    'replay',
    '--settings',
    example('replay/cooler.settings.json'),
    '--trace',
    'FILE',
  ],
  ['a scenario', example('fish-freezer.scenario.json'), 'simulate', 'FILE'],
  ['a controller, checked', controller('marl-4'), 'controller', 'check', 'FILE'],
  [
    'a controller, keyed',
    example('keys/01.controller.json'),
    'keys',
    '--controller',
    'FILE',
    '--set',
    'hold=-9',
  ],
  [
    'a controller, decoded',
    example('translate/from.controller.json'),
    'decode',
    '--controller',
    'FILE',
    '--sheet',
    example('translate/from.sheet.csv'),
  ],
  [
    'a controller, translated to',
    example('translate/to.controller.json'),
    'translate',
    '--from',
    example('translate/from.controller.json'),
    '--sheet',
    example('translate/from.sheet.csv'),
    '--to',
    'FILE',
  ],
  [
    'a sheet, decoded',
    example('gault-p.sheet.csv'),
    'decode',
    '--controller',
    controller('gault-p'),
    '--sheet',
    'FILE',
  ],
  [
    'a table of a booklet',
    example('peat-6.table.tsv'),
    'controller',
    'suggest',
    'FILE',
    '--family',
    'Peat 6',
  ],
  ['a circuit, solved', example('wire/reach-in.circuit.json'), 'wire', 'FILE'],
  [
    'a circuit, diagnosed',
    example('wire/reach-in.circuit.json'),
    'diagnose',
    'FILE',
    '--readings',
    example('wire/reach-in.readings.json'),
  ],
  [
    'readings',
    example('wire/reach-in.readings.json'),
    'diagnose',
    example('wire/reach-in.circuit.json'),
    '--readings',
    'FILE',
  ],
  ['points of a probe', example('prove/points.csv'), 'probe', 'calibrate', 'FILE'],
  ['a log', example('prove/cooler.log.csv'), 'analyse', 'FILE'],
];

test.each(readers)(
  `${CASES} damaged files, %s: an answer or a sentence, in time`,
  (format, path, ...argv) => {
    const random = seeded(SEED + readers.findIndex(([name]) => name === format));
    const text = readFileSync(path, 'utf8');
    const whole = path.endsWith('.json') ? (JSON.parse(text) as unknown) : null;
    const bad: unknown[] = [];
    for (let n = 0; n < CASES; n += 1) {
      const damaged =
        whole !== null && random() < 0.8
          ? JSON.stringify(mutatedJson(random, whole))
          : mutatedText(random, text);
      const file = scratch.file(`${n % 2}.${basename(path)}`, damaged);
      const began = performance.now();
      let told: string;
      try {
        const { exitCode, stdout, stderr } = run(argv.map((word) => (word === 'FILE' ? file : word)));
        const fine = exitCode === 0 ? stdout !== '' : stdout === '' && /^[^\n]+\n$/.test(stderr);
        told = fine ? '' : `exit code ${exitCode}: ${stderr || 'nothing said'}`;
      } catch (error) {
        told = String((error as Error).stack);
      }
      const took = performance.now() - began;
      if (told !== '' || took > LONGEST_MS)
        bad.push({ seed: SEED, n, took, told, damaged: damaged.slice(0, 2000) });
    }
    expect(bad).toEqual([]);
  },
  600_000,
);
