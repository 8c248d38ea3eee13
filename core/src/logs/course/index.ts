export { courseOf, type CourseProblem } from './courseOf.ts';
