export { fit, type Fit } from './fit.ts';
export { needsOf, readLoads, type UnitLoad, type UnitNeeds } from './needs.ts';
