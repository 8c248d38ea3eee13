export * from './readLog.ts';
export * from './replay.ts';
