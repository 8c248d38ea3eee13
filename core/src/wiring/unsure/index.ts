export { type DoubtFact, doubtProblem, doubtWords, usualDoubts } from './doubts.ts';
export { narrow, type Narrowed } from './possible.ts';
