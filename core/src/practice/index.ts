export * from './drill.ts';
