export { alongLog, type BesideLog } from './alongLog.ts';
export { BOX_FORMAT, type BoxFile, type BoxFinding, type BoxFit, drawnColumns, readBox } from './boxFile.ts';
export { between, type Course, type CourseDefrost, type CourseStretch, type CourseSwitch } from './course.ts';
export type { DayFigures } from './figuresOf.ts';
export { identify, type Learned } from './identify.ts';
export { measuredFigures } from './measured.ts';
export { naturalOf, pointOf } from './natural.ts';
export { ownPlantAt } from './ownPlantAt.ts';
export {
  carriedOver,
  drawnFigures,
  type EstimatedId,
  estimatedIds,
  type LoggedDays,
  type Measured,
  type Predicted,
  type PredictedFigure,
  type PredictedId,
  predictedIds,
} from './predict.ts';
export { parametersWith, type Prior, type Priors, saidByLog } from './priors.ts';
export { type ParameterId, parameterIds, parameters, usualPoint, valueAt } from './parameters.ts';
