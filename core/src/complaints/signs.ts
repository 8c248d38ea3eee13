/** What people see, hear or say of a unit. */
export const signIds = [
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
export type SignId = (typeof signIds)[number];

/** Signs in the words of the people there. */
export const signNames: Readonly<Record<SignId, string>> = {
  boxWarm: 'Warmer than the dial says',
  boxCold: 'Colder than the dial says',
  alwaysRunning: 'Runs all the time',
  shortCycles: 'Starts and stops all the time',
  iceOnCoil: 'Ice on the coil',
  frostAtFans: 'Frost at the fans or the door',
  iceOnPlate: 'Ice on the plate or the back wall',
  alarmNags: 'The alarm nags',
  controlWet: 'The control is wet or fogged',
  displayFaint: 'The display is faint or flickers',
  waterOnFloor: 'Water under it',
  warmAfterDefrost: 'Warm for long after a defrost',
};

/** Yes, no, or not looked at yet. */
export type Answers<Id extends string> = Readonly<Partial<Record<Id, boolean>>>;
