export { type Cycle } from './cycle.ts';
export { cycleOf } from './cycleOf.ts';
export {
  type InstrumentKind,
  instrumentKinds,
  type InstrumentPlace,
  instrumentPlaces,
  type InstrumentReading,
  usualOfKind,
} from './instruments.ts';
export { instrumentName, type Moment, type NotYet, notYet, offsetAtOnce, settlesIn } from './moment.ts';
export {
  type Check,
  type MadeCheck,
  type Question,
  type Suspect,
  type WhoIsRight,
  whoIsRight,
} from './whoIsRight.ts';
