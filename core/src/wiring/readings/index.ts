export { Bench, type Tested } from './bench.ts';
export { type Ground, groundsOf, isWholeWinding } from './ground.ts';
export { nextReading, type NextReading, type Suspect } from './next.ts';
export {
  DEAD,
  type MeterUnit,
  meterUnitOf,
  type Place,
  placeKey,
  placeProblem,
  type Reading,
} from './place.ts';
export { placesOf, placeStands, wiresAtPlace } from './places.ts';
export { READINGS_FORMAT, readReadings } from './readReadings.ts';
export { misfitOf, OPEN_LINE, tolerance } from './tolerance.ts';
