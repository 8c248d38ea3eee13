export { checked, firstProblem } from './problems.ts';
export { shapeProblem } from './shape.ts';
