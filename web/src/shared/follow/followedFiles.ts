import type { FollowedPoint, Readings } from '@brine/core/judgement/following';
import type { Log, ValueRole } from '@brine/core/logs/reading';
import { localSecond } from '../display/localTime.ts';

/** Columns of a log that a bus may fill: what they hold, by which reading, and how the open format heads them. */
const COLUMNS: readonly (readonly [ValueRole, keyof Readings, string])[] = [
  ['air', 'air', 'air_degC'],
  ['coil', 'coil', 'coil_degC'],
  ['coil2', 'secondCoil', 'coil2_degC'],
  ['product', 'product', 'product_degC'],
  ['compressor', 'compressor', 'compressor'],
  ['fan', 'fan', 'fan'],
  ['defrost', 'defrost', 'defrost'],
  ['alarm', 'alarm', 'alarm'],
];

/** What a control told, as a log in memory: a row each time it was asked, NaN where it told nothing. */
export const followedLog = (points: readonly FollowedPoint[]): Log => ({
  time: Float64Array.from(points, ({ at }) => at),
  values: Object.fromEntries(
    COLUMNS.map(([role, reading]) => [
      role,
      Float64Array.from(points, ({ readings }) => Number(readings?.[reading] ?? Number.NaN)),
    ]),
  ),
  clock: { kind: 'true', zone: null },
});

/** What a control told, as the file a logger would give: a row each time it answered. */
export function followedCsv(points: readonly FollowedPoint[]): string {
  const told = points.filter(({ readings }) => readings !== null);
  const { values } = followedLog(told);
  const columns = COLUMNS.filter(([role]) => values[role]!.some((value) => !Number.isNaN(value)));
  const rows = told.map(({ at }, i) => [
    localSecond(new Date(at * 1000).toISOString()),
    ...columns.map(([role]) => (Number.isNaN(values[role]![i]!) ? '' : String(values[role]![i]!))),
  ]);
  return [['time', ...columns.map(([, , head]) => head)], ...rows].map((row) => row.join(',')).join('\n');
}
