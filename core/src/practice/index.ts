export * from './drill.ts';
export * from './mark.ts';
