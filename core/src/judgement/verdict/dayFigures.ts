import { condenserAlarms } from './condenserChecks.ts';
import type { SeenDay } from './seen.ts';

/** What a unit's day comes to, whatever machine it is: °C, grams, counts; null where a machine has no such figure. */
export interface DayFigures {
  readonly machine: SeenDay['machine'];
  readonly startsPerHour: number | null;
  readonly dutyPercent: number | null;
  readonly airMin: number | null;
  readonly airMax: number | null;
  readonly productMax: number | null;
  readonly iceLeftGrams: number | null;
  readonly defrosts: number | null;
  readonly alarms: number;
}

const sum = (counts: Readonly<Record<string, number>>) => Object.values(counts).reduce((a, b) => a + b, 0);

/** Figures of a day that was run. Of a condenser the starts are those of the fan that starts most often and the duty is the mean output. */
export function dayFigures(day: SeenDay): DayFigures {
  if (day.machine === 'condenser') {
    const { figures } = day.seen.day;
    return {
      machine: 'condenser',
      startsPerHour: Math.max(0, ...figures.fanStarts) / Math.max(1e-9, figures.hours),
      dutyPercent: figures.meanPercent,
      airMin: null,
      airMax: null,
      productMax: null,
      iceLeftGrams: null,
      defrosts: null,
      alarms: sum(condenserAlarms(day.seen.day)),
    };
  }
  const { figures: f } = day.seen.day;
  const frosts = day.machine !== 'tank';
  return {
    machine: day.machine,
    startsPerHour: f.startsPerHour,
    dutyPercent: f.dutyPercent,
    airMin: f.air.min,
    airMax: f.air.max,
    productMax: f.product.max,
    iceLeftGrams: frosts ? 1000 * (f.iceLeftAfterDefrost ?? f.iceAtEnd) : null,
    defrosts: frosts ? f.defrosts.temperature + f.defrosts.time + f.defrosts.other : null,
    alarms: sum(f.alarms),
  };
}
