export { aboutEntry, describeEntry, registerOf, saidByEntry } from './kinds.ts';
