export {
  driveAtRest,
  restingBox,
  stepBox,
  type BoxDrive,
  type BoxFlows,
  type BoxParameters,
  type BoxState,
} from './box.ts';
export { storedHeat, storedWater } from './stored.ts';
export { boxOf, templateIds, templates, type BoxChoice, type TemplateId } from './templates.ts';
export { stepFirstOrder, type FirstOrder } from './firstOrder.ts';
export { humidityRatio, relativeHumidity, saturationPressure } from './moistAir.ts';
export { AIR_HEAT, VAPORISATION } from './constants.ts';
export { doorFlow } from './infiltration.ts';
