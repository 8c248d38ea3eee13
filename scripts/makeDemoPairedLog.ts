// Writes demo/logs/boat-fridge.csv: two simulated days of the demo's mussel boat fridge, logged on the air and on the plate, a row every minute with noise.
// Run with `node --import tsx --conditions=brine-src scripts/makeDemoPairedLog.ts`.
import { writeFileSync } from 'node:fs';
import { plan, valuesOf } from '@brine/core/judgement/plan';
import { simulate } from '@brine/core/machines/simulation';
import { seeded } from '../core/testing/seeded.ts';
import { unitScenario } from '@brine/core/judgement/tuning';

const START = Date.UTC(2026, 7, 11) / 1000;
const unit = {
  format: 'brine-dial/unit@1',
  application: 'vehicleFridge',
  goods: 'chilledFood',
  defrostMethod: 'none',
  probes: ['air', 'coil'],
  compressor: 'direct',
  ambient: { value: 19, unit: 'degC' },
  supply: { volts: 12, kind: 'dc' },
} as const;
const scenario = unitScenario(unit, valuesOf(plan(unit)), { hours: 48 });
if (typeof scenario === 'string') throw new Error(scenario);
const random = seeded(41);
const noise = (wide: number) => wide * (random() + random() - 1);
const two = (n: number) => String(n).padStart(2, '0');
const lines = ['time,air_degC,plate_degC'];
for (const s of simulate(scenario, { sampleEvery: 60 })!.series) {
  const at = new Date((START + s.t) * 1000);
  const clock = `${at.getUTCFullYear()}-${two(at.getUTCMonth() + 1)}-${two(at.getUTCDate())} ${two(at.getUTCHours())}:${two(at.getUTCMinutes())}:00`;
  lines.push(`${clock},${(s.air + noise(0.1)).toFixed(2)},${(s.coil + noise(0.1)).toFixed(2)}`);
}
writeFileSync(new URL('../demo/logs/boat-fridge.csv', import.meta.url), `${lines.join('\n')}\n`);
