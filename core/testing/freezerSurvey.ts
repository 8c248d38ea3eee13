import type { EntryBody } from '@brine/contract/entries';

/** The answers that a plan for a walk-in freezer needs. */
export const freezerSurvey: readonly EntryBody[] = [
  { kind: 'answer', question: 'application', value: 'walkInFreezer' },
  { kind: 'answer', question: 'goods', value: 'frozenFish' },
  { kind: 'answer', question: 'defrostMethod', value: 'electric' },
  { kind: 'answer', question: 'probes', value: ['air', 'coil'] },
];

/** The same, read in degrees Fahrenheit. */
export const freezerInFahrenheit: readonly EntryBody[] = [
  ...freezerSurvey,
  { kind: 'answer', question: 'displayUnit', value: 'fahrenheit' },
];
