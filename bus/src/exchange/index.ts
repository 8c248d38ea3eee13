export { checkDevice, type Progress, readFound, type ReadFound } from './readFound.ts';
export { type BusReadings, readReadings } from './readings.ts';
export { type Written, writeValues } from './write.ts';
