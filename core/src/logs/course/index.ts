export { courseOf } from './courseOf.ts';
export { cutLog } from './partFor.ts';
export type { CourseProblem } from './problem.ts';
