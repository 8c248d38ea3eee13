export { answersOf, type FollowedAnswer } from './answers.ts';
export { type Measured, type MeasuredKind, measuredFrom } from './measure.ts';
export type { FollowedPoint, Readings } from './point.ts';
