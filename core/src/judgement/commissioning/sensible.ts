import type { Measure } from './test.ts';

/** To how many seconds a time is read at a unit: of the seconds it takes, up to there. */
const steps: readonly (readonly [below: number, step: number])[] = [
  [120, 1],
  [600, 5],
  [7200, 60],
  [Infinity, 300],
];

/** A time within which a limit is no finer than a stopwatch and a hand: the least rounded down, the most rounded up, s. Common practice. */
function rounded(seconds: number, round: (x: number) => number): number {
  const [, step] = steps.find(([below]) => Math.abs(seconds) < below)!;
  // What lies on a step already stays there, whatever the last bit says.
  return round(Math.round((seconds / step) * 1e6) / 1e6) * step;
}

/** A measure of time with limits that a person can read and a stopwatch can tell: “2:50 to 4 min”, not “2.85 to 3.97”. Others as they are. */
export function sensibleMeasure(measure: Measure): Measure {
  if (measure.unit !== 'min' && measure.unit !== 's') return measure;
  const each = measure.unit === 'min' ? 60 : 1;
  const end = (value: number | null, round: (x: number) => number) =>
    value === null ? null : rounded(value * each, round) / each;
  const least = end(measure.least, Math.floor);
  return {
    ...measure,
    least: least !== null && least <= 0 ? null : least,
    most: end(measure.most, Math.ceil),
  };
}
