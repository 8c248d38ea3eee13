import { MAX_DUTY_PERCENT, MAX_STARTS_PER_HOUR, SECONDS_PER_DAY } from '../../foundation/limits/index.ts';
import { driftOf } from '../analysis/index.ts';
import type { Against } from './band.ts';
import type { LogFinding } from './finding.ts';

/** Duty that grows by so many points a day, or a coil that sinks against the air by so many K a day. */
const DUTY_GROWS = 2;
const COIL_SINKS = 0.3;
/** A shorter log tells no rate, s: one start in two minutes is not thirty an hour. Ours. */
const LEAST_SECONDS = 3600;

/** What the compressor's running says. */
export function runningFindings(against: Against): readonly LogFinding[] {
  const { found, config } = against;
  const findings: LogFinding[] = [];
  const isLong = found.to - found.from >= LEAST_SECONDS;
  const duty = found.dutyPercent;
  if (isLong && duty !== null && duty > MAX_DUTY_PERCENT)
    findings.push({
      code: 'alwaysRunning',
      severity: 'error',
      message: `It runs ${duty.toFixed(0)} % of the time.`,
      why: 'It cannot reach cut-out: coil iced, door, condenser dirty, short of refrigerant, or a set point lower than the unit can do.',
      numbers: { dutyPercent: duty },
    });
  const starts = found.startsPerHour;
  if (isLong && starts !== null && starts > MAX_STARTS_PER_HOUR)
    findings.push({
      code: 'manyStarts',
      severity: 'warning',
      message: `${starts.toFixed(1)} starts an hour; ${MAX_STARTS_PER_HOUR} are as many as a compressor bears.`,
      why: 'The differential is too narrow, the off time too short, or the probe hangs in the supply air.',
      numbers: { startsPerHour: starts },
    });
  const rest = config ? config.compressor.minOff / 60 : 0;
  const shortest = found.shortestRestMinutes;
  if (shortest !== null && rest > 0 && shortest < rest - found.step / 60 - 0.1)
    findings.push({
      code: 'restNotHonoured',
      severity: 'error',
      message: `The shortest off-cycle was ${shortest.toFixed(1)} min; ${rest.toFixed(0)} min are set.`,
      why: 'Something else switches the compressor: an overload, a pressure control, a loose wire; or the value was never saved.',
      numbers: { shortestRestMinutes: shortest, restMinutes: rest },
    });
  findings.push(...iceFindings(against));
  return findings;
}

/** A coil that ices runs longer every day, and colder. */
function iceFindings({ log, found }: Against): readonly LogFinding[] {
  const { compressor, coil, air, ambient } = log.values;
  if (!compressor || !air || found.to - found.from < 3 * SECONDS_PER_DAY) return [];
  const duty = driftOf(hourly(compressor, log.time), hours(log.time));
  const warmer = ambient ? driftOf(ambient, log.time) : null;
  // A warmer week makes it run longer too.
  if (warmer && warmer.perDay > 3 * warmer.error && warmer.perDay > 0.5) return [];
  const gap = coil
    ? driftOf(
        Float64Array.from(coil, (t, i) => (compressor[i] === 1 ? air[i]! - t : Number.NaN)),
        log.time,
      )
    : null;
  const runsLonger = duty !== null && duty.perDay * 100 > DUTY_GROWS && duty.perDay > 3 * duty.error;
  const sinks = gap !== null && gap.perDay > COIL_SINKS && gap.perDay > 3 * gap.error;
  if (!(runsLonger && (sinks || !coil))) return [];
  const words = sinks ? `, and the coil lies ${gap.perDay.toFixed(1)} K further below the air each day` : '';
  return [
    {
      code: 'coilIces',
      severity: 'warning',
      message: `It runs ${(duty.perDay * 100).toFixed(1)} points longer each day${words}.`,
      why: 'The coil ices up: defrosts too short, too cold at the end or too seldom, a drain that is blocked, or a door that does not shut.',
      numbers: { dutyPointsPerDay: duty.perDay * 100, ...(gap && { coilPerDay: gap.perDay }) },
    },
  ];
}

const hours = (time: Float64Array) => {
  const first = time[0]!;
  const n = Math.floor((time.at(-1)! - first) / 3600);
  return Float64Array.from({ length: Math.max(1, n) }, (_, i) => first + i * 3600);
};

/** Share of each hour that a flag was 1. */
function hourly(flag: Float64Array, time: Float64Array): Float64Array {
  const first = time[0]!;
  const n = hours(time).length;
  const [on, all] = [new Float64Array(n), new Float64Array(n)];
  for (let i = 0; i < flag.length; i += 1) {
    const hour = Math.floor((time[i]! - first) / 3600);
    if (hour >= n || flag[i] !== flag[i]) continue;
    on[hour] = on[hour]! + flag[i]!;
    all[hour] = all[hour]! + 1;
  }
  return Float64Array.from(on, (sum, i) => (all[i]! > 0 ? sum / all[i]! : Number.NaN));
}
