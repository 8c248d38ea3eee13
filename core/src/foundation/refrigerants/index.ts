export { estimates, type Fluid, fluidNamed, fluids } from './fluids.ts';
export { lowestCondensing } from './lowestCondensing.ts';
export {
  absoluteOf,
  gaugeOf,
  isOutOfRange,
  KPA_PER_PSI,
  type OutOfRange,
  pressureAt,
  type Side,
  subcooling,
  superheat,
  temperatureAt,
} from './saturation.ts';
