export { controlConfig, type ControlConfig } from './config.ts';
export { secondsOfDay } from './settingReader.ts';
export * from './condenser/index.ts';
export * from './engine/index.ts';
export type { ControlEvent, Emit } from './event.ts';
export {
  copyState,
  powerUp,
  type AlarmCause,
  type Command,
  type ControlInputs,
  type ControlOutputs,
  type ControlState,
  type Phase,
} from './state.ts';
export { tick } from './tick.ts';
export { letPass, quietFor } from './quiet.ts';
export { bandOf } from './demand.ts';
