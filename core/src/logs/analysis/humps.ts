import { lowerBound, median, quantile } from '../../foundation/statistics/index.ts';

/** A hump of the air: where its rise begins, where it is warmest, how far it stands over what is usual around it, K. Seconds. */
export interface Hump {
  readonly foot: number;
  readonly peak: number;
  readonly height: number;
}

/** Humps that come again and again in the same time: how often, h, and how many of those expected were seen. */
export interface HumpSeries {
  readonly humps: readonly Hump[];
  readonly everyHours: number;
  readonly expected: number;
}

/** What is usual is taken from so far on either side, s, and anew every so often. */
const AROUND = 4 * 3600;
const BLOCK = 3600;
/** A hump stands over the band by a degree at least, and by three quarters of the band. Ours. */
const LEAST_HEIGHT = 1;
const OF_THE_BAND = 0.75;
/** Heat comes slowly: a door lifts the air in a minute or two. */
const LEAST_RISE = 360;
/** Between two defrosts lie two hours at least and half a day at most (common practice: 3 to 12 h). */
const SHORTEST = 2 * 3600;
const LONGEST = 13 * 3600;
/** A hump belongs to its turn within a twenty-fifth of the time between two, and within ten minutes at least. */
const APART = 0.04;
const LEAST_APART = 600;
/** Turns that must have been seen: three, and seven of ten. Ours. */
const LEAST_SEEN = 3;
const SEEN_SHARE = 0.7;
/** A hump of the series is at most so far from its usual height, as a factor. */
const ALIKE = 2.5;

/**
 * Defrosts in a log of air alone: humps that rise slowly and come in the same time again and again; doors come as they like, and a change of the band does not go back. Null
 * where no time explains them.
 */
export function humpsOf(air: Float64Array, time: Float64Array, step: number): HumpSeries | null {
  const all = allHumps(air, time, step);
  if (all.length < LEAST_SEEN) return null;
  const usual = median(all.map((h) => h.height));
  const alike = all.filter(({ height }) => height > usual / ALIKE && height < usual * ALIKE);
  return bestSeries(alike, time, step);
}

function allHumps(air: Float64Array, time: Float64Array, step: number): readonly Hump[] {
  const usual = usualAt(air, time);
  const found: Hump[] = [];
  for (let i = 0; i < air.length; i += 1) {
    const level = usual(time[i]!);
    const over = level.upper + Math.max(LEAST_HEIGHT, OF_THE_BAND * (level.upper - level.lower));
    if (!(air[i]! > over)) continue;
    let peak = i;
    let end = i;
    while (end < air.length && !(air[end]! <= over)) {
      if (air[end]! > air[peak]!) peak = end;
      end += 1;
    }
    const foot = footOf(air, i, level.upper);
    if (time[peak]! - time[foot]! >= Math.max(LEAST_RISE, 1.5 * step))
      found.push({ foot: time[foot]!, peak: time[peak]!, height: air[peak]! - level.upper });
    i = end;
  }
  return found;
}

/** A reading may lie so much above the next one within a rise: noise and rounding, K. */
const NOISE = 0.15;

/** Back along the rise to where it began; within the band it has to fall with every row back. */
function footOf(air: Float64Array, from: number, upper: number): number {
  let foot = from;
  while (foot > 0 && air[foot - 1]! < air[foot]! + (air[foot]! > upper ? NOISE : 0)) foot -= 1;
  return foot;
}

/** The usual top and bottom of the air around a moment: the upper and lower fifth of some hours. */
function usualAt(air: Float64Array, time: Float64Array): (t: number) => { upper: number; lower: number } {
  const known = new Map<number, { upper: number; lower: number }>();
  return (t) => {
    const block = Math.floor(t / BLOCK);
    const held = known.get(block);
    if (held) return held;
    const middle = (block + 0.5) * BLOCK;
    const near = air.subarray(lowerBound(time, middle - AROUND), lowerBound(time, middle + AROUND));
    const good = near.filter((value) => value === value);
    const level = { upper: quantile(good, 0.8), lower: quantile(good, 0.2) };
    known.set(block, level);
    return level;
  };
}

/** The time between two that explains most humps; of equals the one that misses fewest turns. */
function bestSeries(humps: readonly Hump[], time: Float64Array, step: number): HumpSeries | null {
  let best: HumpSeries | null = null;
  // Neighbours and next neighbours give every time that can be meant.
  for (const [i, anchor] of humps.entries())
    for (const other of humps.slice(i + 1, i + 6)) {
      const every = other.peak - anchor.peak;
      if (every < SHORTEST || every > LONGEST) continue;
      const series = seriesFrom(humps, anchor, every, time, step);
      if (series && (!best || betterThan(series, best))) best = series;
    }
  return best;
}

const betterThan = (a: HumpSeries, b: HumpSeries) =>
  a.humps.length > b.humps.length ||
  (a.humps.length === b.humps.length && a.humps.length / a.expected > b.humps.length / b.expected);

function seriesFrom(
  humps: readonly Hump[],
  anchor: Hump,
  first: number,
  time: Float64Array,
  step: number,
): HumpSeries | null {
  const [from, to] = [time[0]!, time.at(-1)!];
  const apart = Math.max(LEAST_APART, 2 * step, APART * first);
  const members: Hump[] = [anchor];
  let expected = 1;
  // Each turn is looked for from the last one seen, so that a small error of the first time does not grow.
  for (const way of [1, -1]) {
    let at = anchor.peak;
    for (let turn = at + way * first; turn > from && turn < to; turn = at + way * first) {
      expected += 1;
      const hit = humps.find((h) => Math.abs(h.peak - turn) <= apart);
      if (hit) members.push(hit);
      at = hit ? hit.peak : turn;
    }
  }
  if (members.length < LEAST_SEEN || members.length < SEEN_SHARE * expected) return null;
  const sorted = members.toSorted((a, b) => a.peak - b.peak);
  const gaps = sorted.slice(1).map((h, i) => h.peak - sorted[i]!.peak);
  return { humps: sorted, everyHours: median(gaps) / 3600, expected };
}
