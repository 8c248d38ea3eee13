export { EXCEPTION, noTroubles, StandInDevice } from './device.ts';
export { readTroubles, type LineTroubles, noLineTroubles } from './troubles.ts';
