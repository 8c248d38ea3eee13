import { isQuantity } from '../../foundation/quantities/index.ts';
import { settingOf, type SettingId, type SettingValue } from '../../foundation/settings/index.ts';
import type { Check, Finding } from './finding.ts';

/** A setting that rules others: they are kept, shown, and do nothing unless it has one of these values. */
const masters: readonly {
  readonly master: SettingId;
  readonly inForceAt: readonly string[];
  readonly ruled: readonly SettingId[];
}[] = [
  {
    master: 'defrost.termination',
    inForceAt: ['temperature'],
    ruled: ['defrost.endTemperature'],
  },
  { master: 'defrost.initiation', inForceAt: ['clock'], ruled: ['defrost.clockTimes'] },
  {
    master: 'defrost.initiation',
    inForceAt: ['demand'],
    ruled: ['defrost.demandTemperatureDifference'],
  },
  {
    master: 'alarms.reference',
    inForceAt: ['absolute'],
    ruled: ['alarms.highTemperature', 'alarms.lowTemperature'],
  },
  { master: 'alarms.reference', inForceAt: ['relative'], ruled: ['alarms.highOffset', 'alarms.lowOffset'] },
  {
    master: 'compressor.onProbeFault',
    inForceAt: ['dutyCycle'],
    ruled: ['compressor.faultOnTime', 'compressor.faultOffTime'],
  },
  {
    master: 'fans.control',
    inForceAt: ['controlled'],
    ruled: ['fans.restartCoilTemperature', 'fans.stopCoilTemperature', 'fans.delayAfterDrain'],
  },
];

/** Values that a master setting disables: somebody set them and waits for what they do. */
export const notInForce: Check = ({ values }) =>
  masters.flatMap(({ master, inForceAt, ruled }): readonly Finding[] => {
    const rules = values[master];
    if (typeof rules !== 'string' || inForceAt.includes(rules)) return [];
    const idle = ruled.filter((id) => isSet(values[id]));
    if (idle.length === 0) return [];
    const entry = settingOf(master);
    const word = entry.choiceLabels?.[rules] ?? rules;
    return [
      {
        code: 'notInForce',
        // Rules of a fan that runs always are most often meant: somebody waits for them.
        severity: master === 'fans.control' ? 'warning' : 'note',
        settings: [...idle, master],
        message: `${idle.map((id) => settingOf(id).label).join(' and ')} ${idle.length === 1 ? 'is' : 'are'} not in force: ${entry.label} is “${word}”.`,
        numbers: {},
      },
    ];
  });

const isSet = (value: SettingValue | undefined): boolean =>
  value !== undefined &&
  (!isQuantity(value) || value.value !== 0) &&
  !(Array.isArray(value) && value.length === 0);

/** Condenser choices that follow a probe or an input that nobody fitted. */
export const withoutItsProbe: Check = ({ values, unit }) => {
  const found: Finding[] = [];
  const say = (settings: readonly SettingId[], message: string) =>
    found.push({ code: 'withoutItsProbe', severity: 'error', settings, message, numbers: {} });
  if (values['condenser.floating'] === true && values['condenser.outdoorProbe'] !== true)
    say(
      ['condenser.floating', 'condenser.outdoorProbe'],
      'The condensing set point is to float, but no outdoor probe is fitted: it has nothing to follow and stands at its highest. Fit the probe or fix the set point.',
    );
  if (
    values['condenser.quietSource'] === 'input' &&
    unit?.quietInput !== true &&
    values['inputs.alarmContact'] === undefined &&
    values['inputs.doorContact'] === undefined
  )
    say(
      ['condenser.quietSource'],
      'The quiet period waits for an input that is not used: the fans are never quiet. Wire the input or choose the clock.',
    );
  if (
    values['condenser.quietSource'] === 'clock' &&
    (values['condenser.quietStart'] === undefined || values['condenser.quietEnd'] === undefined)
  )
    say(
      ['condenser.quietSource', 'condenser.quietStart', 'condenser.quietEnd'],
      'The quiet period is by clock, but its begin or end is missing: the fans are never quiet. Give both times.',
    );
  return found;
};
