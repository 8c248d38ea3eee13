export { type HowKnown, type InUnit, inUnitOf, type KnownCode } from './inUnit.ts';
