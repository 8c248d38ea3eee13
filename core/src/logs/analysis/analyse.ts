import type { Log } from '../reading/index.ts';
import { nothingKnown, type Analysis, type KnownSettings } from './analysis.ts';
import { changesOf } from './bandChanges.ts';
import { confidenceOf } from './confidence.ts';
import { cyclesOf, levelOf, type Cycles } from './cycles.ts';
import { driftOf, meanOf, minutesBeyond } from './days.ts';
import { defrostsOf, type Defrost } from './defrosts.ts';
import { dutyOf } from './duty.ts';
import { gridOf, type Grid } from './grid.ts';
import { meanKineticTemperature } from './kinetic.ts';
import { endsInDefrost, meetsDefrost, undisturbed } from './nearDefrost.ts';
import { lowerBound, median } from '../../foundation/statistics/index.ts';
import { stretchesOf } from './stretches.ts';

/** Analyses a log. Gaps count in no rate; a failed probe's rows count nowhere. Settings sharpen what ended a defrost and give the limits. */
export function analyse(log: Log, known: KnownSettings = nothingKnown): Analysis {
  const grid = gridOf(log.time);
  const { air } = log.values;
  const cycles = cyclesOf(log, grid);
  const rests = cycles.stretches.filter((s) => !s.on && s.whole);
  const runs = cycles.stretches.filter((s) => s.on && s.whole);
  const { defrosts, foundBy, expected } = defrostsOf(log, grid, rests, known, cycles.from === 'air');
  // What a defrost starts and stops says nothing of the band.
  const ordinary = undisturbed(cycles.points, defrosts).filter((p) => p.start || !endsInDefrost(p, defrosts));
  const changes = cycles.tooCoarse ? [] : changesOf(ordinary);
  const since = changes.at(-1)?.after ?? -Infinity;
  const inForce = ordinary.filter((p) => p.at > since);
  const cutInLevel = cycles.tooCoarse ? null : levelOf(inForce.filter((p) => p.start));
  const cutOutLevel = cycles.tooCoarse ? null : levelOf(inForce.filter((p) => !p.start));
  const hours = grid.covered / 3600;
  const startCount = cycles.points.filter((p) => p.start).length;
  const plainStarts = cycles.from === 'compressor' ? startsOf(cycles) : startCount;
  const ordinaryRests = rests.filter((r) => !meetsDefrost(defrosts, r.from, r.to));
  const product = log.values.product ?? air;
  const beyond = (limit: number | null, is: (t: number, limit: number) => boolean) =>
    air && limit !== null ? minutesBeyond(air, log.time, grid.step, (t) => is(t, limit)) : null;
  return {
    samples: log.time.length,
    from: log.time[0]!,
    to: log.time.at(-1)!,
    step: grid.step,
    gaps: grid.gaps,
    cutIn: cutInLevel?.celsius ?? null,
    cutOut: cutOutLevel?.celsius ?? null,
    differential: cutInLevel && cutOutLevel ? cutInLevel.celsius - cutOutLevel.celsius : null,
    startsPerHour:
      cycles.tooCoarse || hours <= 0 || (cycles.from === 'air' && startCount === 0)
        ? null
        : plainStarts / hours,
    dutyPercent: dutyOf(cycles, defrosts, known.drain),
    shortestRunMinutes: cycles.tooCoarse ? null : shortest(runs),
    shortestRestMinutes: cycles.tooCoarse ? null : shortest(ordinaryRests),
    defrosts,
    defrostsFoundBy: foundBy,
    defrostIntervalHours: intervalOf(defrosts),
    recoveryMinutes: cutInLevel && air ? recoveryOf(defrosts, air, log.time, cutInLevel.celsius) : null,
    doors: doorsOf(log, grid),
    fanPercentMean: finite(log.values.fanPercent && meanOf(log.values.fanPercent)),
    meanKineticTemperature: finite(product && meanKineticTemperature(product)),
    minutesAbove: beyond(known.highLimit, (t, limit) => t > limit),
    minutesBelow: beyond(known.lowLimit, (t, limit) => t < limit),
    drift: air ? driftOf(air, log.time) : null,
    changes,
    tooCoarse: cycles.tooCoarse,
    startSpread: cutInLevel?.spread ?? null,
    restMinutesMedian:
      ordinaryRests.length > 0 ? median(ordinaryRests.map((r) => (r.to - r.from) / 60)) : null,
    confidence: confidenceOf(cycles, cutInLevel, cutOutLevel, grid, { defrosts, foundBy, expected }),
  };
}

/** Whole starts: a change from off to on between two neighbouring rows. */
function startsOf(cycles: Cycles): number {
  return cycles.stretches
    .slice(1)
    .filter((s, i) => s.on && !cycles.stretches[i]!.on && cycles.stretches[i]!.end === s.first).length;
}

const shortest = (list: readonly { readonly from: number; readonly to: number }[]) =>
  list.length === 0 ? null : Math.min(...list.map((s) => s.to - s.from)) / 60;

function intervalOf(defrosts: readonly Defrost[]): number | null {
  if (defrosts.length < 2) return null;
  return median(defrosts.slice(1).map((d, i) => d.start - defrosts[i]!.start)) / 3600;
}

function recoveryOf(
  defrosts: readonly Defrost[],
  air: Float64Array,
  time: Float64Array,
  cutIn: number,
): number | null {
  const minutes = defrosts.flatMap((d, i) => {
    const until = defrosts[i + 1]?.start ?? Infinity;
    let at = lowerBound(time, d.end);
    while (at < air.length && time[at]! < until && !(air[at]! <= cutIn)) at += 1;
    return at < air.length && time[at]! < until ? [(time[at]! - d.end) / 60] : [];
  });
  return minutes.length > 0 ? median(minutes) : null;
}

function doorsOf(log: Log, grid: Grid): Analysis['doors'] {
  if (!log.values.door) return null;
  const open = stretchesOf(log.values.door, log.time, grid).filter((s) => s.on);
  const minutes = open.map((s) => (s.to - s.from) / 60);
  return {
    openings: open.length,
    openMinutes: minutes.reduce((sum, m) => sum + m, 0),
    longestMinutes: Math.max(0, ...minutes),
  };
}

const finite = (n: number | undefined) => (n !== undefined && Number.isFinite(n) ? n : null);
