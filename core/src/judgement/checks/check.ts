import type { SettingValues } from '../../foundation/settings/index.ts';
import type { UnitDescription } from '../../foundation/unit/index.ts';
import {
  alarmNeverFree,
  highAlarmInsideBand,
  lowAlarmAboveCutOut,
  mutedTooShort,
  noHighAlarm,
} from './alarmChecks.ts';
import {
  endTemperatureTooLow,
  endTemperatureWithoutCoilProbe,
  fanRestartAboveFanStop,
  defrostTooSeldom,
  intervalTooShort,
  offCycleBelowFreezing,
} from './defrostChecks.ts';
import { fanNeverWaits, fansBlowHeat, fansStandInDefrost, offCycleWithoutFan } from './fanChecks.ts';
import { bySeverity, type Check, type Finding } from './finding.ts';
import { notInForce, withoutItsProbe } from './forceChecks.ts';
import { decimalSlip, offsetForgotten } from './probeChecks.ts';
import { stagesFight } from './stageChecks.ts';
import { cutInAboveGoodsLimit, cutOutBelowGoodsLimit, highAlarmAboveGoodsLimit } from './goodsChecks.ts';
import {
  differentialTooNarrow,
  impossibleValues,
  noRest,
  nothingToRegulate,
  outsideSoundRange,
  wrongAction,
} from './rangeChecks.ts';

/** Every check there is, in the order findings of one severity are told. */
const checks: readonly Check[] = [
  impossibleValues,
  nothingToRegulate,
  cutInAboveGoodsLimit,
  cutOutBelowGoodsLimit,
  highAlarmInsideBand,
  lowAlarmAboveCutOut,
  highAlarmAboveGoodsLimit,
  alarmNeverFree,
  noHighAlarm,
  intervalTooShort,
  endTemperatureWithoutCoilProbe,
  offCycleBelowFreezing,
  fanRestartAboveFanStop,
  fansBlowHeat,
  fansStandInDefrost,
  offCycleWithoutFan,
  fanNeverWaits,
  defrostTooSeldom,
  endTemperatureTooLow,
  wrongAction,
  noRest,
  differentialTooNarrow,
  stagesFight,
  mutedTooShort,
  withoutItsProbe,
  decimalSlip,
  offsetForgotten,
  notInForce,
  outsideSoundRange,
];

/** What a heat meter has not: it regulates nothing and keeps nothing cold. */
const ofRegulation: ReadonlySet<Check> = new Set([nothingToRegulate, noHighAlarm]);

/** Findings on a set of values, worst first; with the unit known, also against its goods and its probes; with the old control's values, also against what would be forgotten. */
export function check(
  values: SettingValues,
  unit: UnitDescription | null = null,
  found: SettingValues | null = null,
): readonly Finding[] {
  const asked = unit?.application === 'heatMeter' ? checks.filter((rule) => !ofRegulation.has(rule)) : checks;
  const said = asked.flatMap((rule) => rule({ values, unit, found }));
  return [...said].sort(bySeverity);
}
