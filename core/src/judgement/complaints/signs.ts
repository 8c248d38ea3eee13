import type { Application } from '../../foundation/settings/index.ts';

/** What people see, hear or say of a box. */
const boxSigns = [
  'boxWarm',
  'boxCold',
  'alwaysRunning',
  'shortCycles',
  'iceOnCoil',
  'frostAtFans',
  'iceOnPlate',
  'alarmNags',
  'controlWet',
  'displayFaint',
  'waterOnFloor',
  'warmAfterDefrost',
] as const;
/** Of the fans of a condenser. */
const fanSigns = [
  'pressureTrips',
  'fansHunt',
  'fansFlatOut',
  'fansStand',
  'valveStarves',
  'noisyAtNight',
  'fanAlarm',
] as const;
/** Of a heat meter. */
const meterSigns = ['noHeat', 'heatLow', 'heatHigh', 'heatJumps', 'meterFault'] as const;

/** Every sign that can be written down. */
export const signIds = [...boxSigns, ...fanSigns, ...meterSigns] as const;
export type SignId = (typeof signIds)[number];

/** The signs that a kind of unit can show. */
export function signsFor(application: Application): readonly SignId[] {
  if (application === 'condenserFans') return fanSigns;
  return application === 'heatMeter' ? meterSigns : boxSigns;
}

/** Signs in the words of the people there. */
export const signNames: Readonly<Record<SignId, string>> = {
  boxWarm: 'Warmer than the set point',
  boxCold: 'Colder than the set point',
  alwaysRunning: 'Runs all the time',
  shortCycles: 'Starts and stops all the time',
  iceOnCoil: 'Ice on the coil',
  frostAtFans: 'Frost at the fans or the door',
  iceOnPlate: 'Ice on the plate or the back wall',
  alarmNags: 'The alarm keeps sounding',
  controlWet: 'The control is wet or fogged',
  displayFaint: 'The display is faint or flickers',
  waterOnFloor: 'Water under it',
  warmAfterDefrost: 'Warm for long after a defrost',
  pressureTrips: 'High pressure trips on warm days',
  fansHunt: 'Fans come and go, or swing up and down',
  fansFlatOut: 'Fans run full even when it is cool',
  fansStand: 'Fans are stopped while a compressor runs',
  valveStarves: 'Boxes go warm on cold nights',
  noisyAtNight: 'Neighbours hear them at night',
  fanAlarm: 'The fans’ control shows a fault',
  noHeat: 'It counts no heat',
  heatLow: 'Less heat than the boiler says',
  heatHigh: 'More heat than the boiler says',
  heatJumps: 'The heat jumps about',
  meterFault: 'The instrument shows a fault',
};

/** Yes, no, or not looked at yet. */
export type Answers<Id extends string> = Readonly<Partial<Record<Id, boolean>>>;
