export * from './drill.ts';
export * from './offered.ts';
export * from './mark.ts';
export * from './bestWay.ts';
export { setValuesDrill } from './drills/setValues.ts';
export { findChangedDrill } from './drills/findChanged.ts';
