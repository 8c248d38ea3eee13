export { atVolts } from './atVolts.ts';
export { blankCircuits } from './blank.ts';
export { onValve } from './onValve.ts';
export { typicalConversion, typicalConversions } from './typical.ts';
