export { courseOf } from './courseOf.ts';
export type { CourseProblem } from './problem.ts';
