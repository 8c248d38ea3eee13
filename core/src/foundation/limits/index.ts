export {
  AIR_HEAT,
  FUSION,
  GAS_CONSTANT,
  GRAVITY,
  ICE_HEAT,
  JOULES_PER_KWH,
  LEWIS,
  PRESSURE,
  VAPORISATION,
  ZERO_CELSIUS_K,
} from './physics.ts';
export {
  ICE_NOTICED_KG,
  MAX_DUTY_PERCENT,
  MAX_STARTS_PER_HOUR,
  PRODUCT_TOLERANCE_K,
  WATER_NOTICED_KG,
} from './judging.ts';
export { EPSILON, SAME_NUMBER } from './tolerances.ts';
export { MILLISECONDS_PER_DAY, SECONDS_PER_DAY } from './time.ts';
