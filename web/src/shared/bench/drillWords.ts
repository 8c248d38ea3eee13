import type { PracticeKind } from '@brine/core/practice/drills';

/** What each kind of drill is called, and what it asks. */
export const drillWords: Readonly<Record<PracticeKind, { readonly name: string; readonly asks: string }>> = {
  setValues: { name: 'Set five values', asks: 'Set these' },
  findChanged: { name: 'Find what was changed', asks: 'One value differs from this sheet: set it back' },
  restoreLocked: {
    name: 'Restore a locked control',
    asks: 'Somebody changed this control and locked it. Set these back, and leave the lock as told',
  },
  clearAlarms: {
    name: 'Write down and clear alarms',
    asks: 'Alarms are active. Write every code down first, then clear them',
  },
  deeds: { name: 'Without the menu', asks: 'Do these, in this order' },
  whyWarm: { name: 'Find why it does not cool', asks: 'This box is too warm. Find out why' },
};
