export { analyse } from './analyse.ts';
export { type Analysis, type KnownSettings, nothingKnown } from './analysis.ts';
export { type Cooling, coolingOf } from './cooling.ts';
export { driftOf } from './days.ts';
export type { Defrost } from './defrosts.ts';
export { meanKineticTemperature } from './kinetic.ts';
