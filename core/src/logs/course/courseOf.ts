import { SECONDS_PER_DAY } from '../../foundation/limits/index.ts';
import { bandOf, type ControlConfig } from '../../machines/box/index.ts';
import type {
  Course,
  CourseDefrost,
  CourseStretch,
  CourseSwitch,
} from '../../machines/identification/index.ts';
import { analyse, coolingOf, type Analysis, type KnownSettings } from '../analysis/index.ts';
import type { Log } from '../reading/index.ts';
import { fanAlong } from './fanAlong.ts';

/** Why nothing, or not everything, can be learned from a log. */
export interface CourseProblem {
  readonly code:
    | 'noAir'
    | 'tooShort'
    | 'tooCoarse'
    | 'nothingSwitches'
    | 'gap'
    | 'changed'
    | 'otherSettings'
    | 'fewCycles';
  /** True where no model comes of it. */
  readonly fatal: boolean;
  readonly numbers: Readonly<Record<string, number>>;
}

/** A log as a course, or why there is none. */
export interface CourseFound {
  readonly course: Course | null;
  readonly problems: readonly CourseProblem[];
  readonly analysis: Analysis;
}

/** Less than this tells no daily load, h; a whole day is wanted before a model is made. */
const LEAST_HOURS = 20;
const LEAST_STARTS = 12;
/** A cycle of fewer rows than this is counted wrongly even from the compressor's own column. */
const LEAST_ROWS_WITH_OUTPUTS = 3;
/** A peak so soon after a defrost belongs to it, s. */
const LATE_PEAK = 900;
/** A turn of the air comes later than its cause: the thermometer lags, and after a start cooling comes up first (common practice: a minute to a minute and a half), s. */
const VALLEY_DELAY = 70;
const PEAK_DELAY = 80;

/**
 * What a log shows, brought to what a box is run along: the longest part without a gap in which the settings stayed, its switchings, stretches and defrosts. Where outputs were not logged they
 * are read from the turns of the air, the fan from the settings.
 */
export function courseOf(log: Log, config: ControlConfig): CourseFound {
  const known = {
    endTemperature: config.defrost.byTemperature ? config.defrost.endTemperature : null,
    maxDuration: config.defrost.maxDuration,
    drain: config.defrost.drain,
    highLimit: null,
    lowLimit: null,
  };
  const whole = analyse(log, known);
  const problems: CourseProblem[] = [];
  const fail = (code: CourseProblem['code'], numbers: CourseProblem['numbers'] = {}): CourseFound => ({
    course: null,
    problems: [...problems, { code, fatal: true, numbers }],
    analysis: whole,
  });
  if (!log.values.air) return fail('noAir');
  const part = lastDays(partFor(log, whole, known, config));
  const hours = (part.to - part.from) / 3600;
  if (whole.gaps.length > 0)
    problems.push({
      code: 'gap',
      fatal: false,
      numbers: {
        gaps: whole.gaps.length,
        hours,
        longest: Math.max(...whole.gaps.map((g) => g.to - g.from)) / 60,
      },
    });
  const changed = whole.changes.at(-1);
  if (changed) problems.push({ code: 'changed', fatal: false, numbers: { hours, at: changed.after } });
  if (hours < LEAST_HOURS) return fail('tooShort', { hours });
  const piece = cut(log, part.from, part.to);
  const analysis = analyse(piece, known);
  const cooling = coolingOf(piece);
  const starts = cooling.filter((s) => s.on).length;
  if (starts < 2) return fail('nothingSwitches', { hours });
  const rows = (part.to - part.from) / analysis.step / starts;
  // Outputs that were logged say when it switched even where a row holds half a run; the air alone does not.
  if (analysis.tooCoarse !== null && !(piece.values.compressor && rows >= LEAST_ROWS_WITH_OUTPUTS))
    return fail('tooCoarse', { minutes: analysis.step / 60 });
  if (starts < LEAST_STARTS) return fail('fewCycles', { starts, hours });
  return { course: built(piece, config, analysis, cooling), problems, analysis };
}

/** A part of a log, s of it. */
interface Part {
  readonly from: number;
  readonly to: number;
}

/** The stretches between gaps and changes of the band. */
function partsOf(analysis: Analysis): readonly Part[] {
  const cuts = [
    { to: analysis.from, from: analysis.from },
    ...analysis.gaps,
    ...analysis.changes.map(({ after }) => ({ from: after, to: after })),
    { from: analysis.to, to: analysis.to },
  ].sort((a, b) => a.from - b.from);
  return cuts.slice(1).map((one, i) => ({ from: cuts[i]!.to, to: one.from }));
}

/** The longest part; of two alike the later, which shows what stands in the unit now. */
const longest = (parts: readonly Part[]): Part =>
  parts.reduce((best, part) => (part.to - part.from >= best.to - best.from ? part : best));

/** Bands that lie so near are one, K. */
const SAME_BAND_K = 0.7;

/** The part to be learned from: where the band was changed, one in which it stood as these settings say. */
function partFor(log: Log, analysis: Analysis, known: KnownSettings, config: ControlConfig): Part {
  const parts = partsOf(analysis);
  const whole = parts.filter(({ from, to }) => to - from >= LEAST_HOURS * 3600);
  if (analysis.changes.length === 0 || whole.length < 2) return longest(whole.length > 0 ? whole : parts);
  const { cutOut } = bandOf(config.stage, config.setpoint);
  const off = whole.map(({ from, to }) => {
    const seen = analyse(cut(log, from, to), known).cutOut;
    return seen === null ? Infinity : Math.abs(seen - cutOut);
  });
  const nearest = Math.min(...off);
  return longest(whole.filter((_, i) => off[i]! <= nearest + SAME_BAND_K));
}

/** More than a week is not learned from: doors and weather of long ago say nothing of today. */
const MOST_S = 7 * SECONDS_PER_DAY;

const lastDays = ({ from, to }: Part): Part => ({ from: Math.max(from, to - MOST_S), to });

function cut(log: Log, from: number, to: number): Log {
  const first = log.time.findIndex((t) => t >= from);
  let end = log.time.length;
  while (end > 0 && log.time[end - 1]! > to) end -= 1;
  const values = Object.fromEntries(
    Object.entries(log.values).map(([role, column]) => [role, column.slice(first, end)]),
  );
  return { ...log, time: log.time.slice(first, end), values };
}

function built(
  log: Log,
  config: ControlConfig,
  analysis: Analysis,
  cooling: ReturnType<typeof coolingOf>,
): Course {
  const zero = log.time[0]!;
  const time = log.time.map((t) => t - zero);
  const { air, coil, ambient, door, compressor, fan } = log.values;
  const { drain, method, byTemperature, maxDuration } = config.defrost;
  const found = method === 'none' ? [] : analysis.defrosts;
  const defrosts = found.map((d, i): CourseDefrost => {
    const byAir = analysis.defrostsFoundBy === 'air';
    // A time that the control keeps is known better than the air shows it: from when cooling began again, back.
    const timed = !byTemperature && (byAir || analysis.defrostsFoundBy === 'longRests');
    const to = d.end - zero - (byAir ? PEAK_DELAY : 0) - (timed ? drain : 0);
    const from = timed ? to - maxDuration : d.start - zero - (byAir ? VALLEY_DELAY : 0);
    const next = found[i + 1];
    return {
      from,
      to,
      byTemperature: byTemperature && d.endedBy !== 'time' && to - from < maxDuration - 1.5 * analysis.step,
      over: Math.min(to + drain, next ? next.start - zero : Infinity),
    };
  });
  const runs = cooling
    .filter((s) => s.on)
    .map(({ from, to }) =>
      compressor
        ? { from: from - zero, to: to - zero }
        : { from: startAfter(from - zero - PEAK_DELAY, defrosts), to: to - zero - VALLEY_DELAY },
    );
  const stretches = stretchesOf(without(runs, defrosts), defrosts, config, analysis.step);
  const heats = method === 'electric' || method === 'hotGas';
  const edges = [
    0,
    ...stretches.flatMap(({ from, to }) => [from, to]),
    ...defrosts.flatMap(({ from, to, over }) => [from, to, over]),
  ];
  const within = (list: readonly { readonly from: number; readonly to: number }[], t: number) =>
    list.some(({ from, to }) => t >= from && t < to);
  const plain = [...new Set(edges)]
    .filter((t) => t >= 0)
    .sort((a, b) => a - b)
    .map((at) => ({
      at,
      // Hot gas needs the compressor, whatever a logger calls cooling.
      compressor: within(defrosts, at) ? method === 'hotGas' : within(runs, at),
      heater: heats && within(defrosts, at),
      phase: within(defrosts, at) ? ('defrost' as const) : 'regulate',
    }));
  const switches: readonly CourseSwitch[] = fan
    ? withLoggedFan(plain, time, fan)
    : fanAlong(plain, defrosts, config, time.at(-1)!, coil ? { time, coil } : null);
  return {
    time,
    air: air!,
    coil: coil ?? null,
    ambient: ambient ?? null,
    door: door ?? null,
    startOfDay: startOfDay(log),
    step: analysis.step,
    switches,
    stretches,
    defrosts,
    outputsLogged: compressor !== undefined,
  };
}

/** Runs with the defrosts cut out of them: with hot gas the compressor runs on through one. */
function without(
  runs: readonly { readonly from: number; readonly to: number }[],
  defrosts: readonly CourseDefrost[],
): readonly { readonly from: number; readonly to: number }[] {
  return runs.flatMap((run) => {
    const across = defrosts.find((d) => d.from > run.from && d.over < run.to);
    if (!across) return [run];
    return [{ from: run.from, to: across.from }, ...without([{ from: across.over, to: run.to }], defrosts)];
  });
}

/** After a defrost the air is at its peak once the fan runs again; cooling begins when the drip time is over. */
function startAfter(start: number, defrosts: readonly CourseDefrost[]): number {
  const before = defrosts.findLast((d) => d.from <= start);
  return before && start - before.over < LATE_PEAK && start > before.from ? before.over : start;
}

/** Second of the day of the first row. A log that counts from its own start is taken from midnight on. */
function startOfDay({ time, clock }: Log): number {
  if (clock.kind === 'elapsed') return 0;
  return ((time[0]! % SECONDS_PER_DAY) + SECONDS_PER_DAY) % SECONDS_PER_DAY;
}

/** A rest so much longer than the shortest was ended by the band, s. */
const CLEARLY = 45;

function stretchesOf(
  runs: readonly { readonly from: number; readonly to: number }[],
  defrosts: readonly CourseDefrost[],
  config: ControlConfig,
  step: number,
): readonly CourseStretch[] {
  const meets = (from: number, to: number) => defrosts.some((d) => d.from < to && d.over > from);
  const { minOff, minOn, startInterval } = config.compressor;
  const list: CourseStretch[] = [];
  for (const [i, run] of runs.entries()) {
    const before = runs[i - 1];
    if (before) {
      const { to: from } = before;
      const to = run.from;
      const defrost = meets(from, to);
      const held = Math.max(minOff, startInterval - (before.to - before.from));
      list.push({
        kind: defrost ? 'defrost' : 'rest',
        from,
        to,
        byBand: !defrost && to - from > held + CLEARLY + 0.5 * step,
      });
    }
    const cutShort = defrosts.some((d) => Math.abs(d.from - run.to) <= 2 * step);
    list.push({
      kind: 'run',
      from: run.from,
      to: run.to,
      byBand: !cutShort && i < runs.length - 1 && run.to - run.from > minOn + CLEARLY,
    });
  }
  return list;
}

function withLoggedFan(
  plain: readonly Omit<CourseSwitch, 'fan'>[],
  time: Float64Array,
  fan: Float64Array,
): readonly CourseSwitch[] {
  const changes: number[] = [];
  for (let i = 1; i < fan.length; i += 1)
    if (fan[i] !== fan[i - 1]) changes.push((time[i - 1]! + time[i]!) / 2);
  const at = [...new Set([...plain.map((p) => p.at), ...changes])].sort((a, b) => a - b);
  let of = 0;
  let row = 0;
  return at.map((t) => {
    while (of < plain.length - 1 && plain[of + 1]!.at <= t) of += 1;
    while (row < time.length - 1 && (time[row]! + time[row + 1]!) / 2 <= t) row += 1;
    return { at: t, compressor: plain[of]!.compressor, heater: plain[of]!.heater, fan: fan[row] === 1 };
  });
}
