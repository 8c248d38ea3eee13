export * from './fluids.ts';
export * from './saturation.ts';
export { lowestCondensing, type LowestCondensing } from './lowestCondensing.ts';
