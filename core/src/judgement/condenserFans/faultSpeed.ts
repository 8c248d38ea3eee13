import { SECONDS_PER_DAY } from '../../foundation/limits/index.ts';
import { zoneClock, type Log, type LogClock } from '../../logs/reading/index.ts';

/** Parts of a day, by the clock on site. */
export const dayParts = ['night', 'morning', 'afternoon', 'evening'] as const;
export type DayPart = (typeof dayParts)[number];
const HOURS_PER_PART = 6;
/** Longer than this between two rows is a gap: nothing is known of it, s. */
const LONGEST_STEP = 1800;
/** Fans that must do more than the fixed speed for so long in a part of a day would not have been enough, s. Common practice. */
const TOO_LITTLE_SECONDS = 1800;
/** Less than this is no normal week, days. */
export const WHOLE_WEEK_DAYS = 6;

/** What a fixed speed would have done in that week. */
export interface SpeedTried {
  readonly percent: number;
  /** Parts of days in which the fans had to do more, for half an hour at least in all. */
  readonly tooLittle: Readonly<Record<DayPart, number>>;
  readonly shortParts: number;
  /** Share of the time the fans ran for less than this. */
  readonly moreThanNeeded: number;
}

/** A week of fan percent, told. Means are weighted by time; of hours while a compressor ran where the log says so, else of all. */
export interface FaultSpeed {
  readonly days: number;
  readonly hours: number;
  readonly gapHours: number;
  readonly mean: number;
  readonly percentiles: Readonly<Record<'p10' | 'p50' | 'p90' | 'p95', number>>;
  readonly most: number;
  /** 06:00 to 22:00, and the rest. */
  readonly day: number;
  readonly night: number;
  readonly onlyWhileRunning: boolean;
  /** Mean, in whole steps of 5 % up: what is to be keyed in. */
  readonly advised: number;
  readonly tried: readonly SpeedTried[];
  /** What speaks against taking it for a normal week. */
  readonly doubts: readonly string[];
}

/**
 * The speed to hold when the regulation probe fails: the average of a normal week (common practice), and what it and its neighbours would have done in that week.
 * A sentence where the log cannot tell: no fan percent, or nothing but rest.
 */
export function faultSpeed(log: Log): FaultSpeed | string {
  const percent = log.values.fanPercent;
  if (!percent)
    return 'This log has no fan percent: expected a column fan_percent (choose the column in the layout).';
  const running = log.values.compressor ?? null;
  const offset = offsetOf(log.clock);
  const spans: {
    readonly value: number;
    readonly seconds: number;
    readonly hour: number;
    readonly day: number;
  }[] = [];
  let gaps = 0;
  for (let i = 0; i + 1 < log.time.length; i += 1) {
    const seconds = log.time[i + 1]! - log.time[i]!;
    if (seconds > LONGEST_STEP) {
      gaps += seconds;
      continue;
    }
    const value = percent[i]!;
    if (value !== value || (running && !(running[i]! > 0.5))) continue;
    const local = log.time[i]! + offset(log.time[i]!);
    spans.push({
      value: Math.min(100, Math.max(0, value)),
      seconds,
      hour: Math.floor((((local % SECONDS_PER_DAY) + SECONDS_PER_DAY) % SECONDS_PER_DAY) / 3600),
      day: Math.floor(local / SECONDS_PER_DAY),
    });
  }
  if (spans.length === 0)
    return running
      ? 'No compressor runs in this log: there is nothing to average.'
      : 'The fan percent of this log is empty.';
  const weigh = (list: typeof spans) => list.reduce((sum, s) => sum + s.seconds, 0);
  const meanOf = (list: typeof spans) =>
    list.length === 0 ? Number.NaN : list.reduce((sum, s) => sum + s.value * s.seconds, 0) / weigh(list);
  const mean = meanOf(spans);
  const advised = Math.min(100, Math.ceil(mean / 5 - 1e-9) * 5);
  const byDay = (s: (typeof spans)[number]) => s.hour >= 6 && s.hour < 22;
  const days = (log.time.at(-1)! - log.time[0]!) / SECONDS_PER_DAY;
  const sorted = spans.toSorted((a, b) => a.value - b.value);
  const candidates = [
    ...new Set([advised - 10, advised - 5, advised, advised + 5, advised + 10, advised + 20, 100]),
  ]
    .filter((p) => p > 0 && p <= 100)
    .sort((a, b) => a - b);
  return {
    days,
    hours: weigh(spans) / 3600,
    gapHours: gaps / 3600,
    mean,
    percentiles: {
      p10: weighted(sorted, 0.1),
      p50: weighted(sorted, 0.5),
      p90: weighted(sorted, 0.9),
      p95: weighted(sorted, 0.95),
    },
    most: sorted.at(-1)!.value,
    day: meanOf(spans.filter(byDay)),
    night: meanOf(spans.filter((s) => !byDay(s))),
    onlyWhileRunning: running !== null,
    advised,
    tried: candidates.map((p) => tried(p, spans, weigh(spans))),
    doubts: [
      ...(days < WHOLE_WEEK_DAYS
        ? [`The log spans ${days.toFixed(1)} days; a normal week has seven, with its warmest afternoon.`]
        : []),
      ...(gaps > 0.1 * (days * SECONDS_PER_DAY) ? [`${(gaps / 3600).toFixed(0)} h of it are gaps.`] : []),
      ...(running ? [] : ['It does not say when a compressor ran, so that off-cycles count too.']),
    ],
  };
}

function tried(
  percent: number,
  spans: readonly {
    readonly value: number;
    readonly seconds: number;
    readonly hour: number;
    readonly day: number;
  }[],
  all: number,
): SpeedTried {
  const over = new Map<string, number>();
  let below = 0;
  for (const s of spans) {
    if (s.value < percent) below += s.seconds;
    if (s.value <= percent + 1e-9) continue;
    const key = `${s.day}:${Math.floor(s.hour / HOURS_PER_PART)}`;
    over.set(key, (over.get(key) ?? 0) + s.seconds);
  }
  const tooLittle: Record<DayPart, number> = { night: 0, morning: 0, afternoon: 0, evening: 0 };
  for (const [key, seconds] of over)
    if (seconds >= TOO_LITTLE_SECONDS) tooLittle[dayParts[Number(key.split(':')[1])]!] += 1;
  return {
    percent,
    tooLittle,
    shortParts: dayParts.reduce((sum, part) => sum + tooLittle[part], 0),
    moreThanNeeded: below / all,
  };
}

/** The value below which that share of the time lies; `sorted` by value. */
function weighted(
  sorted: readonly { readonly value: number; readonly seconds: number }[],
  share: number,
): number {
  const goal = share * sorted.reduce((sum, s) => sum + s.seconds, 0);
  let sum = 0;
  for (const s of sorted) {
    sum += s.seconds;
    if (sum >= goal) return s.value;
  }
  return sorted.at(-1)!.value;
}

/** In words: `60 % would have been too little on 3 afternoons and 1 evening`; or that it would always have been enough. */
export function triedWords({ percent, tooLittle }: SpeedTried): string {
  const parts = dayParts.flatMap((part) =>
    tooLittle[part] === 0 ? [] : [`${tooLittle[part]} ${part}${tooLittle[part] === 1 ? '' : 's'}`],
  );
  return parts.length === 0
    ? `${percent} % would have been enough all week`
    : `${percent} % would have been too little on ${parts.length === 1 ? parts[0] : `${parts.slice(0, -1).join(', ')} and ${parts.at(-1)}`}`;
}

const offsetOf = (clock: LogClock): ((seconds: number) => number) => {
  const zone = clock.kind === 'true' && clock.zone ? zoneClock(clock.zone) : null;
  return zone ? (seconds) => zone.offsetAt(seconds) : () => 0;
};
