export {
  conductanceAt,
  coolingAt,
  noFlows,
  powerAt,
  restingCondenser,
  stepCondenser,
  type CondenserFlows,
  type CondenserPlant,
  type CondenserPlantState,
} from './plant.ts';
export { outdoorAt, type OutdoorDay } from './outdoorDay.ts';
export { loadShare } from './load.ts';
export { condenserPlant, type CondenserChoice } from './templates.ts';
export { runCondenser, type CondenserRun, type CondenserRunResult, type CondenserSample } from './run.ts';
export type { CondenserFigures } from './runFigures.ts';
export { bestLoop, huntsAt, loopVariants, tryLoop, type LoopTrial } from './tuning.ts';
export { bestFloat, floatVariants, tryFloat, type FloatTrial } from './floating.ts';
export {
  dayParts,
  faultSpeed,
  triedWords,
  WHOLE_WEEK_DAYS,
  type DayPart,
  type FaultSpeed,
  type SpeedTried,
} from './faultSpeed.ts';
