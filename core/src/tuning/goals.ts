import type { UnitDescription } from '../advice/index.ts';
import { bandOf, controlConfig } from '../control/index.ts';
import {
  baseValue,
  isQuantity,
  printFor,
  printNumber,
  quantity,
  type TemperatureUnit,
} from '../quantities/index.ts';
import type { SettingId, SettingValues } from '../settings/index.ts';
import { GOODS_NEAR, simulate, type Figures, type Scenario } from '../simulation/index.ts';
import { unitScenario } from './unitScenario.ts';

export const goalIds = ['fewerStarts', 'quietAlarm', 'shortestDefrost', 'leastEnergy'] as const;
/** What tuning can be asked for. */
export type GoalId = (typeof goalIds)[number];

/** What a variant is judged by: the lesser score wins among those with nothing against them. */
export interface Judged {
  readonly score: number;
  /** What is paid for the score, drawn against it. */
  readonly price: number;
  readonly against: readonly string[];
}

/** How a variant is run and shown. */
export interface GoalContext {
  readonly unit: UnitDescription;
  readonly display: TemperatureUnit;
  readonly stride: number;
}

export interface Goal {
  readonly name: string;
  readonly question: string;
  /** The settings swept unless others are asked for. */
  readonly settings: (values: SettingValues) => readonly SettingId[];
  readonly score: (context: GoalContext) => string;
  readonly price: (context: GoalContext) => string;
  readonly judge: (values: SettingValues, context: GoalContext) => Judged | string;
}

/** Product within this, from coldest to warmest, K. */
const PRODUCT_SPREAD = 2;
const MOST_STARTS = 8;
const ICE = 0.05;
/** A dead compressor is to be called within this, min: a full box stands inside its limit for hours, and no thermometer can tell before. */
export const CALL_WITHIN = 30;
/** Volts of a battery fridge, where the survey says nothing. */
const BATTERY = 12;

/** Amp hours instead of kilowatt hours: what a battery is asked for. */
export const onBattery = (unit: UnitDescription): boolean =>
  unit.supply?.kind === 'dc' || unit.application === 'vehicleFridge';

const run = (scenario: Scenario, stride: number) => simulate(scenario, { stride })!;

function scenarioOf(values: SettingValues, { unit }: GoalContext, hours: number, doorUse?: 'busy') {
  return unitScenario(unit, values, { hours, ...(doorUse && { doorUse }) });
}

/** What no goal may cost: the goods. */
function goodsSay(f: Figures, { storage }: Scenario, display: TemperatureUnit): readonly string[] {
  const show = (celsius: number) => printFor(quantity(Math.round(celsius * 10) / 10, 'degC'), display);
  return [
    ...(storage.max !== null && f.product.max > storage.max + GOODS_NEAR
      ? [`goods reach ${show(f.product.max)}, limit ${show(storage.max)}`]
      : []),
    ...(storage.min !== null && f.product.min < storage.min - GOODS_NEAR
      ? [`goods fall to ${show(f.product.min)}, limit ${show(storage.min)}`]
      : []),
  ];
}

const iceSays = (f: Figures): readonly string[] =>
  f.iceGrown > ICE || (f.iceLeftAfterDefrost ?? 0) > ICE
    ? [`${Math.round(Math.max(f.iceGrown, f.iceLeftAfterDefrost ?? 0) * 1000)} g of ice left`]
    : [];
const startsSay = (f: Figures): readonly string[] =>
  f.startsPerHour > MOST_STARTS ? [`${f.startsPerHour.toFixed(1)} starts an hour`] : [];
const alarmsSay = (f: Figures): readonly string[] => {
  const n = (f.alarms['high'] ?? 0) + (f.alarms['low'] ?? 0);
  return n > 0 ? [`${n} alarm${n === 1 ? '' : 's'}`] : [];
};

const wide = (context: GoalContext) => (context.display === 'degF' ? '°F' : 'K');
const inDisplay = (kelvins: number, context: GoalContext) =>
  context.display === 'degF' ? kelvins * 1.8 : kelvins;

export const goals: Readonly<Record<GoalId, Goal>> = {
  fewerStarts: {
    name: 'Fewer starts',
    question: `Fewer starts, but the product stays within ${PRODUCT_SPREAD} K`,
    settings: () => ['regulation.differential', 'compressor.minOffTime'],
    score: () => 'starts an hour',
    price: (context) => `swing of the product, ${wide(context)}`,
    judge: (values, context) => {
      const scenario = scenarioOf(values, context, 48);
      if (typeof scenario === 'string') return scenario;
      const f = run(scenario, context.stride).figures;
      const spread = f.product.max - f.product.min;
      return {
        score: f.startsPerHour,
        price: inDisplay(spread, context),
        against: [
          ...goodsSay(f, scenario, context.display),
          ...(spread > PRODUCT_SPREAD
            ? [`product swings ${printNumber(inDisplay(spread, context))} ${wide(context)}`]
            : []),
          ...iceSays(f),
          ...alarmsSay(f),
        ],
      };
    },
  },
  quietAlarm: {
    name: 'An alarm that does not nag',
    question: `No nuisance alarm on a busy day, but a dead compressor is called within ${CALL_WITHIN} min of the goods passing their limit`,
    settings: (values) => [
      values['alarms.reference'] === 'relative' ? 'alarms.highOffset' : 'alarms.highTemperature',
      'alarms.delay',
    ],
    score: () => 'min until a dead compressor is called',
    price: () => 'alarms on a busy day with nothing broken',
    judge: (values, context) => {
      const busy = scenarioOf(values, context, 48, 'busy');
      if (typeof busy === 'string') return busy;
      const f = run(busy, context.stride).figures;
      const called = calledAfter(values, context);
      const nuisance = Object.values(f.alarms).reduce((sum, n) => sum + n, 0);
      return {
        score: called.minutes,
        price: nuisance,
        against: [
          ...(nuisance > 0 ? [`${nuisance} alarm${nuisance === 1 ? '' : 's'} with nothing broken`] : []),
          ...(called.late > CALL_WITHIN ? [lateSays(called)] : []),
        ],
      };
    },
  },
  shortestDefrost: {
    name: 'Shortest defrost',
    question: 'The shortest defrosts that leave no ice',
    settings: (values) =>
      values['defrost.termination'] === 'temperature'
        ? ['defrost.endTemperature', 'defrost.interval']
        : ['defrost.maxDuration', 'defrost.interval'],
    score: () => 'min a day in defrost and drain',
    price: () => 'ice left, g',
    judge: (values, context) => {
      const scenario = scenarioOf(values, context, 72);
      if (typeof scenario === 'string') return scenario;
      const f = run(scenario, context.stride).figures;
      const left = Math.max(0, f.iceGrown, f.iceLeftAfterDefrost ?? 0);
      return {
        score: f.defrostPercent * 14.4,
        price: left * 1000,
        against: [
          ...iceSays(f),
          ...goodsSay(f, scenario, context.display),
          ...(f.defrosts.temperature + f.defrosts.time === 0 ? ['no defrost at all'] : []),
        ],
      };
    },
  },
  leastEnergy: {
    name: 'Least energy',
    question: 'The least energy a day (amp hours from a battery) that keeps the goods',
    settings: () => ['regulation.setpoint', 'regulation.differential'],
    score: (context) => (onBattery(context.unit) ? 'Ah a day' : 'kWh a day'),
    price: (context) => `warmest product, ${context.display === 'degF' ? '°F' : '°C'}`,
    judge: (values, context) => {
      const scenario = scenarioOf(values, context, 48);
      if (typeof scenario === 'string') return scenario;
      const f = run(scenario, context.stride).figures;
      const volts = context.unit.supply?.volts ?? BATTERY;
      return {
        score: onBattery(context.unit) ? (f.kWhPerDay * 1000) / volts : f.kWhPerDay,
        price: context.display === 'degF' ? f.product.max * 1.8 + 32 : f.product.max,
        against: [
          ...goodsSay(f, scenario, context.display),
          ...startsSay(f),
          ...iceSays(f),
          ...cutInSays(values, scenario, context.display),
        ],
      };
    },
  },
};

/** The air at cut-in may not stand above the goods' limit, however slow the product is. */
function cutInSays(
  values: SettingValues,
  { storage }: Scenario,
  display: TemperatureUnit,
): readonly string[] {
  const config = controlConfig(values);
  if (typeof config === 'string' || storage.max === null || config.stage.heat) return [];
  const { cutIn } = bandOf(config.stage, config.setpoint);
  return cutIn > storage.max + 1e-6
    ? [
        `cut-in at ${printFor(quantity(Math.round(cutIn * 10) / 10, 'degC'), display)}, above the limit of the goods`,
      ]
    : [];
}

/** How long a dead compressor is watched for, h. */
const WATCHED_H = 8;

/** A dead compressor: minutes from its death to the alarm, and from the goods passing their limit to the alarm. */
interface Called {
  readonly minutes: number;
  readonly late: number;
}

const lateSays = ({ late }: Called): string =>
  Number.isFinite(late)
    ? `a dead compressor is called only ${late.toFixed(0)} min after the goods have passed their limit`
    : `a dead compressor is not called in ${WATCHED_H} h`;

/** The worse of two moments: at rest between defrosts, and half an interval later. */
function calledAfter(values: SettingValues, context: GoalContext): Called {
  const interval = values['defrost.interval'];
  const half = isQuantity(interval) ? Math.min(6, baseValue(interval) / 7200) : 3;
  const runs = [1, 1 + half].map((hour) => watchDeath(values, context, Math.round(hour * 3600)));
  return { minutes: Math.max(...runs.map((r) => r.minutes)), late: Math.max(...runs.map((r) => r.late)) };
}

function watchDeath(values: SettingValues, context: GoalContext, from: number): Called {
  const faults = [{ kind: 'deadCompressor' as const, from, to: from + WATCHED_H * 3600, amount: null }];
  const scenario = unitScenario(context.unit, values, { faults, hours: from / 3600 + WATCHED_H });
  if (typeof scenario === 'string') return { minutes: WATCHED_H * 60, late: WATCHED_H * 60 };
  const { events, series } = simulate(scenario, { stride: context.stride, sampleEvery: 60 })!;
  const alarm = events.find(
    (e) => e.kind === 'alarmCause' && e.value === true && e.reason === 'high' && e.t >= from,
  );
  const { max } = scenario.storage;
  // Without a limit of the goods it counts from the death.
  const passed = max === null ? from : (series.find((s) => s.t >= from && s.product > max)?.t ?? Infinity);
  if (!alarm) return { minutes: WATCHED_H * 60, late: Infinity };
  return { minutes: (alarm.t - from) / 60, late: Math.max(0, (alarm.t - passed) / 60) };
}
