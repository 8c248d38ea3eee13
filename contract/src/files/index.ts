export * from './jobFile.ts';
