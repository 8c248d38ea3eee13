export { atVolts } from './atVolts.ts';
export { blankCircuits } from './blank.ts';
export { typicalConversion, typicalConversions } from './typical.ts';
