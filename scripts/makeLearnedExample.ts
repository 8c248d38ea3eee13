import { mkdirSync, writeFileSync } from 'node:fs';
import { inWords } from '@brine/core/foundation/sentences';
import { learnUnit } from '@brine/core/judgement/learning';
import { otherBoxes } from '../core/testing/otherBoxes/boxes.ts';
import { logCsv } from '../core/testing/otherBoxes/logCsv.ts';
import { runOther } from '../core/testing/otherBoxes/run.ts';
import { logOf } from '../core/testing/otherBoxes/tryBox.ts';

/** Writes docs/formats/examples/learned: two days of a test box as a log, its unit, its settings, other settings, and the box learned from it. */
const folder = new URL('../docs/formats/examples/learned/', import.meta.url);
mkdirSync(folder, { recursive: true });
const box = { ...otherBoxes.find((one) => one.name === 'walk-in freezer')!, every: 120 };
const { rows } = runOther(box, box.settings, { days: 2, seed: box.seed });
const json = (value: unknown) => `${JSON.stringify(value, null, 2)}\n`;
const settings = (values: object) => json({ format: 'brine-dial/settings@1', values });
const learning = learnUnit({ log: logOf(rows, box.columns), unit: box.unit, values: box.settings });
if (learning === null || typeof learning === 'string' || learning.box === null)
  throw new Error('the example cannot be learned from');
const findings = learning.box.findings.map((f) => ({ ...f, message: inWords(f.message) }));
for (const [name, text] of [
  ['freezer.log.csv', logCsv(rows, box.columns)],
  ['freezer.unit.json', json(box.unit)],
  ['freezer.settings.json', settings(box.settings)],
  ['wider.settings.json', settings({ ...box.settings, ...box.changes[1] })],
  ['freezer.box.json', json({ ...learning.box, findings })],
] as const)
  writeFileSync(new URL(name, folder), text);
