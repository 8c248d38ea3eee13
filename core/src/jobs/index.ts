export * from './entry.ts';
export * from './questions.ts';
export * from './readEntry.ts';
export * from './fold.ts';
export * from './survey.ts';
export * from './program.ts';
export * from './stations.ts';
export * from './variants.ts';
