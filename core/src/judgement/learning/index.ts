export { learnUnit } from './learnUnit.ts';
export { predictUnit } from './predictUnit.ts';
