export { type FaultSpeed, faultSpeed, triedWords } from './faultSpeed.ts';
export { bestFloat, type FloatTrial, floatVariants, tryFloat } from './floating.ts';
export { asOneRelayFans, fanSettingOf } from './oneRelayFans.ts';
export { bestLoop, huntsAt, type LoopTrial, loopVariants, tryLoop } from './tuning.ts';
