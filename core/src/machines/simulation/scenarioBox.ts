import {
  ambientRatio,
  boxOf,
  driveAtRest,
  insideOf,
  templates,
  useFactors,
  type BoxDrive,
  type BoxParameters,
} from '../box/index.ts';
import { changedAlike } from './changedAlike.ts';
import type { Scenario } from './scenario.ts';

/** The usual box of a scenario's kind and choice: warm goods come in as its door is used. */
export const usualBoxOf = ({ template, choice, doorUse }: Scenario): BoxParameters =>
  boxOf(template, { goodsIn: useFactors[doorUse], ...choice });

/** The box that a scenario runs on: the usual one, or its own where it was learned, changed as the scenario's choice changes the usual one. */
export function boxOfScenario(scenario: Scenario): BoxParameters {
  const usual = usualBoxOf(scenario);
  return scenario.own ? changedAlike(scenario.own.box, scenario.own.usual, usual) : usual;
}

/** Everything off, in the air that stands around the unit. */
export function restingDrive({ template, choice, tank, own }: Scenario): BoxDrive {
  const t = templates[template];
  const ambient = choice.ambient ?? tank?.air ?? t.ambient;
  return driveAtRest(ambient, ambientRatio(t, ambient, choice.humidity) * (own?.humidityFactor ?? 1));
}

/** A tank is looked at from just above its set point on, K. */
const TANK_BEGINS = 0.5;

/** What everything in the unit begins at, °C. */
export const beginsAt = ({ startAt, tank, config, template, choice }: Scenario): number =>
  startAt ?? (tank ? config.setpoint + TANK_BEGINS : insideOf(template, choice));
