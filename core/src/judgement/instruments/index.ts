export { cycleOf } from './cycleOf.ts';
export {
  type InstrumentKind,
  instrumentKinds,
  type InstrumentPlace,
  instrumentPlaces,
  type InstrumentReading,
  usualOfKind,
} from './instruments.ts';
export { instrumentName, type NotYet, notYet, offsetAtOnce } from './moment.ts';
export { type BestCheck, type Check, type MadeCheck } from './checks.ts';
export { type Question, type WhoIsRight, whoIsRight } from './whoIsRight.ts';
