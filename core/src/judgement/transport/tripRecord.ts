import { celsiusOf } from '../../foundation/regulation/index.ts';
import type { Goods } from '../../foundation/unit/index.ts';

/** What was read on the way, and when. °C; times as ISO 8601. */
export interface TripReading {
  readonly at: string;
  readonly place: 'return' | 'product';
  readonly celsius: number;
}

/** A stop with the doors open. */
export interface DoorStop {
  readonly at: string;
  readonly minutes: number;
}

/** A trip held against the limits of the goods. */
export interface TripJudged {
  readonly warmest: number | null;
  readonly coldest: number | null;
  /** Minutes beyond a limit: each reading counts until the next; the last counts nothing. */
  readonly minutesTooWarm: number;
  readonly minutesTooCold: number;
  readonly stops: number;
  readonly openMinutes: number;
  /** In a sentence, worst first. */
  readonly words: readonly string[];
}

/** A door that stands open longer than this warms the load, min (common practice). */
const LONG_STOP = 15;

/** Readings and stops of a trip against the limits of what is carried. What was out of range is told; what becomes of the load is not decided here. */
export function judgeTrip(
  readings: readonly TripReading[],
  stops: readonly DoorStop[],
  { name, min, max }: Goods,
  show: (celsius: number) => string,
): TripJudged {
  const [high, low] = [max && celsiusOf(max.value), min && celsiusOf(min.value)];
  const sorted = readings.toSorted((a, b) => a.at.localeCompare(b.at));
  let [warm, cold] = [0, 0];
  for (const place of ['return', 'product'] as const) {
    const mine = sorted.filter((r) => r.place === place);
    for (let i = 0; i + 1 < mine.length; i += 1) {
      const minutes = (Date.parse(mine[i + 1]!.at) - Date.parse(mine[i]!.at)) / 60_000;
      if (high !== null && mine[i]!.celsius > high) warm += minutes;
      if (low !== null && mine[i]!.celsius < low) cold += minutes;
    }
  }
  const temperatures = sorted.map((r) => r.celsius);
  const warmest = temperatures.length > 0 ? Math.max(...temperatures) : null;
  const coldest = temperatures.length > 0 ? Math.min(...temperatures) : null;
  const openMinutes = stops.reduce((sum, s) => sum + s.minutes, 0);
  const out =
    (high !== null && warmest !== null && warmest > high) ||
    (low !== null && coldest !== null && coldest < low);
  const words = [
    ...(high !== null && warmest !== null && warmest > high
      ? [
          `${name} stood at ${show(warmest)}, its limit is ${show(high)}${warm > 0 ? `: ${Math.round(warm)} min beyond it` : ''}.`,
        ]
      : []),
    ...(low !== null && coldest !== null && coldest < low
      ? [
          `${name} stood at ${show(coldest)}, the coldest they may is ${show(low)}${cold > 0 ? `: ${Math.round(cold)} min beyond it` : ''}.`,
        ]
      : []),
    ...(out ? ['Whether it may be used is the owner’s and the authority’s decision.'] : []),
    ...stops
      .filter((s) => s.minutes > LONG_STOP)
      .map(
        (s) =>
          `The doors stood open ${s.minutes} min at ${s.at.slice(11, 16)}: over ${LONG_STOP} min the load warms from the rear.`,
      ),
    ...(temperatures.length === 0
      ? ['No reading was taken yet.']
      : out
        ? []
        : [
            temperatures.length === 1
              ? 'The one reading lies within the limits of the product.'
              : `All ${temperatures.length} readings lie within the limits of the product.`,
          ]),
  ];
  return {
    warmest,
    coldest,
    minutesTooWarm: warm,
    minutesTooCold: cold,
    stops: stops.length,
    openMinutes,
    words,
  };
}
