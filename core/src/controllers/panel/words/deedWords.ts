import type { Panel } from '../../definitions/index.ts';
import { gestureAct } from '../plan/gestureAct.ts';
import { strokeSentence } from './strokeWords.ts';

const names: Readonly<Record<string, string>> = {
  startDefrost: 'Start a defrost',
  stopDefrost: 'Stop a defrost',
  standbyOn: 'Switch to standby',
  standbyOff: 'Switch on again',
  lock: 'Lock the keys',
  unlock: 'Unlock the keys',
  showAir: 'Show the air probe',
  showCoil: 'Show the coil probe',
  showSetpoint: 'Show the set point',
  showAlarms: 'Page through the alarms',
  clearAlarm: 'Clear an alarm',
  silence: 'Silence the sounder',
  showHours: 'Show the hours run',
};

/** What keys may do without a menu, as far as this program has a name for it. */
export const namedDeeds: readonly string[] = Object.keys(names);

/** What can be done from the standard display without a menu: its name, and the strokes in sentences. */
export interface DeedWords {
  readonly does: string;
  readonly name: string;
  readonly strokes: readonly string[];
  readonly shows: string | null;
}

/** What a deed is called: “Start a defrost”. One this program has no name for stands by its id. */
export function deedName(does: string): string {
  return names[does] ?? does;
}

/** The deeds of a panel in words; one this program has no name for stands by its id. */
export function deedWords(panel: Panel): readonly DeedWords[] {
  return (panel.deeds ?? []).map((deed) => ({
    does: deed.does,
    name: deedName(deed.does),
    strokes: deed.steps.map((step) =>
      strokeSentence(panel, { ...gestureAct(panel, step), shows: deed.shows ?? '' }),
    ),
    shows: deed.shows ?? null,
  }));
}
