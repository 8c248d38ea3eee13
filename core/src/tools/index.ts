export * from './report.ts';
export * from './facts.ts';
export * from './tools.ts';
export {
  decideHumidity,
  type CoilLook,
  type HumidityCourse,
  type HumidityDecision,
} from './humidity/decide.ts';
export { offsetIsEnough, onThePlate, pairedOffset, type PairedOffset } from './battery/pairedOffset.ts';
export { twoBands, type StageBand, type TwoBands } from './stages/bands.ts';
export { bestPlace, type BestPlace, type Cell } from './frost/bestPlace.ts';
export { rankPresets, type PresetFit } from './presets/rank.ts';
