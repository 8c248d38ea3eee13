export { controlConfig, type ControlConfig } from './control/config.ts';
export { bandOf } from './control/demand.ts';
export type { ControlEvent, Emit } from './control/event.ts';
export { letPass, quietFor } from './control/quiet.ts';
export { secondsOfDay, settingReader, type SettingReader } from './control/settingReader.ts';
export { type Command, type ControlInputs, type ControlState, powerUp } from './control/state.ts';
export { tick } from './control/tick.ts';
export {
  type BoxDrive,
  type BoxFlows,
  type BoxParameters,
  type BoxState,
  driveAtRest,
  restingBox,
  stepBox,
  boxWork,
} from './plant/box.ts';
export { doorFlow } from './plant/infiltration.ts';
export { humidityRatio, saturatedRatio, saturationPressure } from './plant/moistAir.ts';
export { type BoxChoice, boxOf, type TemplateId, templateIds, templates } from './plant/templates.ts';
