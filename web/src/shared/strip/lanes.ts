import type { ControlEvent } from '@brine/core/machines/box';
import type { Sample } from '@brine/core/machines/simulation';

/** A stretch of time in which an output was on, seconds of the run. */
export interface Stretch {
  readonly from: number;
  readonly to: number;
}

/** The lanes below the temperatures, in the order they are drawn. */
export const laneNames = {
  compressor: 'Run',
  stage2: 'Stage 2',
  fan: 'Fan',
  defrost: 'Defrost, drip',
  alarm: 'Alarm',
  door: 'Door',
} as const;
export type LaneName = keyof typeof laneNames;

/** Stretches from samples: an output holds from its sample to the next. */
export function stretches<At extends { readonly t: number }>(
  series: readonly At[],
  on: (sample: At) => boolean,
  end: number,
): readonly Stretch[] {
  const found: Stretch[] = [];
  let from: number | null = null;
  for (const sample of series) {
    if (on(sample) && from === null) from = sample.t;
    else if (!on(sample) && from !== null) {
      found.push({ from, to: sample.t });
      from = null;
    }
  }
  if (from !== null) found.push({ from, to: end });
  return found;
}

const isOn: Readonly<Record<LaneName, (sample: Sample) => boolean>> = {
  compressor: (s) => s.compressor,
  stage2: (s) => s.stage2,
  fan: (s) => s.fan,
  defrost: (s) => s.phase !== 'regulate',
  alarm: (s) => s.alarm,
  door: (s) => s.door,
};

/** Every lane of a run. */
export function lanesOf(series: readonly Sample[], end: number): ReadonlyMap<LaneName, readonly Stretch[]> {
  return new Map(
    (Object.keys(laneNames) as LaneName[]).map((name) => [name, stretches(series, isOn[name], end)]),
  );
}

const reasons: Readonly<Record<string, string>> = {
  interval: 'its interval was over',
  temperature: 'the coil was warm enough',
  time: 'its longest time was over',
  drained: 'the drip time was over',
  demand: 'the box called',
  defrost: 'a defrost began',
  drain: 'the drip time began',
  high: 'too warm for too long',
  low: 'too cold for too long',
  door: 'the door stood open',
};
const kinds: Readonly<Record<string, readonly [string, string]>> = {
  compressor: ['runs', 'stops'],
  alarm: ['alarm', 'alarm over'],
};
const holds: Readonly<Record<string, string>> = {
  minOffTime: 'the minimum off time',
  minStartInterval: 'the time between starts',
  powerOnDelay: 'the start-up delay',
  callDelay: 'the delay of the call',
};

/** An event in a few words, with its reason; null for those the lanes tell better. */
export function eventWords(event: ControlEvent): string | null {
  const why = event.reason ? (reasons[event.reason] ?? event.reason) : '';
  if (event.kind === 'phase')
    return `${event.value === 'regulate' ? 'cools again' : event.value}${why ? `: ${why}` : ''}`;
  if (event.kind === 'held')
    return `held ${event.numbers?.['seconds'] ?? 0} s by ${holds[String(event.value)] ?? String(event.value)}`;
  if (event.kind === 'defrostSkipped') return `defrost skipped: ${why}`;
  const words = kinds[event.kind];
  return words ? `${words[event.value === true ? 0 : 1]}${why ? `: ${why}` : ''}` : null;
}
