/** Limits that readings are held against, °C; null where there is none. */
export interface ExcursionLimits {
  readonly high: number | null;
  readonly low: number | null;
  /** Shorter ones are not told, seconds: as an alarm that waits would not sound. */
  readonly least: number;
}

/** A time outside of a limit, from the first reading outside to the last one. */
export interface Excursion {
  readonly side: 'high' | 'low';
  /** Times as the log has them, seconds. */
  readonly from: number;
  readonly to: number;
  /** The reading furthest out, °C. */
  readonly peak: number;
}

/** Without a reading for so long nothing is known of what lies between, seconds. */
const LONGEST_GAP = 2 * 3600;

/**
 * The excursions of a temperature, in order. A reading on the limit is inside. One that is missing (NaN) says nothing; after {@link LONGEST_GAP} without any an
 * excursion ends with the last that was seen. Of two limits that are crossed between two readings the first ends where the second begins.
 *
 * @param readings pairs of seconds and °C, times rising
 */
export function excursionsOf(
  readings: Iterable<readonly [time: number, celsius: number]>,
  { high, low, least }: ExcursionLimits,
): readonly Excursion[] {
  const found: { side: 'high' | 'low'; from: number; to: number; peak: number }[] = [];
  let side: Excursion['side'] | null = null;
  for (const [time, celsius] of readings) {
    if (Number.isNaN(celsius)) continue;
    const before: Excursion['side'] | null = side;
    side = high !== null && celsius > high ? 'high' : low !== null && celsius < low ? 'low' : null;
    if (side === null) continue;
    const last = found.at(-1);
    if (last && side === before && time - last.to <= LONGEST_GAP) {
      last.to = time;
      last.peak = side === 'high' ? Math.max(last.peak, celsius) : Math.min(last.peak, celsius);
    } else found.push({ side, from: time, to: time, peak: celsius });
  }
  return found.filter(({ from, to }) => to - from >= least);
}
