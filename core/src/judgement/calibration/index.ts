export { expandedUncertainty } from './accuracy.ts';
export { calibrate, type ComparedPoint, type Correction } from './fit.ts';
export { icePointSteps } from './icePoint.ts';
export { offsetParameters, proposeOffset, shownBeforeAndAfter } from './offset.ts';
export { checkTag, type TagField } from './tag.ts';
