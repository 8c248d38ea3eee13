export { fansOf, MOST_FANS, type CondenserConfig, type FanMethod, type Rotation } from './condenserConfig.ts';
export {
  condenserAtRest,
  type CondenserCause,
  type CondenserInputs,
  type CondenserState,
  type FanState,
} from './condenserState.ts';
export { fanSetpoint } from './fanDemand.ts';
export { driveVolts, tickCondenser } from './tickCondenser.ts';
export { fansInForce } from './fansByRelay.ts';
