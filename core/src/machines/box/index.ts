export { controlConfig, type ControlConfig } from './control/config.ts';
export { bandOf } from './control/demand.ts';
export type { ControlEvent, Emit } from './control/event.ts';
export { letPass, notQuiet, quietFor, staysQuiet } from './control/quiet.ts';
export { secondsOfDay, settingReader, type SettingReader } from './control/settingReader.ts';
export { type Command, type ControlInputs, type ControlState, powerUp } from './control/state.ts';
export { tick } from './control/tick.ts';
export { stepBox } from './plant/box.ts';
export type { BoxParameters } from './plant/boxParameters.ts';
export { type BoxDrive, BoxFlows, BoxState, driveAtRest, restingBox } from './plant/boxState.ts';
export { boxWork } from './plant/boxWork.ts';
export { flowAt, stateAt } from './plant/places.ts';
export { doorFlow } from './plant/infiltration.ts';
export { humidityRatio, saturatedRatio, saturationPressure } from './plant/moistAir.ts';
export { type BoxChoice, boxOf, insideOf } from './plant/boxOf.ts';
export {
  ambientRatio,
  type CoilClearing,
  DESIGN_AMBIENT,
  type HeatLoad,
  heatLoad,
  runHours,
} from './plant/sizing.ts';
export { type TemplateId, templateIds, templates } from './plant/templates.ts';
export { CLOSES, deliveryHours, type DoorUse, OPENS, useFactors } from './plant/use.ts';
