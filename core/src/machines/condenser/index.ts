export { type CondenserConfig, fansOf } from './control/condenserConfig.ts';
export { condenserAtRest, type CondenserCause, type CondenserInputs } from './control/condenserState.ts';
export { fansInForce } from './control/fansByRelay.ts';
export { tickCondenser } from './control/tickCondenser.ts';
export type { OutdoorDay } from './plant/outdoorDay.ts';
export type { CondenserPlant } from './plant/plant.ts';
export {
  type CondenserRun,
  type CondenserRunResult,
  type CondenserSample,
  runCondenser,
} from './plant/run.ts';
export type { CondenserFigures } from './plant/runFigures.ts';
export { type CondenserChoice, condenserPlant } from './plant/templates.ts';
