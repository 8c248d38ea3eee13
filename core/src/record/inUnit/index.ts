export { type InUnit, inUnitOf, type KnownCode } from './inUnit.ts';
