/** Something to look at or measure that parts causes from each other. */
export const checkIds = [
  'icePoint',
  'probePlace',
  'setPointOnSheet',
  'coilLook',
  'heaterAmps',
  'fanTurns',
  'doorSeal',
  'condenserClean',
  'suctionPressure',
  'compressorAmps',
  'supplyVolts',
  'drainRuns',
  'alarmSettings',
  'dampPlace',
  'defrostNow',
] as const;
export type CheckId = (typeof checkIds)[number];

/** A check as a question whose answer is yes or no, how long it takes, and how it is done. */
export interface CheckWords {
  readonly question: string;
  readonly how: string;
  readonly minutes: number;
  readonly caution?: string;
}

/** Checks, shortest way first to do each. */
export const checkWords: Readonly<Record<CheckId, CheckWords>> = {
  icePoint: {
    question: 'Does the probe read wrong in ice water, by more than 1 K?',
    how: 'Ice and water stirred, probe and reference side by side, three minutes.',
    minutes: 10,
  },
  probePlace: {
    question: 'Does the air probe hang in the supply air, at metal, or elsewhere than in the return?',
    how: 'Follow its lead; look what air reaches it.',
    minutes: 2,
  },
  setPointOnSheet: {
    question: 'Does the control hold other values than the sheet says?',
    how: 'Read set point and differential from the control, compare with the last sheet.',
    minutes: 3,
  },
  coilLook: {
    question: 'Is the coil iced over, more than a thin frost?',
    how: 'Open the cover and look through the fins with a lamp.',
    minutes: 5,
    caution: 'Fans start by themselves: isolate before the cover comes off.',
  },
  heaterAmps: {
    question: 'Does the heater draw less than it should in a defrost?',
    how: 'Start a defrost, clamp the heater’s feed.',
    minutes: 6,
    caution: 'Live reading: by a qualified person with rated meter and leads.',
  },
  fanTurns: {
    question: 'Does an evaporator fan stand, or turn the wrong way?',
    how: 'Look and feel for air at each fan while it should run.',
    minutes: 1,
  },
  doorSeal: {
    question: 'Does the door not shut tight, or stand open for long?',
    how: 'A strip of paper in the seal all round; ask how they load.',
    minutes: 3,
  },
  condenserClean: {
    question: 'Is the condenser dirty or its air blocked?',
    how: 'Look through it against a lamp; feel the air behind it.',
    minutes: 2,
  },
  suctionPressure: {
    question: 'Is the suction pressure too low for this box, or the sight glass bubbling?',
    how: 'Gauges; the saturation page gives the temperature.',
    minutes: 10,
    caution: 'Refrigerant work only by certified persons.',
  },
  compressorAmps: {
    question: 'Does the compressor stand or draw far from its plate although it is called?',
    how: 'Clamp its feed while the control calls.',
    minutes: 4,
    caution: 'Live reading: by a qualified person with rated meter and leads.',
  },
  supplyVolts: {
    question: 'Is the control’s supply more than 10 % low, or does it dip at each start?',
    how: 'Volts at its supply terminals while the compressor starts.',
    minutes: 4,
    caution: 'Live reading: by a qualified person with rated meter and leads.',
  },
  drainRuns: {
    question: 'Does water poured into the pan stay there?',
    how: 'A cup of warm water; is the drain heater warm?',
    minutes: 3,
  },
  alarmSettings: {
    question: 'Does the alarm limit lie within 2 K of cut-in, or its delay below a defrost with recovery?',
    how: 'Read the alarm values; compare with cut-in and with a log.',
    minutes: 3,
  },
  dampPlace: {
    question: 'Does the control sit where it is washed down, or in the draught of the door?',
    how: 'Look at seal, gland and where the lead enters.',
    minutes: 1,
  },
  defrostNow: {
    question: 'Is ice left on the coil after a defrost started by hand?',
    how: 'Start a defrost, let it end by itself, look.',
    minutes: 35,
    caution: 'Heaters and pans are hot.',
  },
};
