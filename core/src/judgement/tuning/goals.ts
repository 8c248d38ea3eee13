import { sentence, type Sentence } from '../../foundation/sentences/index.ts';
import { written } from '../../foundation/regulation/index.ts';
import { MAX_STARTS_PER_HOUR, PRODUCT_TOLERANCE_K } from '../../foundation/limits/index.ts';
import type { UnitDescription } from '../../foundation/unit/index.ts';
import { bandOf, controlConfig } from '../../machines/box/index.ts';
import {
  printNumber,
  type TemperatureUnit,
  difference,
  differenceIn,
  temperature,
  temperatureIn,
} from '../../foundation/quantities/index.ts';
import type { SettingId, SettingValues } from '../../foundation/settings/index.ts';
import { simulate, type Figures, type Scenario } from '../../machines/simulation/index.ts';
import { CALL_WITHIN, calledAfter, lateSays } from './deadCompressor.ts';
import { energyOf, energyUnit } from './energy.ts';
import { unitScenario } from './unitScenario.ts';

export const goalIds = ['fewerStarts', 'quietAlarm', 'shortestDefrost', 'leastEnergy'] as const;
/** What tuning can be asked for. */
export type GoalId = (typeof goalIds)[number];

/** What a variant is judged by: the lesser score wins among those with nothing against them. */
export interface Judged {
  readonly score: number;
  /** What is paid for the score, drawn against it. */
  readonly price: number;
  readonly against: readonly Sentence[];
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
const run = (scenario: Scenario, stride: number) => simulate(scenario, { stride })!;

function scenarioOf(values: SettingValues, { unit }: GoalContext, hours: number, doorUse?: 'busy') {
  return unitScenario(unit, values, { hours, ...(doorUse && { doorUse }) });
}

/** What no goal may cost: the goods. */
function goodsSay(f: Figures, { storage }: Scenario, display: TemperatureUnit): readonly Sentence[] {
  const show = (celsius: number) => written(celsius, display);
  return [
    ...(storage.max !== null && f.product.max > storage.max + PRODUCT_TOLERANCE_K
      ? [sentence`product reaches ${show(f.product.max)}, limit ${show(storage.max)}`]
      : []),
    ...(storage.min !== null && f.product.min < storage.min - PRODUCT_TOLERANCE_K
      ? [sentence`product falls to ${show(f.product.min)}, limit ${show(storage.min)}`]
      : []),
  ];
}

const iceSays = (f: Figures): readonly string[] =>
  f.iceGrown > f.iceNoticed || (f.iceLeftAfterDefrost ?? 0) > f.iceNoticed
    ? [`${Math.round(Math.max(f.iceGrown, f.iceLeftAfterDefrost ?? 0) * 1000)} g of ice left`]
    : [];
const startsSay = (f: Figures): readonly string[] =>
  f.startsPerHour > MAX_STARTS_PER_HOUR ? [`${f.startsPerHour.toFixed(1)} starts an hour`] : [];
const alarmsSay = (f: Figures): readonly string[] => {
  const n = (f.alarms['high'] ?? 0) + (f.alarms['low'] ?? 0);
  return n > 0 ? [`${n} alarm${n === 1 ? '' : 's'}`] : [];
};

const wide = (context: GoalContext) => (context.display === 'degF' ? '°F' : 'K');
const inDisplay = (kelvins: number, context: GoalContext) =>
  differenceIn(difference(kelvins, 'K'), context.display === 'degF' ? 'deltaF' : 'K');

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
    name: 'An alarm that does not keep sounding',
    question: `No nuisance alarm on a busy day, but a dead compressor is called within ${CALL_WITHIN} min of the product passing its limit`,
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
    score: () => 'min a day in defrost and drip time',
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
    question: 'The least energy a day (amp hours from a battery) that keeps the product',
    settings: () => ['regulation.setpoint', 'regulation.differential'],
    score: (context) => energyUnit(context.unit),
    price: (context) => `warmest product, ${context.display === 'degF' ? '°F' : '°C'}`,
    judge: (values, context) => {
      const scenario = scenarioOf(values, context, 48);
      if (typeof scenario === 'string') return scenario;
      const f = run(scenario, context.stride).figures;
      return {
        score: energyOf(context.unit, f),
        price: temperatureIn(temperature(f.product.max, 'degC'), context.display),
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
): readonly Sentence[] {
  const config = controlConfig(values);
  if (typeof config === 'string' || storage.max === null || config.stage.heat) return [];
  const { cutIn } = bandOf(config.stage, config.setpoint);
  return cutIn > storage.max + 1e-6
    ? [sentence`cut-in at ${written(cutIn, display)}, above the limit of the product`]
    : [];
}
