import type { ControlEvent } from '@brine/core/machines/box';
import type { TemperatureUnit } from '@brine/core/foundation/quantities';
import { printFor, quantity } from '@brine/core/foundation/quantities';
import type { Sample } from '@brine/core/machines/simulation';
import { eventWords } from './lanes.ts';

/** A second of the run as a clock shows it, with its day from the second on. */
export function clock(seconds: number): string {
  const minutes = Math.floor(seconds / 60);
  const day = Math.floor(minutes / 1440);
  return `${day > 0 ? `d${day + 1} ` : ''}${String(Math.floor(minutes / 60) % 24).padStart(2, '0')}:${String(minutes % 60).padStart(2, '0')}`;
}

/** A mark of the hours below a strip: the clock, and at each midnight of a longer run the day that begins; a single day ends at 24:00. */
export function hourMark(hour: number, runHours: number): string {
  if (runHours <= 24) return hour === 24 ? '24:00' : clock(hour * 3600);
  if (hour === runHours) return 'end';
  return hour % 24 === 0 ? `day ${hour / 24 + 1}` : clock(hour * 3600).replace(/^d\d+ /, '');
}

const STEPS_H = [0.25, 0.5, 1, 2, 3, 6, 12, 24];
/** Least room for the words of a mark, px. */
const MARK_PX = 70;

/** Hours to be marked in a span of seconds, as close as the width lets them be read. */
export function markedHours(from: number, to: number, width: number): readonly number[] {
  const span = (to - from) / 3600;
  const step = STEPS_H.find((hours) => span / hours <= width / MARK_PX) ?? 24;
  const first = Math.ceil(from / 3600 / step) * step;
  return Array.from({ length: Math.floor(to / 3600 / step - first / step) + 1 }, (_, i) => first + i * step);
}

/** The sample that stands at a second of an evenly sampled run; undefined where there is none. */
export function sampleAt<At extends { readonly t: number }>(
  series: readonly At[],
  seconds: number,
): At | undefined {
  const step = series.length > 1 ? series[1]!.t - series[0]!.t : 1;
  return series[Math.min(series.length - 1, Math.max(0, Math.round(seconds / step)))];
}

/** Everything the strip holds at a second, in one sentence. */
export function readingAt(series: readonly Sample[], at: number, unit: TemperatureUnit): string {
  const s = sampleAt(series, at);
  if (!s) return '';
  const degrees = (celsius: number) => printFor(quantity(celsius, 'degC'), unit);
  const on = [
    s.compressor && 'runs',
    s.fan && 'fan',
    s.phase !== 'regulate' && s.phase,
    s.alarm && 'alarm',
    s.door && 'door open',
  ].filter(Boolean);
  const known = [
    ['air', s.air],
    ['coil', s.coil],
    ['product', s.product],
  ] as const;
  const temperatures = known
    .filter(([, t]) => Number.isFinite(t))
    .map(([name, t]) => `${name} ${degrees(t)}`);
  const ice = Number.isFinite(s.frost) ? [`ice ${(s.frost * 1000).toFixed(0)} g`] : [];
  return `${clock(s.t)}: ${[...temperatures, ...ice].join(', ')}; ${on.join(', ') || 'all off'}`;
}

const NEAR = 300;
const MOST = 3;

/** What happened within five minutes of a second, with its reason. */
export function eventsNear(events: readonly ControlEvent[], at: number): readonly string[] {
  return events
    .filter((e) => Math.abs(e.t - at) <= NEAR)
    .flatMap((e) => {
      const words = eventWords(e);
      return words ? [`${clock(e.t)} ${words}`] : [];
    })
    .slice(0, MOST);
}
