export { covarianceOf, naturalPoint } from './boxPoint.ts';
export { type HeldFigure, type Holding, holdAgainst, standsOf } from './holdAgainst.ts';
export { kindPriors, UNITS_FOR_A_KIND } from './kindPriors.ts';
export { type Learning, learnUnit } from './learnUnit.ts';
export { partWords } from './partWords.ts';
export { predictUnit } from './predictUnit.ts';
export { usualOf } from './usualOf.ts';
