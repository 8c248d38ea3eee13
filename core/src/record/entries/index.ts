export {
  type AcceptedEntry,
  type AnswerValue,
  type Entry,
  type EntryBody,
  type EntryKind,
  type FrozenRow,
  type MeasureId,
  measureIds,
  type PinnedDefinition,
  registerOf,
  type SheetKind,
  type WiredCircuit,
} from './entry.ts';
export type { CalibrationRecord, FollowUp, ProvingBody, Stroke } from './provingEntry.ts';
export { findQuestion, type Question, type QuestionId, questionsFor, schoolQuestions } from './questions.ts';
export { entryProblem } from './readEntry.ts';
export { type FactId, isTrade, type TradeBody, type TripStepState } from './tradeEntry.ts';
