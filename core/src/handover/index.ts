export * from './sheet.ts';
export * from './fileOfJob.ts';
export * from './tables.ts';
export * from './unitHistory.ts';
export * from './sharedPage.ts';
