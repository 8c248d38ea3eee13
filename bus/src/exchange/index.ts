export { readPlaces } from './places.ts';
export { readFound } from './readFound.ts';
export { readReadings } from './readings.ts';
export { writeValues } from './write.ts';
