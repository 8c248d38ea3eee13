import { median } from '../../../foundation/statistics/index.ts';
/** What a probe on the air and one on the plate say of each other, from a log of both. K, °C. */
export interface PairedOffset {
  /** Plate less air: half of the time it is less than `median`, in the middle half of the time between the quartiles. */
  readonly median: number;
  readonly lower: number;
  readonly upper: number;
  /** Plate where the air turns from falling to rising, and from rising to falling: there the control stops and starts. */
  readonly atStop: { readonly air: number; readonly plate: number };
  readonly atStart: { readonly air: number; readonly plate: number };
  readonly cycles: number;
  readonly readings: number;
}

/** An offset alone carries over where the difference hardly changes over a cycle, K. */
export const STEADY_WITHIN = 1;
const FEWEST_READINGS = 60;
const FEWEST_CYCLES = 3;
/** A turn of the air counts once it has gone back so far, K: noise is none. */
const TURN = 0.4;

/**
 * Learns what a plate probe reads where an air probe reads something else, from readings taken at the same times, °C; missing ones are NaN. A
 * sentence where too little is there. Both turning points of each cycle are used, since the plate is far below the air while the compressor runs and near it at the end of the rest.
 */
export function pairedOffset(air: ArrayLike<number>, plate: ArrayLike<number>): PairedOffset | string {
  const pairs: { a: number; p: number }[] = [];
  for (let i = 0; i < Math.min(air.length, plate.length); i += 1)
    if (!Number.isNaN(air[i]!) && !Number.isNaN(plate[i]!)) pairs.push({ a: air[i]!, p: plate[i]! });
  if (pairs.length < FEWEST_READINGS)
    return `${pairs.length} readings of both probes: ${FEWEST_READINGS} are needed.`;
  const turns = turningPoints(pairs.map(({ a }) => a));
  const stops = turns.filter((t) => t.low).map((t) => pairs[t.at]!);
  const starts = turns.filter((t) => !t.low).map((t) => pairs[t.at]!);
  if (stops.length < FEWEST_CYCLES || starts.length < FEWEST_CYCLES)
    return `${Math.min(stops.length, starts.length)} whole cycles of the air: ${FEWEST_CYCLES} are needed.`;
  const differences = pairs.map(({ a, p }) => p - a).sort((x, y) => x - y);
  const at = (share: number) => differences[Math.round(share * (differences.length - 1))]!;
  const middle = (points: readonly { a: number; p: number }[]) => ({
    air: median(points.map((x) => x.a)),
    plate: median(points.map((x) => x.p)),
  });
  return {
    median: at(0.5),
    lower: at(0.25),
    upper: at(0.75),
    atStop: middle(stops),
    atStart: middle(starts),
    cycles: Math.min(stops.length, starts.length),
    readings: pairs.length,
  };
}

/** True where one offset carries a set point over from air to plate. */
export const offsetIsEnough = (paired: PairedOffset): boolean =>
  Math.abs(paired.atStop.plate - paired.atStop.air - (paired.atStart.plate - paired.atStart.air)) <=
  STEADY_WITHIN;

/** A band on the air carried over to the plate: cut-out and cut-in, °C, by the line through both turning points. */
export function onThePlate(
  paired: PairedOffset,
  band: { readonly cutOut: number; readonly cutIn: number },
): { readonly cutOut: number; readonly cutIn: number } {
  const { atStop, atStart } = paired;
  // Where the control works now, a kelvin of air is a kelvin of plate; the distance is another at the stop than at the start.
  return {
    cutOut: band.cutOut + (atStop.plate - atStop.air),
    cutIn: band.cutIn + (atStart.plate - atStart.air),
  };
}

/** Where a course turns, once it has gone back by {@link TURN}. */
function turningPoints(course: readonly number[]): readonly { readonly at: number; readonly low: boolean }[] {
  const found: { at: number; low: boolean }[] = [];
  let rising: boolean | null = null;
  let [best, at] = [course[0]!, 0];
  for (const [i, value] of course.entries()) {
    if (rising === null) {
      if (Math.abs(value - course[0]!) >= TURN) [rising, best, at] = [value > course[0]!, value, i];
    } else if (rising ? value > best : value < best) [best, at] = [value, i];
    else if (Math.abs(value - best) >= TURN) {
      found.push({ at, low: !rising });
      [rising, best, at] = [!rising, value, i];
    }
  }
  return found;
}
