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
import type { Scenario } from './scenario.ts';

/** The box that a scenario runs on: warm goods come in as its door is used. */
export const boxOfScenario = ({ template, choice, doorUse }: Scenario): BoxParameters =>
  boxOf(template, { goodsIn: useFactors[doorUse], ...choice });

/** Everything off, in the air that stands around the unit. */
export function restingDrive({ template, choice, tank }: Scenario): BoxDrive {
  const t = templates[template];
  const ambient = choice.ambient ?? tank?.air ?? t.ambient;
  return driveAtRest(ambient, ambientRatio(t, ambient, choice.humidity));
}

/** A tank is looked at from just above its set point on, K. */
const TANK_BEGINS = 0.5;

/** What everything in the unit begins at, °C. */
export const beginsAt = ({ startAt, tank, config, template, choice }: Scenario): number =>
  startAt ?? (tank ? config.setpoint + TANK_BEGINS : insideOf(template, choice));
