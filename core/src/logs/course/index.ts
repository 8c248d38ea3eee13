export { courseOf, type CourseFound, type CourseProblem } from './courseOf.ts';
