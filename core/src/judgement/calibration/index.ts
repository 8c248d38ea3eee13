export { judgeComparison, offsetUnitText } from './comparison.ts';
export { calibrate, type ComparedPoint, type Correction } from './fit.ts';
export { icePointSteps } from './icePoint.ts';
export { offsetParameters } from './offset.ts';
export { checkTag, type TagField } from './tag.ts';
