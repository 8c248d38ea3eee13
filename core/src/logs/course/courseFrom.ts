import { SECONDS_PER_DAY } from '../../foundation/limits/index.ts';
import type { ControlConfig } from '../../machines/box/index.ts';
import type { Course, CourseDefrost, CourseSwitch } from '../../machines/identification/index.ts';
import type { Analysis, Cooling } from '../analysis/index.ts';
import type { Log } from '../reading/index.ts';
import { courseStretches } from './courseStretches.ts';
import { fanAlong, loggedFan } from './fanAlong.ts';

/** A peak so soon after a defrost belongs to it, s. */
const LATE_PEAK = 900;
/** A turn of the air comes later than its cause: the thermometer lags, and after a start cooling comes up first (common practice: a minute to a minute and a half), s. */
const VALLEY_DELAY = 70;
const PEAK_DELAY = 80;

/** The course of a log in one piece: its defrosts, its runs and rests, and what was switched when. */
export function courseFrom(
  log: Log,
  config: ControlConfig,
  analysis: Analysis,
  cooling: readonly Cooling[],
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
  const stretches = courseStretches(runs, defrosts, config, analysis.step);
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
    }));
  const switches: readonly CourseSwitch[] = fan
    ? loggedFan(plain, time, fan)
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
