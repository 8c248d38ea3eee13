export { type BeforePower, beforePower, type MayStart, type PowerQuestion } from './beforePower.ts';
