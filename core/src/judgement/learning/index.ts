export { learnUnit, type Learning } from './learnUnit.ts';
export { predictUnit } from './predictUnit.ts';
