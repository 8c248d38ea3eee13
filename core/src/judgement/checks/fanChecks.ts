import { sideOf } from '../../foundation/unit/index.ts';
import { celsiusOf, secondsOf, written } from '../../foundation/regulation/index.ts';
import { isQuantity } from '../../foundation/quantities/index.ts';
import { sentence } from '../../foundation/sentences/index.ts';
import type { Check } from './finding.ts';

/** Off-cycle defrost with the fan stopped: still air melts little. A house that stands its fans on purpose is told as a note. */
export const offCycleWithoutFan: Check = ({ values, unit }) => {
  if (values['defrost.method'] !== 'offCycle' || values['fans.control'] !== 'controlled') return [];
  if ((values['fans.whileDefrost'] ?? 'stop') === 'run' || secondsOf(values, 'defrost.maxDuration') === 0)
    return [];
  const meant = unit && sideOf('offCycleFans', unit.schools, unit.companyDefaults) === 'stop';
  return [
    {
      code: 'offCycleWithoutFan',
      severity: meant ? 'note' : 'warning',
      settings: ['fans.whileDefrost', 'defrost.method'],
      message:
        'Off-cycle defrost melts with box air, and the fan is stopped in it: still air takes several times as long. Let the fan run in defrost.',
      numbers: {},
    },
  ];
};

/** A fan that runs while a heater or hot gas is on blows the heat and the steam over what is kept. */
export const fansBlowHeat: Check = ({ values }) => {
  const method = values['defrost.method'];
  if ((method !== 'electric' && method !== 'hotGas') || secondsOf(values, 'defrost.maxDuration') === 0)
    return [];
  const always = values['fans.control'] === 'always';
  if (!always && values['fans.whileDefrost'] !== 'run') return [];
  return [
    {
      code: 'fansBlowHeat',
      severity: 'warning',
      settings: always ? ['fans.control', 'fans.whileDefrost'] : ['fans.whileDefrost'],
      message: always
        ? 'The fans run always, in defrost too: they blow the heat of the coil and its steam over the product. Let the control stop them in defrost.'
        : 'The fans run in defrost: they blow the heat of the coil and its steam over the product. Stop them in defrost.',
      numbers: {},
    },
  ];
};

/** Fans of a condenser may stand so long before the high-pressure cut-out is near, s. Ours. */
const LONG_STAND_S = 120;

/** A defrost that a control cannot do without stops the fans of a condenser: the pressure climbs meanwhile. */
export const fansStandInDefrost: Check = ({ values, unit }) => {
  const length = secondsOf(values, 'defrost.maxDuration');
  if (unit?.application !== 'condenserFans' || values['condenser.setpoint'] !== undefined) return [];
  if (length === 0 || values['defrost.method'] === 'none' || values['defrost.initiation'] === 'manual')
    return [];
  const every = values['defrost.interval'];
  return [
    {
      code: 'fansStandInDefrost',
      severity: length > LONG_STAND_S ? 'warning' : 'note',
      settings: ['defrost.maxDuration', 'defrost.interval'],
      message: sentence`This control goes on defrosting: ${isQuantity(every) ? sentence`every ${every} ` : ''}the fans stand for ${Math.round(length / 60)} min and the pressure climbs. Shortest length, longest interval; or a control that knows none.`,
      numbers: { seconds: length },
    },
  ];
};

/** A wait of no time beside a coil temperature to wait for: the fan never waits. */
export const fanNeverWaits: Check = ({ values }) => {
  const delay = values['fans.delayAfterDrain'];
  const restart = celsiusOf(values['fans.restartCoilTemperature']);
  if (restart === null || !isQuantity(delay) || delay.value !== 0) return [];
  if (values['fans.control'] !== 'controlled') return [];
  // Where box air clears the coil the fan need not wait.
  if (values['defrost.method'] !== 'electric' && values['defrost.method'] !== 'hotGas') return [];
  const unit = (values['fans.restartCoilTemperature'] as { unit: 'degC' | 'degF' }).unit;
  return [
    {
      code: 'fanNeverWaits',
      severity: 'warning',
      settings: ['fans.delayAfterDrain', 'fans.restartCoilTemperature'],
      message: sentence`The fan is to wait for a coil of ${written(restart, unit)} or 0 min, whichever comes first: it never waits. Give the delay some minutes as the longest wait.`,
      numbers: { restart },
    },
  ];
};
