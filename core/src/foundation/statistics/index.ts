export { lowerBound } from './lowerBound.ts';
export { chance, normal } from './chance.ts';
export { cholesky, solveCholesky } from './cholesky.ts';
export { leastSquares } from './leastSquares.ts';
export { median, middleMean, quantile, spreadOf } from './statistics.ts';
export { randomEffects } from './randomEffects.ts';
export { straightLine } from './straightLine.ts';
