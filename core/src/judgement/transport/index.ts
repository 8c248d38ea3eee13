export { keyForOrder } from './ordered.ts';
export { preCool } from './preCool.ts';
export {
  type HourMeter,
  hourMeterNames,
  hourMeters,
  meterProblem,
  type ServiceDue,
  serviceIntervals,
  servicesDue,
} from './service.ts';
export {
  STARTS_BY_ITSELF,
  type TripStage,
  tripStageNames,
  tripStages,
  type TripStep,
  tripStepIds,
  tripSteps,
  valueOff,
} from './steps.ts';
export { type DoorStop, judgeTrip, type TripReading } from './tripRecord.ts';
