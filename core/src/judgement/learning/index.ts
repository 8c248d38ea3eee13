export { type Difference, differences } from './difference.ts';
export { type HeldFigure, type Holding, holdAgainst, standsOf } from './holdAgainst.ts';
export { type Learning, learnUnit } from './learnUnit.ts';
export { predictUnit } from './predictUnit.ts';
