export { type MeasureId, measureIds, measureNames } from './measure.ts';
export { type KitGroup, kitList, type SiteMeasures } from './kit.ts';
