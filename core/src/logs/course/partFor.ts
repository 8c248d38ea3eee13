import { SECONDS_PER_DAY } from '../../foundation/limits/index.ts';
import { bandOf, type ControlConfig } from '../../machines/box/index.ts';
import { analyse, type Analysis, type KnownSettings } from '../analysis/index.ts';
import type { Log } from '../reading/index.ts';

/** Less than this tells no daily load, h; a whole day is wanted before a model is made. */
export const LEAST_HOURS = 20;

/** A part of a log, s of it. */
export interface Part {
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

/** The part to be learned from, a week at the most: the longest without a gap; where the band was changed, one in which it stood as these settings say. */
export const partFor = (log: Log, analysis: Analysis, known: KnownSettings, config: ControlConfig): Part =>
  lastDays(bestPart(log, analysis, known, config));

function bestPart(log: Log, analysis: Analysis, known: KnownSettings, config: ControlConfig): Part {
  const parts = partsOf(analysis);
  const whole = parts.filter(({ from, to }) => to - from >= LEAST_HOURS * 3600);
  if (analysis.changes.length === 0 || whole.length < 2) return longest(whole.length > 0 ? whole : parts);
  const { cutOut } = bandOf(config.stage, config.setpoint);
  const off = whole.map(({ from, to }) => {
    const seen = analyse(cutLog(log, { from, to }), known).cutOut;
    return seen === null ? Infinity : Math.abs(seen - cutOut);
  });
  const nearest = Math.min(...off);
  return longest(whole.filter((_, i) => off[i]! <= nearest + SAME_BAND_K));
}

/** More than a week is not learned from: doors and weather of long ago say nothing of today. */
const MOST_S = 7 * SECONDS_PER_DAY;

const lastDays = ({ from, to }: Part): Part => ({ from: Math.max(from, to - MOST_S), to });

/** The rows of a part. */
export function cutLog(log: Log, { from, to }: Part): Log {
  const first = log.time.findIndex((t) => t >= from);
  let end = log.time.length;
  while (end > 0 && log.time[end - 1]! > to) end -= 1;
  const values = Object.fromEntries(
    Object.entries(log.values).map(([role, column]) => [role, column.slice(first, end)]),
  );
  return { ...log, time: log.time.slice(first, end), values };
}
