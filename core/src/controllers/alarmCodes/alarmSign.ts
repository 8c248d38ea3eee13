import type { AlarmCode } from '../definitions/index.ts';

/** Steady: look at it soon. Flashing: the unit has shut down. */
export type AlarmSign = 'steady' | 'flashing';

/** Whether the trip may go on under an alarm, in a sentence. What the sign and the booklet say counts more than either alone. */
export function mayGoOn(
  alarm: AlarmCode | undefined,
  sign: AlarmSign | null,
): { readonly goOn: boolean; readonly words: string } {
  if (sign === 'flashing' || alarm?.severity === 'shutdown')
    return {
      goOn: false,
      words:
        'No: it shut down. Find out why before the code is cleared; a cleared shutdown may start the engine at once. The load warms meanwhile: have it taken over.',
    };
  if (!alarm)
    return {
      goOn: true,
      words: 'Not in this control’s list. A steady sign: look at it soon, and watch the return air.',
    };
  return {
    goOn: true,
    words: 'Yes, and look at it soon: a steady sign. Watch the return air at every stop.',
  };
}
