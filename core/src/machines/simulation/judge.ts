import { MAX_DUTY_PERCENT, MAX_STARTS_PER_HOUR, PRODUCT_TOLERANCE_K } from '../../foundation/limits/index.ts';
import { printFor, printNumber, quantity, type TemperatureUnit } from '../../foundation/quantities/index.ts';
import type { Figures, StorageLimits } from './figures.ts';

const grams = (kg: number) => `${Math.round(kg * 1000)} g`;

/** What a simulated run says against its settings, each in a sentence with its number, gravest first; nothing where the run is sound. */
export function judgeRun(
  f: Figures,
  storage: StorageLimits,
  unit: TemperatureUnit = 'degC',
): readonly string[] {
  const degrees = (celsius: number) => printFor(quantity(round(celsius), 'degC'), unit);
  const said: string[] = [];
  if (storage.max !== null && f.product.max > storage.max + PRODUCT_TOLERANCE_K)
    said.push(`the product reaches ${degrees(f.product.max)}, its limit is ${degrees(storage.max)}`);
  if (storage.min !== null && f.product.min < storage.min - PRODUCT_TOLERANCE_K)
    said.push(`the product falls to ${degrees(f.product.min)}, its limit is ${degrees(storage.min)}`);
  if (f.iceGrown > f.iceNoticed)
    said.push(`${grams(f.iceGrown)} of ice grow over the run: the defrosts do not clear the coil`);
  if ((f.iceLeftAfterDefrost ?? 0) > f.iceNoticed)
    said.push(
      `${grams(f.iceLeftAfterDefrost!)} of ice are left after a defrost: it ends too early or too cold`,
    );
  if (
    f.defrosts.time > 0 &&
    f.defrosts.temperature === 0 &&
    f.longestDefrostMinutes > 0 &&
    f.iceGrown > f.iceNoticed
  )
    said.push(`all ${f.defrosts.time} defrosts end by time`);
  if (f.startsPerHour > MAX_STARTS_PER_HOUR)
    said.push(
      `${f.startsPerHour.toFixed(1)} starts an hour: the differential is too narrow or the off time too short`,
    );
  for (const [cause, n] of Object.entries(f.alarms))
    said.push(`${n} ${cause} ${n === 1 ? 'alarm' : 'alarms'} in ${printNumber(round(f.hours))} h`);
  if (f.dutyPercent > MAX_DUTY_PERCENT)
    said.push(`it runs ${Math.round(f.dutyPercent)} % of the time: nothing is left for a warmer day`);
  return said;
}

const round = (value: number) => Math.round(value * 10) / 10;
