import { quantity, type Quantity } from '../../foundation/quantities/index.ts';
import { describeSide } from '../../foundation/unit/index.ts';
import { minutes, temperatureAt, type Draft, type PlanBasis } from './planned.ts';

/** How the coil is cleared: how often, for how long at most, until when, and the drip. */
export function planDefrost(basis: PlanBasis): readonly Draft[] {
  const method = basis.unit.defrostMethod;
  const lead: Draft = { setting: 'defrost.method', value: method, reason: methodReason(basis) };
  if (method === 'none')
    return [
      lead,
      {
        setting: 'defrost.maxDuration',
        value: minutes(0),
        reason: 'No defrost is wanted: 0 min turns it off.',
      },
    ];
  const byTemperature = basis.coilProbe && method !== 'offCycle';
  return [
    lead,
    {
      setting: 'defrost.initiation',
      value: 'interval',
      reason: 'Hours from start to start: the count every control knows and every booklet means.',
    },
    { setting: 'defrost.interval', value: intervalFor(basis), reason: intervalReason(basis) },
    {
      setting: 'defrost.termination',
      value: byTemperature ? 'temperature' : 'time',
      reason: byTemperature
        ? 'A coil probe is there: the coil says when it is clear, the time is the backstop.'
        : timeReason(basis),
    },
    ...(byTemperature ? [endTemperature(basis)] : []),
    {
      setting: 'defrost.maxDuration',
      value: minutes(backstop(basis)),
      reason:
        'The backstop. A defrost that always ends by time says that the termination temperature, the heater or the coil probe is wrong.',
    },
    {
      setting: 'defrost.drainTime',
      value: minutes(drain(basis)),
      reason: 'Water runs off before cooling freezes it on again.',
    },
    {
      setting: 'defrost.atPowerOn',
      value: basis.side('defrostAtPowerOn') === 'yes',
      reason: `After a power cut: ${describeSide('defrostAtPowerOn', basis.side('defrostAtPowerOn'))}.`,
      school: 'defrostAtPowerOn',
    },
    {
      setting: 'defrost.display',
      value: basis.side('defrostDisplay'),
      reason: `In defrost the display shows ${describeSide('defrostDisplay', basis.side('defrostDisplay'))}.`,
      school: 'defrostDisplay',
    },
  ];
}

/** Hours between starts: freezers 3 to 8 by door use, hot gas a step shorter; refrigerators 6. Common practice. */
export function intervalFor(basis: PlanBasis): Quantity {
  const door = basis.unit.doorUse ?? 'normal';
  if (!basis.freezer) return quantity({ seldom: 8, normal: 6, busy: 6 }[door], 'h');
  const hours = { seldom: 8, normal: 6, busy: 4 }[door];
  return quantity(basis.unit.defrostMethod === 'hotGas' ? hours - 1 : hours, 'h');
}

function intervalReason(basis: PlanBasis): string {
  const door = basis.unit.doorUse ?? 'normal';
  const use =
    door === 'normal' ? 'a door in normal use' : door === 'busy' ? 'a busy door' : 'a door seldom opened';
  return basis.freezer
    ? `A freezer with ${use}: 3 to 8 h. Look at the frost after three days and move it by an hour.`
    : 'A refrigerator coil is cleared by box air about every 6 h.';
}

function methodReason(basis: PlanBasis): string {
  switch (basis.unit.defrostMethod) {
    case 'electric':
      return 'The unit has heaters in its coil.';
    case 'hotGas':
      return 'The unit defrosts with discharge gas.';
    case 'offCycle':
      return basis.freezer
        ? 'The unit was said to defrost off-cycle, but box air below freezing melts nothing: see the finding.'
        : 'Box air above freezing melts the frost while the compressor is off.';
    case 'none':
      return 'The unit was said to need no defrost.';
  }
}

function timeReason(basis: PlanBasis): string {
  return basis.coilProbe
    ? 'Off-cycle: the full time costs little, since box air does the work.'
    : 'Without a coil probe only time can end it.';
}

function endTemperature(basis: PlanBasis): Draft {
  const hot = basis.side('defrostEnd') === 'hot';
  const gas = basis.unit.defrostMethod === 'hotGas';
  const value = basis.freezer
    ? hot
      ? temperatureAt(basis, 70, 21)
      : gas
        ? temperatureAt(basis, 60, 16)
        : temperatureAt(basis, 55, 13)
    : temperatureAt(basis, 46, 8);
  return {
    setting: 'defrost.endTemperature',
    value,
    reason: `Ice is left in the far corners while the probe already reads above melting; ${describeSide('defrostEnd', hot ? 'hot' : 'justPast')}.`,
    school: 'defrostEnd',
  };
}

function backstop(basis: PlanBasis): number {
  if (basis.unit.defrostMethod === 'hotGas') return 20;
  if (basis.unit.defrostMethod === 'electric') return basis.freezer ? 40 : 25;
  return 30;
}

function drain(basis: PlanBasis): number {
  const walkIn = basis.application === 'walkInFreezer' || basis.application === 'walkInCooler';
  if (basis.unit.defrostMethod === 'offCycle') return walkIn ? 2 : 1;
  // A busy door brings more frost, and its water takes longer to run off (common practice: 5 to 6 min).
  return walkIn ? (basis.unit.doorUse === 'busy' ? 6 : 5) : 3;
}
