import { quantity } from '../../foundation/quantities/index.ts';
import { sentence, type Sentence } from '../../foundation/sentences/index.ts';

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
  'liquidProbe',
  'liquidAgainstDisplay',
  'fansEach',
  'leastAir',
  'driveVolts',
  'faultShown',
  'compressorContact',
  'overloadChain',
  'quietContact',
  'restPressure',
  'bearings',
  'sensorPockets',
  'tagsReadBack',
  'pulseWeight',
  'flowSide',
  'sensorOhms',
] as const;
export type CheckId = (typeof checkIds)[number];

/** A check as a question whose answer is yes or no, how long it takes, and how it is done. */
export interface CheckWords {
  readonly question: Sentence;
  readonly how: string;
  readonly minutes: number;
  readonly caution?: string;
}

/** Checks, shortest way first to do each. */
export const checkWords: Readonly<Record<CheckId, CheckWords>> = {
  icePoint: {
    question: sentence`Does the probe read wrong in ice water, by more than ${quantity(1, 'K')}?`,
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
    question: 'Is an evaporator fan stopped, or does it turn the wrong way?',
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
    question: 'Is the compressor stopped, or does it draw far from its plate although it is called?',
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
    question: sentence`Does the alarm limit lie within ${quantity(2, 'K')} of cut-in, or its delay below a defrost with recovery?`,
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
  liquidProbe: {
    question: 'Is the liquid probe loose on its pipe, bare, or on another pipe?',
    how: 'Lift the insulation: strapped all round, paste, on the liquid line near the condenser.',
    minutes: 3,
  },
  liquidAgainstDisplay: {
    question: sentence`Does the display read more than ${quantity(3, 'K')} away from a probe of yours on the same pipe?`,
    how: 'Strap the reference beside it, insulate both, three minutes.',
    minutes: 8,
  },
  fansEach: {
    question: 'Is a fan stopped, or does it turn the wrong way, while the others run?',
    how: 'Look at each from outside the guard while they should run.',
    minutes: 1,
    caution: 'Fans start by themselves: guards on, hands out.',
  },
  leastAir: {
    question: 'Do the fans still move much air at their least speed?',
    how: 'Bring the output to its least; watch the blades, compare the volts with the drive’s plate.',
    minutes: 4,
    caution: 'Fans start by themselves: guards on, hands out.',
  },
  driveVolts: {
    question: 'Do the fans not follow the volts at the drive’s input?',
    how: 'DC volts at the input, beside the speed that the control shows.',
    minutes: 5,
    caution: 'Live reading: by a qualified person. The drive holds charge after the supply is off.',
  },
  faultShown: {
    question: 'Does the control show a fault of its probe?',
    how: 'Page through its alarms; write them down before any is cleared.',
    minutes: 2,
  },
  compressorContact: {
    question: 'Does the control believe that no compressor runs, while one does?',
    how: 'Read its compressor input, or bridge it as its sheet says and see the fans come.',
    minutes: 4,
    caution: 'Fans start by themselves: guards on, hands out.',
  },
  overloadChain: {
    question: 'Is the overload chain open?',
    how: 'Supply off; ohms along the chain, fan by fan.',
    minutes: 6,
    caution: 'Isolate, lock out and prove dead.',
  },
  quietContact: {
    question: 'Is it quiet time for the control when it should not be?',
    how: 'Look at its clock and at the quiet input.',
    minutes: 2,
  },
  restPressure: {
    question: 'Does it stand above the saturation of the outdoor air after an hour off?',
    how: 'Gauge and outdoor temperature once both are still; the saturation page gives the pressure.',
    minutes: 15,
    caution: 'Refrigerant work only by certified persons.',
  },
  bearings: {
    question: 'Does a fan grind, rub or shake?',
    how: 'Listen to each; supply off, turn each by hand.',
    minutes: 4,
    caution: 'Isolate, lock out and prove dead before a guard comes off.',
  },
  sensorPockets: {
    question: 'Is a sensor not down in its own pocket: swapped, half out, in a dry or wrong one?',
    how: 'Follow each lead from its tag to its pipe; feel which pipe is warm.',
    minutes: 5,
    caution: 'Pipes are hot; a sensor without a pocket is never drawn from a full pipe.',
  },
  tagsReadBack: {
    question: 'Does a slope or offset differ from the tag on its sensor, by any digit?',
    how: 'Read all four back, digit by digit.',
    minutes: 5,
  },
  pulseWeight: {
    question:
      'Does the pulse value or the fluid in the instrument differ from the flow meter’s plate and the system?',
    how: 'Compare with the plate of the flow meter; ask for glycol.',
    minutes: 4,
  },
  flowSide: {
    question: 'Is the flow meter in the other pipe than the instrument is told, against its arrow, or stuck?',
    how: 'Look at arrow and pipe; count its pulses for a minute.',
    minutes: 5,
  },
  sensorOhms: {
    question: 'Is a sensor open, short, or jumpy when its lead is moved?',
    how: 'Ohms at the terminals, one wire off, while the lead is moved.',
    minutes: 6,
  },
};
