// Writes demo/logs/keg-condenser.csv: a simulated week of the demo's keg room condenser as an invented logger exports it, a row every five minutes with noise.
// Run with `node --import tsx --conditions=brine-src scripts/makeDemoFanLog.ts`.
import { writeFileSync } from 'node:fs';
import { runCondenser } from '@brine/core/machines/condenser';
import { fansOf } from '@brine/core/machines/condenser';
import { twoFanCondenser } from '../core/testing/condensers.ts';
import { seeded } from '../core/testing/seeded.ts';

const START = Date.UTC(2026, 5, 15) / 1000;
const EVERY = 300;
/** Coldest and warmest of each day, °C: three warm afternoons among them. */
const days = [
  [16, 24],
  [17, 25],
  [19, 29],
  [20, 30],
  [19, 29],
  [17, 24],
  [15, 22],
] as const;
const config = fansOf({
  'condenser.setpoint': { value: 31, unit: 'degC' },
  'condenser.differential': { value: 6, unit: 'K' },
  'condenser.method': 'proportionalIntegral',
  'condenser.integralTime': { value: 240, unit: 's' },
  'condenser.onlyWithCompressor': true,
  'condenser.speedMin': { value: 20, unit: '%' },
  'condenser.riseTime': { value: 20, unit: 's' },
  'condenser.fallTime': { value: 30, unit: 's' },
})!;
const random = seeded(23);
const noise = (wide: number) => wide * (random() + random() - 1);
const two = (n: number) => String(n).padStart(2, '0');
const fahrenheit = (c: number) => (c * 1.8 + 32 + noise(0.2)).toFixed(1);
const lines = ['time,liquid_degF,outdoor_degF,fan_percent,compressor'];
for (const [day, [low, high]] of days.entries()) {
  const { series } = runCondenser(
    { config, plant: twoFanCondenser, outdoor: { low, high }, hours: 24, warmUpHours: 3 },
    EVERY,
  )!;
  for (const s of series) {
    const at = new Date((START + day * 86400 + s.t) * 1000);
    const clock = `${at.getUTCFullYear()}-${two(at.getUTCMonth() + 1)}-${two(at.getUTCDate())} ${two(at.getUTCHours())}:${two(at.getUTCMinutes())}:00`;
    lines.push(
      `${clock},${fahrenheit(s.liquid)},${fahrenheit(s.outdoor)},${Math.round(s.output * 100)},${Number(s.compressors > 0)}`,
    );
  }
}
writeFileSync(new URL('../demo/logs/keg-condenser.csv', import.meta.url), `${lines.join('\n')}\n`);
