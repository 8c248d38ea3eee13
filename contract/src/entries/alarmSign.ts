import { id, oneOf } from '../fields/index.ts';
import { entry, type BodyOf } from './entry.ts';

/** How a unit shows an alarm: a steady sign, or one that flashes. */
export const alarmSign = entry('alarmSign', {
  alarm: id(),
  sign: oneOf(['steady', 'flashing']).nullable(),
});

export type AlarmSign = BodyOf<typeof alarmSign>;
