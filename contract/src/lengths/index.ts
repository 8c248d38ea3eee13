export * from './lengths.ts';
