export { alarmLimits } from './alarmLimits.ts';
export { switchingBand, type SwitchingBand } from './band.ts';
export { placeBand, placementOf, shareToCutOut, type Placement } from './placement.ts';
export { celsiusOf, secondsOf, written, writtenDifference } from './values.ts';
