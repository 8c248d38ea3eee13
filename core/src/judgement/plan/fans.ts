import { describeSide } from '../../foundation/unit/index.ts';
import { minutes, temperatureAt, type Draft, type PlanBasis } from './planned.ts';

/** The evaporator fan: in the rest, in defrost, after it, at the door. */
export function planFans(basis: PlanBasis): readonly Draft[] {
  return [
    {
      setting: 'fans.control',
      value: 'controlled',
      reason: 'The control switches the fan, so that heat and water stay at the coil in defrost.',
    },
    ...inTheRest(basis),
    ...inDefrost(basis),
    ...afterDefrost(basis),
    ...atTheDoor(basis),
  ];
}

function inTheRest(basis: PlanBasis): readonly Draft[] {
  const school = basis.freezer ? 'freezerFans' : 'refrigeratorFans';
  const side = basis.side(school);
  const choice: Draft = {
    setting: 'fans.whileCompressorOff',
    value: side,
    reason: `${basis.freezer ? 'A standing fan keeps the coil cold and its heat out.' : 'Moving air keeps the box even and helps to melt.'} ${describeSide(school, side)}.`,
    school,
  };
  if (side === 'stop') return [choice, ...runOn(basis)];
  if (side !== 'cycle') return [choice];
  return [
    choice,
    { setting: 'fans.restOnTime', value: minutes(1), reason: 'A minute stirs the air.', school },
    {
      setting: 'fans.restOffTime',
      value: minutes(5),
      reason: 'Five minutes off between the stirs.',
      school,
    },
  ];
}

/** Fans that stop in the rest run on where there is a use for it. */
function runOn({ unit, application }: PlanBasis): readonly Draft[] {
  if (unit.compressor === 'pumpDown')
    return [
      {
        setting: 'fans.runOnTime',
        value: minutes(2),
        reason:
          'The unit pumps the coil empty after the valve has shut: without air over it the liquid does not boil off.',
      },
    ];
  if (application !== 'cellar') return [];
  return [
    {
      setting: 'fans.runOnTime',
      value: minutes(5),
      reason:
        'The moisture on the coil goes back to the air. For more humidity by 5 min at a time, never above 15, three days between changes.',
    },
  ];
}

function inDefrost(basis: PlanBasis): readonly Draft[] {
  const offCycle = basis.unit.defrostMethod === 'offCycle';
  const value = offCycle ? basis.side('offCycleFans') : 'stop';
  return [
    {
      setting: 'fans.whileDefrost',
      value,
      reason: offCycle
        ? 'Box air is what melts the frost.'
        : 'Heat and steam stay at the coil instead of being blown over the product.',
      ...(offCycle && { school: 'offCycleFans' as const }),
    },
  ];
}

function afterDefrost(basis: PlanBasis): readonly Draft[] {
  if (basis.unit.defrostMethod === 'offCycle' || basis.unit.defrostMethod === 'none')
    return [
      {
        setting: 'fans.delayAfterDrain',
        value: minutes(0),
        reason: 'The fan never stopped for a heater; it need not wait.',
      },
    ];
  const byCoil = basis.coilProbe && basis.side('fanRestart') === 'coil';
  const wait: Draft = {
    setting: 'fans.delayAfterDrain',
    value: minutes(byCoil ? 3 : 2),
    reason: byCoil
      ? 'The longest wait, if the coil never gets cold enough.'
      : 'The coil refreezes its last drops before air moves.',
    school: 'fanRestart',
  };
  if (!byCoil) return [wait];
  return [
    wait,
    {
      setting: 'fans.restartCoilTemperature',
      value: basis.freezer ? temperatureAt(basis, 25, -4) : temperatureAt(basis, 32, 0),
      reason: 'The last drops are frozen on and no heat is blown into the box.',
      school: 'fanRestart',
    },
    ...(basis.freezer
      ? [
          {
            setting: 'fans.stopCoilTemperature' as const,
            value: temperatureAt(basis, 40, 4),
            reason:
              'A coil this warm would blow heat into the box; it stands well above the restart temperature.',
          },
        ]
      : []),
  ];
}

function atTheDoor(basis: PlanBasis): readonly Draft[] {
  if (basis.unit.doorContact !== true) return [];
  return [
    {
      setting: 'fans.whileDoorOpen',
      value: 'stop',
      reason: 'A running fan pulls warm, wet air in through the open door.',
    },
    {
      setting: 'fans.doorCloseDelay',
      value: { value: 10, unit: 's' },
      reason: 'The fan waits until the door has settled.',
    },
    {
      setting: 'fans.doorForcedStart',
      value: minutes(5),
      reason: 'A door left open, or a bad contact, must not leave the box without cooling.',
    },
    {
      setting: 'alarms.doorDelay',
      value: minutes(5),
      reason: 'Loading takes less; a door ajar is called before the product is warm.',
    },
  ];
}
