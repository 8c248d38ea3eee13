export type { CodeNames } from './kind.ts';
export { aboutEntry, describeEntry, registerOf, saidByEntry } from './kinds.ts';
