import { MAX_DUTY_PERCENT, MAX_STARTS_PER_HOUR, PRODUCT_TOLERANCE_K } from '../../foundation/limits/index.ts';
import type { Finding } from '../checks/index.ts';
import type { UnitDescription } from '../../foundation/unit/index.ts';
import { sentence } from '../../foundation/sentences/index.ts';
import { quantity, type Quantity } from '../../foundation/quantities/index.ts';
import type { SettingValues } from '../../foundation/settings/index.ts';
import type { Tank } from '../../machines/tank/index.ts';
import type { PlantKind, Simulated } from '../../machines/simulation/index.ts';
import { both, clearingChanges, limitMoved, longer, moved } from './changes.ts';

/** What a check sees: a day as the unit is described; °C and K. */
export interface Seen {
  readonly values: SettingValues;
  readonly unit: UnitDescription;
  readonly day: Simulated;
  readonly band: { readonly cutIn: number; readonly cutOut: number };
  readonly limits: { readonly min: number | null; readonly max: number | null };
  /** The tank of water in the box's place, where there is one. */
  readonly tank: Tank | null;
  readonly show: (celsius: number) => Quantity;
  readonly showDifference: (kelvins: number) => Quantity;
}

/** One question to a simulated day, and the changes to be tried against it, mildest first. */
export interface DayCheck {
  readonly code: string;
  /** The machines it is asked of. */
  readonly machines: readonly PlantKind[];
  readonly find: (seen: Seen) => Omit<Finding, 'code'> | null;
  readonly changes: (values: SettingValues) => readonly SettingValues[];
}

/** A rest that lets the air run this far past cut-in is felt, K. */
const OVERSHOOT = 1;

const all = ['box', 'tank', 'engine'] as const;
/** Machines with a coil that frosts. */
const coils = ['box', 'engine'] as const;
/** Machines whose first output is the control's own compressor: an engine keeps its own times. */
const controlled = ['box', 'tank'] as const;
/** A surface this near to freezing ices somewhere, K. Ours. */
const ICE_MARGIN = 0.5;

const grams = (kg: number) => `${Math.round(kg * 1000)} g`;
const minutes = (seconds: number) => `${Math.round(seconds / 60)} min`;
const count = (n: number, what: string) => `${n} ${what}${n === 1 ? '' : 's'}`;

const alarmsIn = ({ day }: Seen, cause: string) => day.figures.alarms[cause] ?? 0;

/** Every check that needs a simulated day, in the order they are told. */
export const dayChecks: readonly DayCheck[] = [
  {
    code: 'iceGrows',
    machines: coils,
    find: ({ day: { figures: f } }) =>
      f.iceGrown <= f.iceNoticed
        ? null
        : {
            severity: 'error',
            settings: ['defrost.endTemperature', 'defrost.maxDuration', 'defrost.interval'],
            message: `${grams(f.iceGrown)} of ice grow on the coil in ${Math.round(f.hours)} h: the defrosts do not clear it, and every day it is more.`,
            numbers: { grown: f.iceGrown, left: f.iceLeftAfterDefrost ?? 0 },
          },
    changes: clearingChanges,
  },
  {
    code: 'goodsTooWarm',
    machines: all,
    find: ({ day, limits, show, values }) =>
      limits.max === null ||
      values['regulation.action'] === 'heat' ||
      day.figures.product.max <= limits.max + PRODUCT_TOLERANCE_K
        ? null
        : {
            severity: 'error',
            settings: ['regulation.setpoint', 'regulation.differential'],
            message: sentence`On a day as described the product reaches ${show(day.figures.product.max)}, its limit is ${show(limits.max)}.`,
            numbers: { reached: day.figures.product.max, limit: limits.max },
          },
    changes: (v) => [
      ...moved(v, 'regulation.setpoint', [-1, -2, -3, -4]),
      ...moved(v, 'regulation.differential', [-1]),
    ],
  },
  {
    code: 'goodsTooCold',
    machines: all,
    find: ({ day, limits, show }) =>
      limits.min === null || day.figures.product.min >= limits.min - PRODUCT_TOLERANCE_K
        ? null
        : {
            severity: 'error',
            settings: ['regulation.setpoint', 'regulation.differential'],
            message: sentence`On a day as described the product falls to ${show(day.figures.product.min)}, its limit is ${show(limits.min)}.`,
            numbers: { reached: day.figures.product.min, limit: limits.min },
          },
    changes: (v) => [
      ...moved(v, 'regulation.setpoint', [1, 2, 3, 4, 6, 8]),
      ...moved(v, 'regulation.differential', [-1]),
    ],
  },
  {
    code: 'runsAllDay',
    machines: all,
    find: ({ day: { figures: f }, values, unit, show }) =>
      f.dutyPercent <= MAX_DUTY_PERCENT || values['transport.runMode'] === 'continuous'
        ? null
        : {
            severity: 'warning',
            settings: ['regulation.setpoint'],
            message: sentence`It runs ${Math.round(f.dutyPercent)} % of the day and stays at ${show(f.air.mean)} on average: nothing is left for a warmer day${unit.application === 'chilledWaterTank' ? ', the chiller is too small for this water' : ''}.`,
            numbers: { duty: f.dutyPercent, mean: f.air.mean },
          },
    changes: (v) => [
      ...clearingChanges(v),
      ...moved(v, 'regulation.setpoint', v['regulation.action'] === 'heat' ? [-1, -2, -4] : [1, 2, 3, 4, 6]),
    ],
  },
  {
    code: 'chillerIces',
    machines: ['tank'],
    find: ({ day: { figures: f }, tank, show, showDifference }) => {
      if (!tank) return null;
      const surface = f.air.min - tank.surfaceBelow;
      return surface >= tank.freezing + ICE_MARGIN
        ? null
        : {
            severity: 'error',
            settings: ['regulation.setpoint'],
            message: sentence`Ice grows at the chiller: its surface is ${showDifference(tank.surfaceBelow)} colder than the water, ${show(surface)}, and this water freezes at ${show(tank.freezing)}. Keep the water warmer, stir it, or take a larger surface.`,
            numbers: { surface, freezing: tank.freezing },
          };
    },
    changes: (v) => moved(v, 'regulation.setpoint', [1, 2, 3, 4, 5, 6]),
  },
  {
    code: 'iceLeft',
    machines: coils,
    find: ({ day: { figures: f } }) =>
      f.iceGrown > f.iceNoticed || (f.iceLeftAfterDefrost ?? 0) <= f.iceNoticed
        ? null
        : {
            severity: 'warning',
            settings: ['defrost.endTemperature', 'defrost.maxDuration'],
            message: `${grams(f.iceLeftAfterDefrost!)} of ice are left when a defrost has ended: it ends too early or too cold.`,
            numbers: { left: f.iceLeftAfterDefrost! },
          },
    changes: clearingChanges,
  },
  {
    code: 'defrostEndsByTime',
    machines: coils,
    find: ({ day: { figures: f }, values }) =>
      values['defrost.termination'] !== 'temperature' ||
      values['defrost.method'] === 'offCycle' ||
      f.defrosts.time === 0 ||
      f.defrosts.temperature > 0
        ? null
        : {
            severity: 'warning',
            settings: ['defrost.maxDuration', 'defrost.endTemperature'],
            message: `${f.defrosts.time === 1 ? 'The defrost ends' : `All ${f.defrosts.time} defrosts end`} by time, after ${f.longestDefrostMinutes.toFixed(0)} min, though the coil is to end them: more time, a lower end, or a stronger heater.`,
            numbers: { byTime: f.defrosts.time, minutes: f.longestDefrostMinutes },
          },
    changes: (v) => [
      ...longer(v, 'defrost.maxDuration', [5, 10, 15, 20, 30]),
      ...both(moved(v, 'defrost.endTemperature', [-2, -4]), longer(v, 'defrost.maxDuration', [0, 10])),
    ],
  },
  {
    code: 'drainTooShort',
    machines: coils,
    find: ({ day: { figures: f } }) =>
      (f.waterLeftAfterDrain ?? 0) <= f.waterNoticed
        ? null
        : {
            severity: 'warning',
            settings: ['defrost.drainTime'],
            message: `${grams(f.waterLeftAfterDrain!)} of water are still on the coil when cooling begins again, and freeze on: drip longer.`,
            numbers: { water: f.waterLeftAfterDrain! },
          },
    changes: (v) => longer(v, 'defrost.drainTime', [1, 2, 3, 4, 6, 8]),
  },
  {
    code: 'restOvershoots',
    machines: controlled,
    find: ({ day: { figures: f }, band, values, show, showDifference }) => {
      const held = (f.heldSeconds['minOffTime'] ?? 0) + (f.heldSeconds['minStartInterval'] ?? 0);
      const over =
        values['regulation.action'] === 'heat'
          ? band.cutIn - (f.cutIn ?? band.cutIn)
          : (f.cutIn ?? band.cutIn) - band.cutIn;
      return held < 300 || over <= OVERSHOOT
        ? null
        : {
            severity: 'warning',
            settings: ['compressor.minOffTime', 'regulation.differential'],
            message: sentence`Held ${minutes(held)} a day by the minimum off time: cooling begins at ${show(f.cutIn!)}, ${showDifference(over)} past cut-in. The differential is too narrow for so long an off time.`,
            numbers: { over, held },
          };
    },
    changes: (v) => [
      ...moved(v, 'regulation.differential', [1, 2, 3]),
      { 'compressor.minOffTime': quantity(3, 'min') },
      ...both(moved(v, 'regulation.differential', [1, 2]), [{ 'compressor.minOffTime': quantity(3, 'min') }]),
    ],
  },
  {
    code: 'tooManyStarts',
    machines: controlled,
    find: ({ day: { figures: f }, unit, values }) =>
      unit.compressor === 'rackSolenoid' ||
      values['regulation.action'] === 'heat' ||
      f.startsPerHour <= MAX_STARTS_PER_HOUR
        ? null
        : {
            severity: 'warning',
            settings: ['regulation.differential', 'compressor.minOffTime'],
            message: `${f.startsPerHour.toFixed(1)} starts an hour, runs of ${f.shortestRunMinutes?.toFixed(1) ?? '?'} min: the differential is too narrow for a compressor (6 to 10 an hour are usual at most).`,
            numbers: { starts: f.startsPerHour },
          },
    changes: (v) => [
      ...moved(v, 'regulation.differential', [1, 2, 3]),
      ...both(moved(v, 'regulation.differential', [0, 1]), [{ 'compressor.minOffTime': quantity(5, 'min') }]),
    ],
  },
  {
    code: 'nuisanceAlarm',
    machines: all,
    find: (seen) => {
      const [high, low] = [alarmsIn(seen, 'high'), alarmsIn(seen, 'low')];
      return high + low === 0
        ? null
        : {
            severity: 'warning',
            settings: [
              'alarms.highTemperature',
              'alarms.highOffset',
              'alarms.delay',
              'alarms.defrostExclusion',
            ].filter((id) => id in seen.values),
            message: `${[high > 0 ? count(high, 'high alarm') : '', low > 0 ? count(low, 'low alarm') : ''].filter(Boolean).join(' and ')} on a day with nothing broken: it keeps sounding until somebody turns it off.`,
            numbers: { high, low },
          };
    },
    changes: (v) => [
      ...longer(v, 'alarms.delay', [15, 30]),
      ...longer(v, 'alarms.defrostExclusion', [15, 30, 45, 60]),
      ...both(longer(v, 'alarms.delay', [15, 30]), longer(v, 'alarms.defrostExclusion', [30, 60])),
      ...both(
        both(limitMoved(v, [2, 4, 6]), longer(v, 'alarms.delay', [10, 25])),
        longer(v, 'alarms.defrostExclusion', [0, 30, 60]),
      ),
    ],
  },
  {
    code: 'stagesFightInRun',
    machines: all,
    find: ({ day }) => {
      const fights = day.events.filter((e) => e.kind === 'stagesFight' && e.value === true).length;
      return fights === 0
        ? null
        : {
            severity: 'error',
            settings: ['stage2.setpoint', 'stage2.offset', 'stage2.differential'],
            message: `${count(fights, 'time')} in the day both stages call at once, one to heat and one to cool.`,
            numbers: { fights },
          };
    },
    changes: (v) => {
      const id = v['stage2.reference'] === 'relative' ? 'stage2.offset' : 'stage2.setpoint';
      return moved(v, id, v['regulation.action'] === 'heat' ? [1, 2, 4, 6, 8] : [-1, -2, -4, -6, -8]);
    },
  },
];
