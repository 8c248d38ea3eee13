import { middleMean, median, quantile } from '../../foundation/statistics/index.ts';
import type { Log } from '../reading/index.ts';
import type { Grid } from './grid.ts';
import { humpsOf } from './humps.ts';
import { stretchesOf, type Stretch } from './stretches.ts';

export type EndedBy = 'temperature' | 'time' | 'unknown';

/** One defrost as the log shows it. */
export interface Defrost {
  readonly start: number;
  readonly end: number;
  readonly durationMinutes: number;
  readonly endedBy: EndedBy;
  /** Warmest the coil was at its end, °C; null without a coil column. */
  readonly endTemperature: number | null;
}

/** How defrosts were found, which says how far they are to be trusted. */
export type FoundBy = 'defrostColumn' | 'coil' | 'longRests' | 'air' | 'nothing';

/** Defrosts, how they were found, and how many turns of the same time there would have been; null where that was not asked. */
export interface FoundDefrosts {
  readonly defrosts: readonly Defrost[];
  readonly foundBy: FoundBy;
  readonly expected: number | null;
}

/** What the settings say of the end, where they are known. */
export interface EndSettings {
  readonly endTemperature: number | null;
  readonly maxDuration: number | null;
}

/** A stretch that looks like a defrost, with the coil's course at its end. */
interface Candidate {
  readonly start: number;
  readonly end: number;
  readonly endCoil: number | null;
  /** How much the coil rose in the last step, K: what the end temperature is uncertain by. */
  readonly lastRise: number;
}

/** A coil that usually lies below −3 °C and comes up to here is in a defrost, even one that is cut off while it still melts, °C. */
const MELTING = -2;
const MELTED = 0.5;
/** No control ends a defrost by a temperature this low: such a coil still melts (common practice), °C. */
const STILL_MELTING = 1.5;

/**
 * Defrosts of a log. From the defrost column where there is one; else from the coil's warm spells, with the compressor's long rests; else from rests more than
 * twice the usual, and with the air alone from humps that come again in the same time. What ended each follows from the settings, or from what stays the same from one to the next: the coil's end temperature or the length.
 */
export function defrostsOf(
  log: Log,
  grid: Grid,
  rests: readonly Stretch[],
  settings: EndSettings,
  airAlone: boolean,
): FoundDefrosts {
  const { defrost, coil, air } = log.values;
  const humps = airAlone && !defrost && !coil && air ? humpsOf(air, log.time, grid.step) : null;
  const [candidates, foundBy]: [readonly Candidate[], FoundBy] = defrost
    ? [flagged(defrost, log, grid), 'defrostColumn']
    : coil
      ? [warmSpells(coil, log, grid, rests), 'coil']
      : humps
        ? [
            humps.humps.map(({ foot, peak }) => ({ start: foot, end: peak, endCoil: null, lastRise: 0 })),
            'air',
          ]
        : rests.length > 0
          ? [longRests(rests), 'longRests']
          : [[], 'nothing'];
  return {
    defrosts: ended(candidates, grid.step, settings),
    foundBy: candidates.length > 0 ? foundBy : 'nothing',
    expected: humps?.expected ?? null,
  };
}

function flagged(defrost: Float64Array, log: Log, grid: Grid): readonly Candidate[] {
  return stretchesOf(defrost, log.time, grid)
    .filter((s) => s.on)
    .map((s) => candidate(s.from, s.to, s.first, s.end, log));
}

/** The coil at the end: half a step beyond the last row of the stretch by the last rise, or the row after it where that is warmer. */
function candidate(start: number, end: number, first: number, afterEnd: number, log: Log): Candidate {
  const { coil } = log.values;
  if (!coil) return { start, end, endCoil: null, lastRise: 0 };
  const last = afterEnd - 1;
  const rises = [last, last - 1].flatMap((i) => (i > first ? [coil[i]! - coil[i - 1]!] : []));
  const lastRise = Math.max(0, ...rises.filter((r) => r === r));
  const next = coil[Math.min(afterEnd, coil.length - 1)]!;
  const endCoil = Math.max(coil[last]! + Math.max(0, rises[0] ?? 0) / 2, next === next ? next : -Infinity);
  return { start, end, endCoil: endCoil === endCoil ? endCoil : null, lastRise };
}

/**
 * Warm spells of the coil. A coil that usually lies far below freezing is in a defrost when it is melted; one that rests near the air needs a rest longer
 * than the others with a warmer end.
 */
function warmSpells(
  coil: Float64Array,
  log: Log,
  grid: Grid,
  rests: readonly Stretch[],
): readonly Candidate[] {
  const usual = quantile(
    coil.filter((t) => t === t),
    0.5,
  );
  if (rests.length > 0) {
    const tops = rests.map((rest) => topOf(coil, rest));
    const typicalTop = median(tops.filter((t) => t === t));
    const typicalRest = median(rests.map((r) => r.to - r.from));
    const isDefrost = (rest: Stretch, top: number) =>
      usual < -3
        ? top > Math.max(MELTING, typicalTop + 4)
        : rest.to - rest.from > 1.6 * typicalRest && top > Math.max(MELTED, typicalTop + 0.5);
    const found = rests.flatMap((rest, i) => (isDefrost(rest, tops[i]!) ? [heated(coil, log, rest)] : []));
    if (found.length > 0 || usual >= -3) return found;
    // Every rest looks alike: then each may be one (a freezer that only rests for its defrosts).
    return rests.flatMap((rest, i) => (tops[i]! > MELTING ? [heated(coil, log, rest)] : []));
  }
  const warm = Float64Array.from(coil, (t) =>
    t !== t ? Number.NaN : t > (usual < -3 ? MELTING : usual + 4) ? 1 : 0,
  );
  return stretchesOf(warm, log.time, grid)
    .filter((s) => s.on)
    .map((s) => rising(coil, log, s));
}

/** Within a long rest the defrost begins where the heat comes and ends where the coil is warmest; what follows is drain. */
function heated(coil: Float64Array, log: Log, rest: Stretch): Candidate {
  const top = warmest(coil, rest);
  const begin = heatBegins(coil, log, rest, top);
  const start = begin <= rest.first ? rest.from : (log.time[begin]! + log.time[begin - 1]!) / 2;
  return { ...candidate(start, log.time[top]!, rest.first, top + 1, log), endCoil: topOf(coil, rest) };
}

/**
 * The row at which the coil begins to be heated: only heat brings it above the air, and from there back as long as it rises steeply. A rest in which it never
 * comes above the air (box air clears it) is a defrost from its beginning.
 */
function heatBegins(coil: Float64Array, log: Log, rest: Stretch, top: number): number {
  const { air } = log.values;
  let at = rest.first;
  while (air && at < top && !(coil[at]! > air[at]! + 1)) at += 1;
  if (!air || at === top) return rest.first;
  let steepest = 0;
  for (let i = rest.first + 1; i <= at; i += 1) steepest = Math.max(steepest, coil[i]! - coil[i - 1]!);
  while (at > rest.first && coil[at]! - coil[at - 1]! > 0.4 * steepest) at -= 1;
  return at > rest.first ? at + 1 : at;
}

/** Without a compressor column the defrost begins where the coil leaves its usual range: back along the rise to its foot. */
function rising(coil: Float64Array, log: Log, spell: Stretch): Candidate {
  let foot = spell.first;
  while (foot > 0 && coil[foot - 1]! < coil[foot]! - 0.05) foot -= 1;
  const top = warmest(coil, spell);
  return { ...candidate(log.time[foot]!, log.time[top]!, foot, top + 1, log), endCoil: coil[top]! };
}

/** Readings so close to the warmest still belong to it: a coil that melts stands still until the heat ends, K. */
const STANDS = 0.5;

/** The last row at which the coil is about as warm as it gets: there the heat ended. */
function warmest(coil: Float64Array, { first, end }: Stretch): number {
  let top = first;
  for (let i = first; i < end; i += 1) if (coil[i]! > coil[top]!) top = i;
  let last = top;
  for (let i = top; i < end; i += 1) if (coil[i]! > coil[top]! - STANDS) last = i;
  return last;
}
function topOf(coil: Float64Array, { first, end }: Stretch): number {
  let top = coil[first]!;
  for (let i = first; i < end; i += 1) if (!(coil[i]! <= top)) top = coil[i]!;
  return top;
}

function longRests(rests: readonly Stretch[]): readonly Candidate[] {
  const typical = median(rests.map((r) => r.to - r.from));
  return rests
    .filter((r) => r.to - r.from > 2 * typical && r.to - r.from > typical + 600)
    .map((r) => ({ start: r.from, end: r.to, endCoil: null, lastRise: 0 }));
}

/** Grace of an end temperature besides the coil's last step, K. */
const GRACE = 0.7;

function ended(candidates: readonly Candidate[], step: number, settings: EndSettings): readonly Defrost[] {
  const rule = candidates.length > 0 ? ruleOf(candidates, step, settings) : () => 'unknown' as const;
  return candidates.map((c) => ({
    start: c.start,
    end: c.end,
    durationMinutes: (c.end - c.start) / 60,
    endedBy: rule(c),
    endTemperature: c.endCoil,
  }));
}

/** What ended a defrost, for a log: by the settings where they fit, else by what repeats itself. */
function ruleOf(
  candidates: readonly Candidate[],
  step: number,
  settings: EndSettings,
): (c: Candidate) => EndedBy {
  const own = ownRule(candidates, step);
  const { endTemperature, maxDuration } = settings;
  if (endTemperature === null || maxDuration === null) return own;
  return (c) => {
    if (c.endCoil !== null && c.endCoil >= endTemperature - GRACE - c.lastRise) return 'temperature';
    if (isLong(c, maxDuration, step) || melts(c)) return 'time';
    // Neither: other values than the sheet's stand in it.
    return own(c);
  };
}

const isLong = (c: Candidate, limit: number, step: number) => c.end - c.start >= limit - 1.1 * step;
const melts = (c: Candidate) => c.endCoil !== null && c.endCoil < STILL_MELTING;

function ownRule(candidates: readonly Candidate[], step: number): (c: Candidate) => EndedBy {
  const longest = Math.max(...candidates.map((c) => c.end - c.start));
  if (candidates.every((c) => c.endCoil === null)) return () => 'unknown';
  const shorter = candidates.filter((c) => c.endCoil !== null && !isLong(c, longest, step) && !melts(c));
  const ends = (list: readonly Candidate[]) => list.map((c) => c.endCoil!).filter((t) => t === t);
  if (
    shorter.length > 0 &&
    spread(ends(shorter)) <= 2 * GRACE + Math.max(...shorter.map((c) => c.lastRise))
  ) {
    const at = middleMean(ends(shorter));
    return (c) =>
      c.endCoil !== null && c.endCoil >= at - GRACE - c.lastRise
        ? 'temperature'
        : isLong(c, longest, step) || melts(c)
          ? 'time'
          : 'unknown';
  }
  // All equally long: the clock ended them, unless the coil too came out the same each time.
  const same = spread(ends(candidates));
  const equallyLong = candidates.length > 1 && candidates.every((c) => isLong(c, longest, step));
  // One that was cut off while it melted shows how long the clock allows.
  const cutOff = candidates.some(melts);
  return (c) => (melts(c) || (equallyLong && (cutOff || same > 1 + 2 * c.lastRise)) ? 'time' : 'unknown');
}

const spread = (numbers: readonly number[]) =>
  numbers.length === 0 ? Infinity : Math.max(...numbers) - Math.min(...numbers);
