export { checked, firstProblem, MAX_PROBLEMS, type Problem } from './problems.ts';
export { shapeProblem, type ShapeProblem, unstorable } from './shape.ts';
