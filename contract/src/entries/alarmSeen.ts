import { anyText, code, id, yesNo, LONGEST_TEXT } from '../fields/index.ts';
import { entry, type BodyOf } from './entry.ts';

/** An alarm as the display showed it, and whether it was cleared. */
export const alarmSeen = entry('alarmSeen', {
  id: id(),
  code: code(),
  words: anyText(LONGEST_TEXT),
  cleared: yesNo(),
});

export type AlarmSeen = BodyOf<typeof alarmSeen>;
