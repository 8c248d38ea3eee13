export * from './entry.ts';
export * from './questions.ts';
export * from './readEntry.ts';
export * from './fold.ts';
export * from './survey.ts';
export * from './program.ts';
export * from './wiring.ts';
export * from './stations.ts';
export * from './variants.ts';
export * from './proving.ts';
export type {
  CalibrationRecord,
  FollowUp,
  ProvingBody,
  ReferenceInstrument,
  Stroke,
} from './provingEntry.ts';
export { factIds, isTrade, type FactId, type TradeBody, type TripStepState } from './tradeEntry.ts';
export * from './facts.ts';
export * from './trip.ts';
