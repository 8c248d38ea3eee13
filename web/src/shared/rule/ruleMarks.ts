import type { TemperatureUnit } from '@brine/core/foundation/quantities';
import { alarmLimits, celsiusOf, switchingBand } from '@brine/core/foundation/regulation';
import type { Sentence } from '@brine/core/foundation/sentences';
import type { Application, SettingId, SettingValues } from '@brine/core/foundation/settings';
import type { Finding } from '@brine/core/judgement/checks';
import { secondStage } from './secondStage.ts';
import { typed, width } from './typedValues.ts';

export type RuleTone = 'brine' | 'cold' | 'alarm' | 'soft' | 'amber' | 'good';

/** A temperature on the rule. Regulating ones fly above the line; what moves when it is dragged is said by `move`. */
export interface RuleMark {
  readonly id: string;
  readonly label: string;
  readonly celsius: number;
  readonly tone: RuleTone;
  /** Which way its flag flies from the staff. */
  readonly side: 'left' | 'right';
  readonly setting: SettingId;
  /** What collides, in a sentence; null where all is well. */
  readonly problem: Sentence | null;
  /** Settings that put this mark at a temperature. */
  move(celsius: number, unit: TemperatureUnit): SettingValues;
}

/** Whether a unit has what a flag speaks of: a tank has no coil in air and no fan, whatever its control could do with them. */
const belongs = (mark: RuleMark, application: Application | undefined): boolean =>
  application !== 'chilledWaterTank' || !/^(fans|defrost)\./.test(mark.setting);

/** Every temperature that regulates or limits in such a unit, as flags. */
export const ruleMarks = (
  values: SettingValues,
  findings: readonly Finding[],
  application?: Application,
): readonly RuleMark[] => allMarks(values, findings).filter((mark) => belongs(mark, application));

function allMarks(values: SettingValues, findings: readonly Finding[]): readonly RuleMark[] {
  const problemOf = (...ids: SettingId[]) =>
    findings.find((f) => f.severity === 'error' && f.settings.some((id) => ids.includes(id as SettingId)))
      ?.message ?? null;
  const band = switchingBand(values);
  const marks: RuleMark[] = [];
  const add = (mark: Omit<RuleMark, 'problem'>, ...also: SettingId[]) =>
    marks.push({ ...mark, problem: problemOf(mark.setting, ...also) });

  if (band) {
    const atCutOut = Math.abs(band.setpoint - band.cutOut) < 1e-6;
    const shift = (celsius: number, from: number, unit: TemperatureUnit): SettingValues => ({
      'regulation.setpoint': typed(band.setpoint + celsius - from, unit),
    });
    add({
      id: 'cutOut',
      label: atCutOut ? 'Set point, cut-out' : 'Cut-out',
      celsius: band.cutOut,
      tone: 'brine',
      side: 'left',
      setting: 'regulation.setpoint',
      move: (celsius, unit) => shift(celsius, band.cutOut, unit),
    });
    add({
      id: 'cutIn',
      label: 'Cut-in',
      celsius: band.cutIn,
      tone: 'cold',
      side: 'right',
      setting: 'regulation.differential',
      move: (celsius, unit) => ({ 'regulation.differential': width(celsius - band.cutOut, unit) }),
    });
    if (!atCutOut && Math.abs(band.setpoint - band.cutIn) > 1e-6)
      add({
        id: 'setpoint',
        label: 'Set point',
        celsius: band.setpoint,
        tone: 'brine',
        side: 'right',
        setting: 'regulation.setpoint',
        move: (celsius, unit) => shift(celsius, band.setpoint, unit),
      });
  }
  const second = secondStage(values);
  if (second) {
    const does = second.band.heat ? 'Heating' : 'Second stage';
    add(
      {
        id: 'secondOff',
        label: `${does} stops`,
        celsius: second.band.off,
        tone: 'amber',
        side: second.band.heat ? 'right' : 'left',
        setting: second.moves,
        move: (celsius, unit) => second.shifted(celsius - second.band.off, unit),
      },
      'stage2.setpoint',
      'stage2.offset',
    );
    add({
      id: 'secondOn',
      label: `${does} starts`,
      celsius: second.band.on,
      tone: 'amber',
      side: second.band.heat ? 'left' : 'right',
      setting: 'stage2.differential',
      move: (celsius, unit) => ({ 'stage2.differential': width(Math.abs(celsius - second.band.off), unit) }),
    });
  }
  const relative = values['alarms.reference'] === 'relative';
  const { high, low } = alarmLimits(values);
  const base = band?.setpoint ?? 0;
  if (high !== null)
    add({
      id: 'high',
      label: 'High alarm',
      celsius: high,
      tone: 'alarm',
      side: 'right',
      setting: relative ? 'alarms.highOffset' : 'alarms.highTemperature',
      move: (celsius, unit) =>
        relative
          ? { 'alarms.highOffset': width(celsius - base, unit) }
          : { 'alarms.highTemperature': typed(celsius, unit) },
    });
  if (low !== null)
    add({
      id: 'low',
      label: 'Low alarm',
      celsius: low,
      tone: 'alarm',
      side: 'left',
      setting: relative ? 'alarms.lowOffset' : 'alarms.lowTemperature',
      move: (celsius, unit) =>
        relative
          ? { 'alarms.lowOffset': width(base - celsius, unit) }
          : { 'alarms.lowTemperature': typed(celsius, unit) },
    });
  const plain: readonly [SettingId, string, RuleTone, 'left' | 'right'][] = [
    ['fans.restartCoilTemperature', 'Fan runs below', 'soft', 'left'],
    ['fans.stopCoilTemperature', 'Fan stops above', 'soft', 'right'],
    ['defrost.endTemperature', 'Defrost ends', 'amber', 'right'],
    ['condenser.setpoint', 'Fan set point', 'brine', 'left'],
    ['condenser.setpointMin', 'Floats down to', 'cold', 'left'],
    ['condenser.setpointMax', 'Floats up to', 'cold', 'right'],
    ['condenser.highTemperature', 'High condensing', 'alarm', 'right'],
    ['condenser.lowTemperature', 'Low condensing', 'alarm', 'left'],
  ];
  for (const [setting, label, tone, side] of plain) {
    const celsius = celsiusOf(values[setting]);
    if (celsius !== null)
      add({
        id: setting,
        label,
        celsius,
        tone,
        side,
        setting,
        move: (c, unit) => ({ [setting]: typed(c, unit) }),
      });
  }
  return marks;
}
