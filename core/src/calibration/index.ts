export * from './accuracy.ts';
export * from './fit.ts';
export * from './tag.ts';
export * from './icePoint.ts';
export * from './offset.ts';
