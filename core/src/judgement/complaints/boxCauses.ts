import { sentence } from '../../foundation/sentences/index.ts';
import type { UnitDescription } from '../../foundation/unit/index.ts';
import { baseValue, isQuantity, quantity } from '../../foundation/quantities/index.ts';
import type { SettingId, SettingValues } from '../../foundation/settings/index.ts';
import type { Fault } from '../../machines/simulation/index.ts';
import type { BoxChange, Cause } from './cause.ts';

const allDay = (kind: Fault['kind'], amount: number | null = null): readonly Fault[] => [
  { kind, from: 0, to: 1e9, amount },
];
const shifted = (values: SettingValues, id: SettingId, change: (n: number) => number): SettingValues => {
  const value = values[id];
  if (!isQuantity(value)) return values;
  const base = baseValue(value);
  const unit =
    {
      'regulation.setpoint': 'degC',
      'regulation.differential': 'K',
      'defrost.endTemperature': 'degC',
      'alarms.highOffset': 'K',
      'alarms.highTemperature': 'degC',
    }[id as string] ?? 's';
  return { ...values, [id]: quantity(change(base), unit as 's') };
};
const defrosts = (unit: UnitDescription) => unit.defrostMethod !== 'none';
const heated = (unit: UnitDescription) => unit.defrostMethod === 'electric';

/** Ice that stays between defrosts. */
const ICED: BoxChange = { coilToAir: [-0.4, 0.25] };

/** Every cause known for a box. */
export const boxCauses: readonly Cause[] = [
  {
    id: 'setPointHigh',
    name: 'The set point was turned up',
    share: 9,
    decision: 'reprogram',
    does: 'Set it back, narrow the user’s range, lock the keypad.',
    spoil: (v) => ({ values: shifted(v, 'regulation.setpoint', (t) => t + 3) }),
    checks: { setPointOnSheet: 0.95 },
    logged: ['setPointChanged', 'bandShifted'],
  },
  {
    id: 'setPointLow',
    name: 'The set point was turned down',
    share: 6,
    decision: 'reprogram',
    does: 'Set it back, narrow the user’s range, lock the keypad.',
    spoil: (v) => ({ values: shifted(v, 'regulation.setpoint', (t) => t - 3) }),
    shows: { iceOnPlate: 0.4 },
    checks: { setPointOnSheet: 0.95, coilLook: 0.4 },
    logged: ['setPointChanged', 'bandShifted'],
  },
  {
    id: 'wideBand',
    name: 'The differential is too wide',
    share: 5,
    decision: 'reprogram',
    does: 'Narrow it as far as the starts allow.',
    spoil: (v) => ({ values: shifted(v, 'regulation.differential', (d) => 2.5 * d + 1) }),
    checks: { setPointOnSheet: 0.6 },
    logged: ['differentialDiffers'],
  },
  {
    id: 'narrowBand',
    name: 'The differential is too narrow',
    share: 4,
    decision: 'reprogram',
    does: 'Widen it until the starts come down.',
    spoil: (v) => ({
      values: {
        ...shifted(v, 'regulation.differential', () => 0.3),
        'compressor.minOffTime': quantity(0, 's'),
      },
    }),
    checks: { setPointOnSheet: 0.6 },
    logged: ['manyStarts', 'differentialDiffers'],
  },
  {
    id: 'probeCold',
    name: 'The air probe reads too cold',
    share: 7,
    decision: 'repair',
    does: sentence`Calibrate it against ice; over ${quantity(3, 'K')} off exchange it.`,
    spoil: () => ({ faults: allDay('airProbeDrift', -3) }),
    checks: { icePoint: 0.95 },
    logged: ['bandShifted'],
    box: { loggerOffset: [3, 1] },
  },
  {
    id: 'probeWarm',
    name: 'The air probe reads too warm',
    share: 4,
    decision: 'repair',
    does: sentence`Calibrate it against ice; over ${quantity(3, 'K')} off exchange it.`,
    spoil: () => ({ faults: allDay('airProbeDrift', 3) }),
    checks: { icePoint: 0.95 },
    logged: ['bandShifted'],
    box: { loggerOffset: [-3, 1] },
  },
  {
    id: 'probeInSupply',
    name: 'The air probe hangs in the supply air',
    share: 7,
    decision: 'moveProbe',
    does: 'Into the return air, clear of metal.',
    spoil: () => ({ faults: allDay('airProbeDrift', -2.5) }),
    shows: { shortCycles: 0.75 },
    checks: { probePlace: 0.95, icePoint: 0.05 },
    logged: ['probeInSupplyAir', 'differentialDiffers', 'manyStarts'],
    box: { loggerOffset: [2.5, 1] },
  },
  {
    id: 'shortDefrost',
    name: 'Defrosts end before the coil is clear',
    share: 8,
    decision: 'reprogram',
    does: 'Longer, warmer at its end, or the coil probe where frost is heaviest.',
    fits: defrosts,
    spoil: (v) => ({
      values: shifted(
        shifted(v, 'defrost.maxDuration', (s) => s / 4),
        'defrost.endTemperature',
        (t) => Math.min(t, 2),
      ),
    }),
    shows: { frostAtFans: 0.4 },
    checks: { coilLook: 0.9, defrostNow: 0.9 },
    logged: ['coilIces', 'endsByTime'],
    box: ICED,
  },
  {
    id: 'seldomDefrost',
    name: 'Defrosts are too far apart',
    share: 4,
    decision: 'reprogram',
    does: 'Shorten the interval, or let the coil decide.',
    fits: defrosts,
    spoil: (v) => ({ values: shifted(v, 'defrost.interval', (s) => 4 * s) }),
    checks: { coilLook: 0.85, setPointOnSheet: 0.5 },
    logged: ['coilIces', 'intervalDiffers'],
    box: ICED,
  },
  {
    id: 'deadHeater',
    name: 'The defrost heater is dead',
    share: 7,
    decision: 'repair',
    does: 'Heater, its limit, relay and feed in this order. One opened limit alone is no dead heater.',
    fits: heated,
    spoil: () => ({ faults: allDay('deadHeater') }),
    checks: { heaterAmps: 0.97, coilLook: 0.95, defrostNow: 0.97 },
    logged: ['heaterDead', 'endsByTime', 'coilIces'],
    box: { heater: [-0.7, 0.35] },
  },
  {
    id: 'deadFan',
    name: 'An evaporator fan is stopped',
    share: 6,
    decision: 'repair',
    does: 'Motor, blade, door switch; ice in the guard.',
    spoil: () => ({ faults: allDay('deadFan') }),
    shows: { iceOnCoil: 0.5 },
    checks: { fanTurns: 0.97, coilLook: 0.4 },
    logged: ['alwaysRunning'],
    box: { coilToAir: [-0.6, 0.3] },
  },
  {
    id: 'fansTooSoon',
    name: 'The fans start too soon after a defrost',
    share: 4,
    decision: 'reprogram',
    does: 'Let the coil freeze first: delay or restart temperature, and drip time.',
    fits: (u) => defrosts(u) && u.defrostMethod !== 'offCycle',
    shows: { frostAtFans: 0.85, warmAfterDefrost: 0.5, waterOnFloor: 0.15 },
    checks: { setPointOnSheet: 0.3, defrostNow: 0.2 },
    logged: [],
  },
  {
    id: 'door',
    name: 'The door does not shut or stands open',
    share: 9,
    decision: 'repair',
    does: 'Seal, closer, heater of the frame; a curtain where they load.',
    spoil: () => ({ faults: [{ kind: 'doorLeftOpen', from: 3600 * 8, to: 3600 * 14, amount: null }] }),
    shows: { frostAtFans: 0.5, waterOnFloor: 0.2 },
    checks: { doorSeal: 0.92, coilLook: 0.5 },
    logged: ['coilIces', 'alwaysRunning'],
    box: { doorUse: [0.8, 0.4], wallLoss: [0.25, 0.2] },
  },
  {
    id: 'dirtyCondenser',
    name: 'The condenser is dirty',
    share: 9,
    decision: 'repair',
    does: 'Clean it; then compare the running time.',
    spoil: () => ({ faults: allDay('dirtyCondenser', 20) }),
    checks: { condenserClean: 0.95 },
    logged: ['alwaysRunning'],
    box: { capacity: [-0.3, 0.15] },
  },
  {
    id: 'lowCharge',
    name: 'It is short of refrigerant',
    share: 6,
    decision: 'repair',
    does: 'Find the leak first. Certified persons only.',
    spoil: () => ({ faults: allDay('lowCharge', 0.45) }),
    shows: { iceOnPlate: 0.3 },
    checks: { suctionPressure: 0.93, coilLook: 0.3 },
    logged: ['alwaysRunning'],
    box: { capacity: [-0.55, 0.25] },
  },
  {
    id: 'deadCompressor',
    name: 'The compressor does not run',
    share: 5,
    decision: 'repair',
    does: 'Feed, overload, start gear, pressure controls in series.',
    spoil: () => ({ faults: allDay('deadCompressor') }),
    checks: { compressorAmps: 0.97 },
    logged: [],
  },
  {
    id: 'alarmTight',
    name: 'The alarm is set too tight',
    share: 5,
    decision: 'reprogram',
    does: 'Limit, differential and delay that a defrost and a delivery do not reach.',
    spoil: (v) => ({ values: tightAlarm(v) }),
    checks: { alarmSettings: 0.95 },
    logged: ['outsideLimits'],
  },
  {
    id: 'controlWet',
    name: 'Water in the control',
    share: 3,
    decision: 'replace',
    does: 'Dry place, gland downwards; a wet control is exchanged.',
    shows: { controlWet: 0.95, displayFaint: 0.6, alarmNags: 0.4, boxWarm: 0.3 },
    checks: { dampPlace: 0.9 },
    logged: [],
  },
  {
    id: 'supplyLow',
    name: 'The control’s supply is low or dips',
    share: 3,
    decision: 'repair',
    does: 'Terminal, neutral, shared circuit, transformer.',
    shows: { displayFaint: 0.85, shortCycles: 0.4, boxWarm: 0.3 },
    checks: { supplyVolts: 0.95 },
    logged: ['restNotHonoured'],
  },
  {
    id: 'drainBlocked',
    name: 'The drain is blocked or frozen',
    share: 4,
    decision: 'repair',
    does: 'Clear it, trap and heater; pour warm water after it.',
    fits: defrosts,
    shows: { waterOnFloor: 0.85, iceOnCoil: 0.4, frostAtFans: 0.3 },
    checks: { drainRuns: 0.95, coilLook: 0.4 },
    logged: ['coilIces'],
  },
];

function tightAlarm(values: SettingValues): SettingValues {
  const setpoint = values['regulation.setpoint'];
  const band = values['regulation.differential'];
  if (!isQuantity(setpoint) || !isQuantity(band)) return values;
  const limit = baseValue(setpoint) + baseValue(band) + 0.5;
  return {
    ...values,
    'alarms.reference': 'absolute',
    'alarms.highTemperature': quantity(limit, 'degC'),
    'alarms.delay': quantity(0, 's'),
    'alarms.defrostExclusion': quantity(0, 's'),
  };
}
