// Writes demo/logs/fish-store.csv: four simulated days of the demo's fish store freezer as an invented logger exports them, a row a minute with noise;
// on the third day somebody turns the set point up. Run with `node --import tsx --conditions=brine-src scripts/makeDemoLog.ts`.
import { mkdirSync, writeFileSync } from 'node:fs';
import { plan } from '@brine/core/judgement/plan';
import { readUnit } from '@brine/core/foundation/unit';
import { controlConfig } from '@brine/core/machines/box';
import { isFileProblem } from '@brine/core/foundation/files';
import { UnitRun } from '@brine/core/machines/simulation';
import { seeded } from '../core/testing/seeded.ts';
import { unitScenario } from '@brine/core/judgement/tuning';
import { readFileSync } from 'node:fs';
import type { SettingValues } from '@brine/core/foundation/settings';

const unit = readUnit(
  JSON.parse(readFileSync(new URL('../docs/formats/examples/fish-store.unit.json', import.meta.url), 'utf8')),
);
if (isFileProblem(unit)) throw new Error(unit.message);
const values = Object.fromEntries(plan(unit).settings.map((s) => [s.setting, s.value])) as SettingValues;
const scenario = unitScenario(unit, values, { doorUse: 'seldom' });
if (typeof scenario === 'string') throw new Error(scenario);
const DAYS = 4;
const TURNED_AT = 2 * 86400 + 14 * 3600 + 10 * 60;
const TURNED_BY = 2.5;
const START = Date.UTC(2026, 10, 16) / 1000;

const run = new UnitRun({ ...scenario, warmUp: 0, seconds: DAYS * 86400 });
const config = controlConfig(values);
if (typeof config === 'string') throw new Error(config);
const random = seeded(16);
const noise = () => 0.12 * Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
const WARM_UP = 86400;
for (let t = -WARM_UP; t < 0; t += 1) run.second(t);
const two = (n: number) => String(n).padStart(2, '0');
const fahrenheit = (c: number) => (c * 1.8 + 32 + noise()).toFixed(1).replace('.', ',');
const lines = [
  'Logger FH-2;fish hall, freezer;clock: local',
  'Date;Time;Return air °F;Coil °F;Cooling;Defrost;Door',
];
for (let t = 0; t < DAYS * 86400; t += 1) {
  if (t === TURNED_AT) run.reconfigure({ ...config, setpoint: config.setpoint + TURNED_BY });
  run.second(t);
  if (t % 60 !== 0) continue;
  const s = run.sample(t);
  const at = new Date((START + t) * 1000);
  lines.push(
    `${two(at.getUTCDate())}.${two(at.getUTCMonth() + 1)}.${at.getUTCFullYear()};${two(at.getUTCHours())}:${two(at.getUTCMinutes())};${fahrenheit(s.air)};${fahrenheit(s.coil)};${Number(s.compressor)};${Number(s.phase === 'defrost')};${Number(s.door)}`,
  );
}
mkdirSync(new URL('../demo/logs/', import.meta.url), { recursive: true });
writeFileSync(new URL('../demo/logs/fish-store.csv', import.meta.url), `${lines.join('\r\n')}\r\n`);
