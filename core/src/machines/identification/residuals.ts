import { median, middleMean, spreadOf } from '../../foundation/statistics/index.ts';
import { SECONDS_PER_DAY } from '../../foundation/limits/index.ts';
import { bandOf, type ControlConfig } from '../box/index.ts';
import { between, type Course, type CourseStretch } from './course.ts';
import type { OpenLoop } from './openLoop.ts';

/** Where a stretch is compared with the log, as shares of its length. */
const SHARES: Readonly<Record<CourseStretch['kind'], readonly number[]>> = {
  run: [0.35, 0.7, 1],
  rest: [0.35, 0.7, 1],
  defrost: [0.15, 0.3, 0.45, 0.6, 0.75, 0.9, 1],
};

export type Kind = 'run' | 'rest' | 'defrost' | 'coil' | 'coilDefrost' | 'switch' | 'length';

/** One comparison of model and log. */
export interface Check {
  readonly kind: Kind;
  readonly step: number;
  /** What was logged, °C. */
  readonly value: number;
  /** The step at which a length began. */
  readonly begins?: number;
  /** Comparisons of one group are alike: one kind, one place in the stretch, one quarter of the day. */
  readonly group: string;
}

/** Comparisons of a course: which step is compared with what. */
export function checksOf(
  course: Course,
  config: ControlConfig,
  { from, step }: { readonly from: number; readonly step: number },
): readonly Check[] {
  const checks: Check[] = [];
  const last = Math.floor(course.time.at(-1)! / step) - 1;
  const stepAt = (t: number) => Math.min(last, Math.max(0, Math.round(t / step) - 1));
  const band = bandOf(config.stage, config.setpoint);
  const calm = calmStretches(course);
  for (const stretch of course.stretches) {
    if (stretch.from < from || stretch.to > course.time.at(-1)!) continue;
    if (!calm.has(stretch)) continue;
    const quarter = stretch.kind === 'defrost' ? 0 : quarterOf(course.startOfDay + stretch.from);
    for (const share of SHARES[stretch.kind]) {
      const group = `${stretch.kind} ${share} ${quarter}`;
      const t = stretch.from + (stretch.to - stretch.from) * share;
      const air = between(course.time, course.air, t);
      if (air === air) checks.push({ kind: stretch.kind, step: stepAt(t), value: air, group });
      const coil = course.coil ? between(course.time, course.coil, t) : Number.NaN;
      if (coil === coil)
        checks.push({
          kind: stretch.kind === 'defrost' ? 'coilDefrost' : 'coil',
          step: stepAt(t),
          value: coil,
          group: `coil ${group}`,
        });
    }
    if (!stretch.byBand || stretch.kind === 'defrost') continue;
    // Where the control's probe stood, had the model been at the logged air.
    const air = between(course.time, course.air, stretch.to);
    const edge = stretch.kind === 'run' ? band.cutOut : band.cutIn;
    if (air === air)
      checks.push({
        kind: 'switch',
        step: stepAt(stretch.to),
        value: edge - air,
        group: `switch ${stretch.kind}`,
      });
  }
  for (const defrost of course.defrosts)
    if (defrost.byTemperature && defrost.from >= from && defrost.to < course.time.at(-1)!)
      checks.push({
        kind: 'length',
        step: stepAt(defrost.to),
        value: Number.NaN,
        begins: stepAt(defrost.from),
        group: `length ${quarterOf(course.startOfDay + defrost.from)}`,
      });
  return checks;
}

/** Quarter of the day: loads differ from one to the next. */
const quarterOf = (second: number): number => Math.floor((second % SECONDS_PER_DAY) / (SECONDS_PER_DAY / 4));

/** How far a stretch's first reading may lie off the usual one, K and in spreads. */
const CALM_K = 0.25;
const CALM_SPREADS = 1.5;

/**
 * Stretches that begin where such stretches usually do. One that begins warmer follows an open door: its air is warm and its shelves are not, so that it falls back faster than the box would by itself,
 * and the model, put back to the air alone, would learn a hold on the air that is not there.
 */
function calmStretches(course: Course): ReadonlySet<CourseStretch> {
  const calm = new Set<CourseStretch>();
  const begins = (s: CourseStretch) => between(course.time, course.air, s.from);
  for (const kind of ['run', 'rest', 'defrost'] as const) {
    const of = course.stretches.filter((s) => s.kind === kind);
    const levels = of.map(begins).filter((t) => t === t);
    const middle = median(levels);
    const room = Math.max(CALM_K, CALM_SPREADS * spreadOf(levels.filter((t) => t <= middle)));
    for (const [i, stretch] of course.stretches.entries()) {
      if (stretch.kind !== kind) continue;
      const before = course.stretches[i - 1];
      if (kind !== 'run' && before && !calm.has(before) && before.kind === 'run') continue;
      if (kind === 'defrost' || Math.abs(begins(stretch) - middle) <= room) calm.add(stretch);
    }
  }
  return calm;
}

/** Model less log at each check: K; a length as the logarithm of its ratio. */
export function deviations(
  checks: readonly Check[],
  run: OpenLoop,
  endTemperature: number | null,
): Float64Array {
  return Float64Array.from(checks, (check) => {
    const { kind, step, value } = check;
    if (kind === 'switch') return run.probe[step]! - run.logged[step]! - value;
    if (kind === 'length') return lengthDeviation(check, run, endTemperature);
    return (kind === 'coil' || kind === 'coilDefrost' ? run.coil : run.logged)[step]! - value;
  });
}

/** How much longer the model's coil takes to its end temperature: ln(model / log). Reached late it is drawn on at its last slope. */
function lengthDeviation(
  { step, begins: begin = step }: Check,
  { coil }: OpenLoop,
  end: number | null,
): number {
  if (end === null) return 0;
  const length = step - begin;
  if (length < 2) return 0;
  for (let i = begin; i <= step; i += 1)
    if (coil[i]! >= end) return Math.log(Math.max(1, i - begin) / length);
  const back = Math.min(6, length - 1);
  const slope = Math.max(1e-3, (coil[step]! - coil[step - back]!) / back);
  return Math.log(Math.min(4, 1 + (end - coil[step]!) / slope / length));
}

/** The middle of a group is never believed to be sharper than this: the model is not the box. K; a length as a share. */
const SHARPEST: Readonly<Record<Kind, number>> = {
  run: 0.06,
  rest: 0.06,
  defrost: 0.25,
  coil: 0.6,
  coilDefrost: 1,
  switch: 0.06,
  length: 0.05,
};
/** Scatter of one comparison before any was seen. */
const SCATTER: Readonly<Record<Kind, number>> = {
  run: 0.6,
  rest: 0.6,
  defrost: 1,
  coil: 1.5,
  coilDefrost: 2.5,
  switch: 0.25,
  length: 0.15,
};
/** Neighbouring stretches err together: so many count as one. */
const TOGETHER = 3;
/** A middle is less sharp than a mean by this (a half, trimmed, of a normal scatter). */
const TRIMMED = 1.1;

/** Errors are larger by this than the comparisons alone say: steps are not seconds, and comparisons hang together more than they are counted (from logs of known boxes, docs/identification.md). */
const MODEL_ERROR = 3.5;

/** Comparisons by group: where they stand in the list. */
export type Groups = readonly {
  readonly kind: Kind;
  readonly group: string;
  readonly at: readonly number[];
}[];

export function groupsOf(checks: readonly Check[]): Groups {
  const groups = new Map<string, { kind: Kind; group: string; at: number[] }>();
  for (const [i, { kind, group }] of checks.entries()) {
    const one = groups.get(group) ?? { kind, group, at: [] };
    one.at.push(i);
    groups.set(group, one);
  }
  return [...groups.values()];
}

/** One standard error of each group's middle. */
export function errorsOf(groups: Groups, deviated: Float64Array | null): Float64Array {
  return Float64Array.from(groups, ({ kind, at }) => {
    const of = deviated ? at.map((i) => deviated[i]!).filter((d) => d === d) : [];
    const scatter = of.length < 6 ? SCATTER[kind] : Math.max(spreadOf(of), 0.3 * SCATTER[kind]);
    return (
      MODEL_ERROR *
      Math.hypot(SHARPEST[kind], (TRIMMED * scatter) / Math.sqrt(Math.max(1, at.length / TOGETHER)))
    );
  });
}

/**
 * The middle of each group in standard errors. Not every comparison for itself: a run is long because somebody opened a door, so that lengths and disturbances go together, and a model
 * that hardly answers to anything would fit best (the bias of closed-loop identification; Ljung, System Identification, 13.4). In the middle of many they cancel.
 */
export function middles(groups: Groups, deviated: Float64Array, errors: Float64Array): Float64Array {
  return Float64Array.from(groups, ({ at }, g) => {
    const of = at.map((i) => deviated[i]!).filter((d) => d === d);
    return of.length === at.length ? middleMean(of) / errors[g]! : FAR_OFF;
  });
}

/** Where the model leaves all numbers. */
const FAR_OFF = 1e3;
