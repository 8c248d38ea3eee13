import { sentence } from '../../foundation/sentences/index.ts';
import type { Quantity } from '../../foundation/quantities/index.ts';
import type { SettingId, SettingValues } from '../../foundation/settings/index.ts';
import type { CondenserCause, CondenserRunResult } from '../../machines/condenser/index.ts';
import type { Finding } from '../checks/index.ts';
import { fanSettingOf } from '../condenserFans/index.ts';
import * as plain from './changes.ts';

const { both } = plain;
/** As the plain changes, of fans on one relay by the relay's own settings. */
const moved = (v: SettingValues, id: SettingId, by: readonly number[]) =>
  plain.moved(v, fanSettingOf(v, id), by);
const longer = (v: SettingValues, id: SettingId, by: readonly number[]) =>
  plain.longer(v, fanSettingOf(v, id), by);
/** Of these the ones that are set, by the names they are set under. */
const setOf = (v: SettingValues, ids: readonly SettingId[]): readonly SettingId[] =>
  ids.map((id) => fanSettingOf(v, id)).filter((id) => id in v);

/** What a check of a condenser's day sees. */
export interface CondenserSeen {
  readonly values: SettingValues;
  readonly day: CondenserRunResult;
  readonly show: (celsius: number) => Quantity;
}

/** One question to a condenser's day, and the changes to be tried against it, mildest first. */
export interface CondenserCheck {
  readonly code: string;
  readonly find: (seen: CondenserSeen) => Omit<Finding, 'code'> | null;
  readonly changes: (values: SettingValues) => readonly SettingValues[];
}

/** Most starts an hour of a fan motor or its drive (common practice: 10 to 15). */
const MAX_FAN_STARTS_PER_HOUR = 12;
/** Turns of the output an hour above which a loop is called hunting. Ours: a following loop has a few. */
const HUNTING_TURNS = 30;
/** Minutes a day below what the expansion valve needs that are worth a word. Ours. */
const STARVED_MINUTES = 30;

const temperatureCauses: ReadonlySet<string> = new Set<CondenserCause>(['highCondensing', 'lowCondensing']);

/** Alarms of the day by their cause: how often each came on. */
export function condenserAlarms({
  events,
}: Pick<CondenserRunResult, 'events'>): Readonly<Record<string, number>> {
  const counts: Record<string, number> = {};
  for (const { kind, value, reason } of events)
    if (kind === 'alarmCause' && value === true && reason !== undefined)
      counts[reason] = (counts[reason] ?? 0) + 1;
  return counts;
}

/** What calms fans that start too often: a wider band, a slower loop, steps of a drive instead of on and off. */
const calming = (v: SettingValues): readonly SettingValues[] => [
  ...moved(v, 'condenser.differential', [1, 2, 3, 4, 6]),
  ...longer(v, 'condenser.integralTime', [2, 4, 8]),
  ...both(moved(v, 'condenser.differential', [2, 4, 6]), longer(v, 'condenser.integralTime', [2, 4, 8])),
  ...(v['condenser.floating'] === true
    ? both(moved(v, 'condenser.differential', [0, 2, 4]), [{ 'condenser.floating': false }])
    : []),
];

/** Every check of a condenser's day, in the order they are told. */
export const condenserChecks: readonly CondenserCheck[] = [
  {
    code: 'condenserAlarmNags',
    find: ({ day, values }) => {
      const counts = Object.entries(condenserAlarms(day)).filter(([cause]) => temperatureCauses.has(cause));
      const all = counts.reduce((sum, [, n]) => sum + n, 0);
      return all === 0
        ? null
        : {
            severity: 'warning',
            settings: setOf(values, [
              'condenser.highTemperature',
              'condenser.lowTemperature',
              'condenser.alarmDelay',
            ]),
            message: `${all} condensing alarm${all === 1 ? '' : 's'} on a day with nothing broken: ${counts.map(([cause, n]) => `${cause === 'lowCondensing' ? 'low' : 'high'} ${n}`).join(', ')}. It keeps sounding until somebody turns it off.`,
            numbers: { alarms: all },
          };
    },
    changes: (v) => [
      ...longer(v, 'condenser.alarmDelay', [3, 5, 10, 20]),
      ...moved(v, 'condenser.lowTemperature', [-2, -4, -6, -10]),
      ...moved(v, 'condenser.highTemperature', [2, 4]),
      ...both(moved(v, 'condenser.lowTemperature', [-4, -8]), longer(v, 'condenser.alarmDelay', [5, 15])),
    ],
  },
  {
    code: 'fansStartOften',
    find: ({ day: { figures: f }, values }) => {
      const most = Math.max(0, ...f.fanStarts);
      const perHour = most / Math.max(1, f.hours);
      return perHour <= MAX_FAN_STARTS_PER_HOUR
        ? null
        : {
            severity: 'warning',
            settings: setOf(values, ['condenser.differential', 'condenser.integralTime']),
            message: `A fan starts ${most} times a day, ${perHour.toFixed(0)} times an hour: motors and contacts stand 10 to 15 an hour at most. Widen the band.`,
            numbers: { startsPerDay: most, startsPerHour: perHour },
          };
    },
    changes: calming,
  },
  {
    code: 'fansHunt',
    find: ({ day: { figures: f }, values }) =>
      f.turnsPerHour <= HUNTING_TURNS
        ? null
        : {
            severity: 'warning',
            settings: setOf(values, ['condenser.differential', 'condenser.integralTime']),
            message: `The fans go up and down ${f.turnsPerHour.toFixed(0)} times an hour: the loop hunts. Widen the band or let the integral act slower.`,
            numbers: { turnsPerHour: f.turnsPerHour },
          },
    changes: calming,
  },
  {
    code: 'valveStarves',
    find: ({ day: { figures: f }, values, show }) =>
      f.starvedMinutes <= STARVED_MINUTES
        ? null
        : {
            severity: 'warning',
            settings: setOf(values, [
              'condenser.setpoint',
              'condenser.setpointMin',
              'condenser.floatingDifference',
            ]),
            message: sentence`${f.starvedMinutes.toFixed(0)} min of the day the pressure is below what the expansion valve needs; the liquid falls to ${show(f.liquid.min)}. Raise the set point or its lowest.`,
            numbers: { minutes: f.starvedMinutes },
          },
    changes: (v) => [
      ...moved(v, 'condenser.setpointMin', [2, 4, 6, 10]),
      ...moved(v, 'condenser.setpoint', [2, 4, 6, 10]),
      ...both(moved(v, 'condenser.setpoint', [4, 8]), moved(v, 'condenser.setpointMin', [4, 8])),
      ...calming(v),
    ],
  },
];
