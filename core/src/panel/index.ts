export * from './describe.ts';
