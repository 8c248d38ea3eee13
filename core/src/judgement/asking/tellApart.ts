import type { Seen, Sight } from './bench.ts';

/** What tells two meanings apart, and when it is certain, s after the power. */
export interface Difference {
  readonly at: number;
  readonly by: Seen | 'reading';
}

/** A stopwatch and an eye are sure to this, s and share of the time. */
const SURE_S = 6;
const SURE_SHARE = 0.06;
/** Readings apart by this are told apart, in degrees of the display, once they stand for some seconds. */
const APART = 1.5;
const STANDS = 15;

/** What is looked at when two sights are compared, and how long, s. */
export interface Look {
  readonly by: readonly Difference['by'][];
  readonly until: number;
}

/** The first moment at which somebody who watches knows which of two it is; null where nothing that is looked at tells. */
export function firstDifference(a: Sight, b: Sight, { by, until }: Look): Difference | null {
  let best: Difference | null = null;
  for (const what of by) {
    const at =
      what === 'reading'
        ? readingsDiffer(a.reading, b.reading, until)
        : outputsDiffer(a.changes[what], b.changes[what], until);
    if (at !== null && (best === null || at < best.at)) best = { at, by: what };
  }
  return best;
}

/** Whether what somebody saw is what one meaning shows, within what a stopwatch and an eye are sure to. */
export const looksAlike = (a: Sight, b: Sight, look: Look): boolean => firstDifference(a, b, look) === null;

type Changes = Sight['changes'][Seen];

/** An output that is on under one meaning and off under the other for longer than a stopwatch errs. */
function outputsDiffer(a: Changes, b: Changes, seconds: number): number | null {
  const edges = [0, ...a.map(({ t }) => t), ...b.map(({ t }) => t)].toSorted((x, y) => x - y);
  for (const [i, from] of edges.entries()) {
    if (isOn(a, from) === isOn(b, from)) continue;
    const until = edges.slice(i + 1).find((t) => isOn(a, t) === isOn(b, t)) ?? seconds;
    const certain = from + SURE_S + SURE_SHARE * from;
    if (certain <= until && certain <= seconds) return certain;
  }
  return null;
}

const isOn = (changes: Changes, t: number): boolean => changes.findLast((one) => one.t <= t)?.on ?? false;

function readingsDiffer(a: Float32Array, b: Float32Array, until: number): number | null {
  let since = -1;
  for (let t = 0; t < Math.min(until, a.length); t += 1) {
    if (!(Math.abs(a[t]! - b[t]!) >= APART)) {
      since = -1;
      continue;
    }
    if (since < 0) since = t;
    if (t - since >= STANDS) return t;
  }
  return null;
}
