export { offsetIsEnough, onThePlate, type PairedOffset, pairedOffset } from './battery/pairedOffset.ts';
export { bestPlace } from './frost/bestPlace.ts';
export type { CoilLook, HumidityCourse } from './humidity/decide.ts';
export {
  type FrostLook,
  type FrostNote,
  shownCelsius,
  shownKelvin,
  type ToolInput,
  type ToolReport,
  type ToolRow,
  type ToolTable,
  typedCelsius,
  typedKelvin,
} from './report.ts';
export { twoBands, type TwoBands } from './stages/bands.ts';
export { type ToolId, tools, toolsFor } from './tools.ts';
