import type { FollowedPoint, Readings } from '@brine/core/judgement/following';
import type { Sample, Simulated } from '@brine/core/machines/simulation';
import { localSecond } from '../display/localTime.ts';

/** Columns of the open log format that a bus may fill. */
const COLUMNS = ['air_degC', 'coil_degC', 'product_degC', 'compressor', 'fan', 'defrost', 'alarm'] as const;

/** What a control told, as the file a logger would give: a row each time it answered. */
export function followedCsv(points: readonly FollowedPoint[]): string {
  const told = points.flatMap(({ at, readings }) => (readings ? [{ at, readings }] : []));
  const nameOf = (column: string) => column.replace('_degC', '') as keyof Readings;
  const columns = COLUMNS.filter((column) =>
    told.some(({ readings }) => readings[nameOf(column)] !== undefined && readings[nameOf(column)] !== null),
  );
  const cell = (value: number | boolean | null | undefined) =>
    value === undefined || value === null
      ? ''
      : typeof value === 'boolean'
        ? value
          ? '1'
          : '0'
        : String(value);
  return [
    ['time', ...columns].join(','),
    ...told.map(({ at, readings }) =>
      [
        localSecond(new Date(at * 1000).toISOString()),
        ...columns.map((column) => cell(readings[nameOf(column)])),
      ].join(','),
    ),
  ].join('\n');
}

/** A stretch of it as the day strip draws it: a sample every so many seconds, of the last answer before it; what was not told is NaN. */
export function followedRun(
  points: readonly FollowedPoint[],
  from: number,
  seconds: number,
  every: number,
): Simulated {
  const series: Sample[] = [];
  let i = 0;
  let last: FollowedPoint | null = null;
  for (let t = 0; t <= seconds; t += every) {
    while (i < points.length && points[i]!.at <= from + t) last = points[i++]!;
    series.push(sampleOf(t, last && from + t - last.at <= Math.max(every, HELD) ? last.readings : null));
  }
  // What comes after it is not known: bars end here.
  series.push(sampleOf(seconds + every, null));
  return { events: [], figures: null as unknown as Simulated['figures'], series };
}
/** An answer holds for so long, s: further apart it is a gap. */
const HELD = 15;

function sampleOf(t: number, readings: Readings | null): Sample {
  const number = (of: keyof Readings) => {
    const value = readings?.[of];
    return typeof value === 'number' ? value : Number.NaN;
  };
  const flag = (of: keyof Readings) => readings?.[of] === true;
  return {
    t,
    air: number('air'),
    coil: number('coil'),
    product: number('product'),
    frost: Number.NaN,
    compressor: flag('compressor'),
    fan: flag('fan'),
    defrost: flag('defrost'),
    phase: flag('defrost') ? 'defrost' : 'regulate',
    stage2: false,
    alarm: flag('alarm'),
    door: false,
  };
}
