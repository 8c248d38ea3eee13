export {
  added,
  allStanding,
  type Body,
  type Conflict,
  conflictsOf,
  fold,
  type Head,
  type JobState,
  standing,
} from './fold.ts';
