import type { Analysis } from '../analysis/index.ts';
import type { LogFinding } from './finding.ts';
import { clockIso } from '../reading/index.ts';
import type { Log } from '../reading/index.ts';

/** An analysis in the open format of `brine analyse`: °C, K, minutes, hours; times as the log writes them. */
export function logReport(log: Log, found: Analysis, findings: readonly LogFinding[]) {
  const at = (seconds: number) => (log.clock.kind === 'elapsed' ? seconds : clockIso(log.clock, seconds));
  return {
    samples: found.samples,
    from: at(found.from),
    to: at(found.to),
    gaps: found.gaps.map((gap) => ({
      from: at(gap.from),
      to: at(gap.to),
      minutes: (gap.to - gap.from) / 60,
    })),
    cutIn: found.cutIn,
    cutOut: found.cutOut,
    differential: found.differential,
    startsPerHour: found.startsPerHour,
    dutyPercent: found.dutyPercent,
    shortestRunMinutes: found.shortestRunMinutes,
    shortestRestMinutes: found.shortestRestMinutes,
    defrosts: found.defrosts.map((d) => ({
      start: at(d.start),
      durationMinutes: d.durationMinutes,
      endedBy: d.endedBy,
      endTemperature: d.endTemperature,
    })),
    defrostIntervalHours: found.defrostIntervalHours,
    recoveryMinutes: found.recoveryMinutes,
    doors: found.doors,
    fanPercentMean: found.fanPercentMean,
    meanKineticTemperature: found.meanKineticTemperature,
    minutesAbove: found.minutesAbove,
    minutesBelow: found.minutesBelow,
    driftPerDay: found.drift && {
      kelvin: found.drift.perDay,
      error: found.drift.error,
      days: found.drift.days,
    },
    changes: found.changes.map((change) => ({
      ...change,
      after: at(change.after),
      before: at(change.before),
    })),
    confidence: found.confidence,
    findings,
  };
}
