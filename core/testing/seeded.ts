/** A seeded source of numbers from 0 to 1, so that a failure can be run again. */
export { chance as seeded } from '../src/foundation/statistics/index.ts';
