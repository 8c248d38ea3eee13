import { baseValue, quantity, type Quantity } from '../../foundation/quantities/index.ts';
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

/** Hours between starts: 4 to 8 by door use, hot gas in a freezer a step shorter. Common practice. */
export function intervalFor(basis: PlanBasis): Quantity {
  const door = basis.unit.doorUse ?? 'normal';
  if (!basis.freezer) {
    // A room's door brings the most water, and a box held just above freezing has little warmth to melt with.
    const often =
      door === 'busy'
        ? isRoom(basis) || basis.unit.defrostMethod === 'electric'
        : door === 'normal' && isRoom(basis) && isCold(basis);
    return quantity(often ? 4 : { seldom: 8, normal: 6, busy: 6 }[door], 'h');
  }
  // A cabinet's coil gathers little, and each defrost warms what stands in it.
  const hours = { seldom: 8, normal: 6, busy: isCabinet(basis) ? 6 : 4 }[door];
  return quantity(basis.unit.defrostMethod === 'hotGas' ? hours - 1 : hours, 'h');
}

const isRoom = ({ application }: PlanBasis) => application === 'walkInCooler' || application === 'cellar';
/** Goods that may not stand above 3 °C, such as fish. */
const isCold = ({ goods }: PlanBasis) => goods.max !== null && baseValue(goods.max.value) <= 3;

/** A freezer of less than a room: each defrost warms its goods, since few stand in it. */
const isCabinet = ({ application }: PlanBasis) =>
  application === 'reachInFreezer' || application === 'iceCreamCabinet';

function intervalReason(basis: PlanBasis): string {
  const door = basis.unit.doorUse ?? 'normal';
  const use =
    door === 'normal' ? 'a door in normal use' : door === 'busy' ? 'a busy door' : 'a door seldom opened';
  return basis.freezer
    ? `A freezer with ${use}: 3 to 8 h. Look at the frost after three days and move it by an hour.`
    : `A refrigerator coil with ${use} is cleared by box air every 4 to 8 h.`;
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
    : gas
      ? temperatureAt(basis, 60, 16)
      : temperatureAt(basis, 50, 10);
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

/** Large coils drip longer, and so does what a busy door brings (common practice: 5 to 6 min, 1 to 3 on small coils). */
function drain(basis: PlanBasis): number {
  const large = ['walkInFreezer', 'walkInCooler', 'transportUnit'].includes(basis.application);
  const busy = basis.unit.doorUse === 'busy';
  if (basis.unit.defrostMethod === 'offCycle') return large ? (busy ? 5 : 2) : busy ? 2 : 1;
  return large ? (busy && basis.application !== 'transportUnit' ? 6 : 5) : 3;
}
