import type { FollowedPoint, WithError } from './point.ts';
import { turnsOf, type Turn } from './turns.ts';

/** What is measured by itself from what a controller tells. */
export const measuredKinds = [
  'powerDelay',
  'cutOut',
  'cutIn',
  'rest',
  'run',
  'defrost',
  'defrostEnd',
  'drain',
  'fanDelay',
  'fanCoil',
] as const;
export type MeasuredKind = (typeof measuredKinds)[number];

/** One measurement: seconds, or °C of `cutOut`, `cutIn`, `defrostEnd` and `fanCoil`; when it ended, in seconds. */
export interface Measured extends WithError {
  readonly kind: MeasuredKind;
  readonly at: number;
}

/** Silent for so long, s, and then there with the compressor off, it may have been without power: sooner an answer was only lost. Ours. */
const SILENT = 4;
/** A stop so shortly before a defrost, s, is the defrost's, no cut-out. */
const BEFORE_DEFROST = 10;

/** Everything that can be measured from the points, in order of time. What happened while the controller was silent is not measured. */
export function measuredFrom(points: readonly FollowedPoint[]): readonly Measured[] {
  const turns = turnsOf(points);
  const silences = silencesOf(points);
  const found = [...powerDelays(turns, silences), ...cycles(turns, silences), ...defrosts(turns, silences)];
  return found.sort((a, b) => a.at - b.at);
}

/** Stretches in which nobody knows what the outputs did: from the last answer to the next. */
interface Silence {
  readonly from: number;
  readonly to: number;
}

function silencesOf(points: readonly FollowedPoint[]): readonly Silence[] {
  const silences: Silence[] = [];
  let last: number | null = null;
  let isSilent = false;
  for (const { at, readings } of points) {
    if (readings === null) {
      isSilent = true;
      continue;
    }
    if (isSilent && last !== null && at - last >= SILENT) silences.push({ from: last, to: at });
    [last, isSilent] = [at, false];
  }
  return silences;
}

/** Whether it was looked at all the while. */
const seen = (silences: readonly Silence[], from: number, to: number): boolean =>
  silences.every((one) => one.to <= from || one.from >= to);

const since = (kind: MeasuredKind, a: Turn, b: Turn): Measured => ({
  kind,
  value: b.at.value - a.at.value,
  plusMinus: a.at.plusMinus + b.at.plusMinus,
  at: b.at.value,
});
const felt = (kind: MeasuredKind, of: WithError | null, { at }: Turn): readonly Measured[] =>
  of ? [{ kind, ...of, at: at.value }] : [];

/** From the moment in which it answers again to the first start. */
function powerDelays(turns: readonly Turn[], silences: readonly Silence[]): readonly Measured[] {
  return silences.flatMap(({ from, to }) => {
    const next = turns.find(({ output, at }) => output === 'compressor' && at.value > to);
    if (!next?.on || !seen(silences, to, next.at.value)) return [];
    // A defrost that ended in between is another reason to wait.
    if (turns.some(({ output, at }) => output === 'defrost' && at.value > from && at.value < next.at.value))
      return [];
    const power = { value: (from + to) / 2, plusMinus: (to - from) / 2 };
    return [
      {
        kind: 'powerDelay',
        value: next.at.value - power.value,
        plusMinus: power.plusMinus + next.at.plusMinus,
        at: next.at.value,
      },
    ];
  });
}

/** Stops and starts that regulation makes. */
function cycles(turns: readonly Turn[], silences: readonly Silence[]): readonly Measured[] {
  const found: Measured[] = [];
  const defrosts = turns.filter(({ output }) => output === 'defrost');
  const own = turns.filter(({ output }) => output === 'compressor');
  const near = (from: number, to: number) => defrosts.some(({ at }) => at.value >= from && at.value <= to);
  const heats = (at: number) => defrosts.findLast((one) => one.at.value <= at)?.on === true;
  own.forEach((turn, i) => {
    const before = own[i - 1];
    const [from, to] = [before?.at.value ?? -Infinity, turn.at.value];
    const whole = before !== undefined && seen(silences, from, to);
    if (turn.on) {
      // After a defrost, or while one is under way, it starts by another rule than the band's.
      if (!whole || near(from - BEFORE_DEFROST, to) || heats(to)) return;
      found.push(...felt('cutIn', turn.air, turn), since('rest', before, turn));
    } else {
      if (near(to - BEFORE_DEFROST, to + BEFORE_DEFROST) || heats(to)) return;
      if (seen(silences, to - turn.at.plusMinus, to + turn.at.plusMinus))
        found.push(...felt('cutOut', turn.air, turn));
      if (whole) found.push(since('run', before, turn));
    }
  });
  return found;
}

/** Each defrost from its start to the fans. */
function defrosts(turns: readonly Turn[], silences: readonly Silence[]): readonly Measured[] {
  const found: Measured[] = [];
  const own = turns.filter(({ output }) => output === 'defrost');
  own.forEach((end, i) => {
    if (end.on) return;
    const start = own[i - 1];
    if (start?.on && seen(silences, start.at.value, end.at.value))
      found.push(since('defrost', start, end), ...felt('defrostEnd', end.coil, end));
    const until = own[i + 1]?.at.value ?? Infinity;
    const after = (output: Turn['output'], from: number) =>
      turns.find((one) => one.output === output && one.on && one.at.value >= from && one.at.value < until);
    const cools = after('compressor', end.at.value);
    if (!cools || !seen(silences, end.at.value, cools.at.value)) return;
    found.push(since('drain', end, cools));
    const fans = after('fan', cools.at.value - cools.at.plusMinus);
    if (!fans || !seen(silences, cools.at.value, fans.at.value)) return;
    found.push(since('fanDelay', cools, fans), ...felt('fanCoil', fans.coil, fans));
  });
  return found;
}
