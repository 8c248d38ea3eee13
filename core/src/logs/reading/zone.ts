import { SECONDS_PER_DAY } from '../../foundation/limits/index.ts';
/** Offsets of a zone by half hour: changes of clocks fall on whole or half hours of UTC. */
const HALF_HOUR = 1800;

/** Turns clock times of a zone into true time, row by row. */
export interface ZoneClock {
  /**
   * True seconds since 1970 of a clock time, given the row before. A repeated hour goes by the file's order: the first of the two true times that
   * does not lie before the last row. A time that the clocks skipped is read with the offset before the skip.
   */
  toTrue(local: number, before: number): number;
  /** Seconds the clock is ahead of UTC at a true time. */
  offsetAt(trueSeconds: number): number;
}

const clocks = new Map<string, ZoneClock | null>();

/** The clock of an IANA zone, or null where there is no such zone. It is made once: what it learned of a zone is kept. */
export function zoneClock(zone: string): ZoneClock | null {
  let clock = clocks.get(zone);
  if (clock === undefined) {
    clock = newClock(zone);
    clocks.set(zone, clock);
  }
  return clock;
}

function newClock(zone: string): ZoneClock | null {
  let format: Intl.DateTimeFormat;
  try {
    format = new Intl.DateTimeFormat('en-GB', {
      timeZone: zone,
      hourCycle: 'h23',
      year: 'numeric',
      month: 'numeric',
      day: 'numeric',
      hour: 'numeric',
      minute: 'numeric',
      second: 'numeric',
    });
  } catch {
    return null;
  }
  const known = new Map<number, number>();
  const offsetAt = (trueSeconds: number): number => {
    const key = Math.floor(trueSeconds / HALF_HOUR);
    const cached = known.get(key);
    if (cached !== undefined) return cached;
    const offset = ask(format, key * HALF_HOUR);
    known.set(key, offset);
    return offset;
  };
  const held = heldOffset(offsetAt);
  const toTrue = (local: number, before: number): number => {
    const usual = held(local - SECONDS_PER_DAY, local + SECONDS_PER_DAY);
    if (usual !== null) return local - usual;
    // The clock's offsets a day before and after hold every candidate.
    const [early, late] = [offsetAt(local - SECONDS_PER_DAY), offsetAt(local + SECONDS_PER_DAY)];
    const candidates = [local - Math.max(early, late), local - Math.min(early, late)].filter(
      (t) => offsetAt(t) === local - t,
    );
    if (candidates.length === 0) return local - early;
    return candidates.find((t) => t >= before) ?? candidates.at(-1)!;
  };
  return { toTrue, offsetAt };
}

/**
 * The offset that holds over a whole stretch of time, or null where the clocks change in it. The stretch without a change that the rows of a log are in is kept, and
 * goes on day by day: no zone has changed its clocks twice within one (IANA time zone database).
 */
function heldOffset(offsetAt: (trueSeconds: number) => number) {
  let [from, until, offset] = [0, 0, 0];
  return (first: number, last: number): number | null => {
    if (first >= from && last < until) return offset;
    if (!(first >= from && first < until)) {
      from = Math.floor(first / HALF_HOUR) * HALF_HOUR;
      until = from + HALF_HOUR;
      offset = offsetAt(from);
    }
    while (until <= last && offsetAt(until + SECONDS_PER_DAY - HALF_HOUR) === offset)
      until += SECONDS_PER_DAY;
    return last < until ? offset : null;
  };
}

function ask(format: Intl.DateTimeFormat, trueSeconds: number): number {
  const part = Object.fromEntries(
    format.formatToParts(new Date(trueSeconds * 1000)).map((p) => [p.type, Number(p.value)]),
  );
  const clock = Date.UTC(
    part['year']!,
    part['month']! - 1,
    part['day'],
    part['hour'],
    part['minute'],
    part['second'],
  );
  return clock / 1000 - trueSeconds;
}
