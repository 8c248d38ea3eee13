import { expect, test } from '@jest/globals';
import type { EntryBody } from '@brine/core/jobs';
import { describeEntry } from './describeEntry.ts';

test.each([
  [{ kind: 'found', code: 'Cp', value: '300' }, 'Found Cp: 300'],
  [{ kind: 'found', code: 'Cp', value: null }, 'Found Cp: taken off'],
  [{ kind: 'control', role: 'new', definition: null }, 'The new control: none'],
  [{ kind: 'answer', question: 'goods', value: 'frozenFish' }, 'What is kept in it?: Frozen fish'],
  [{ kind: 'answer', question: 'doorContact', value: false }, 'Is there a door contact?: no'],
  [
    { kind: 'planned', setting: 'regulation.differential', value: { value: 6, unit: 'deltaF' } },
    'Planned Differential: 6 dF',
  ],
  [{ kind: 'planned', setting: 'regulation.differential', value: null }, 'Planned Differential: as planned'],
  [
    { kind: 'keyed', code: 'drip', state: 'showsElse', value: '5', shown: '4' },
    'At the cabinet, drip: shows 4',
  ],
  [{ kind: 'note', text: 'Fan hums' }, 'Note: Fan hums'],
] as unknown as [EntryBody, string][])('%j', (body, words) => {
  expect(describeEntry(body)).toBe(words.replace('?:', '?'));
});
