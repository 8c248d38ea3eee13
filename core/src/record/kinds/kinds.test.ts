import { expect, test } from '@jest/globals';
import type { EntryBody } from '@brine/contract/entries';
import { aboutEntry, describeEntry, registerOf } from './kinds.ts';

test.each([
  [{ kind: 'found', code: 'Cp', value: '300' }, 'Found Cp: 300'],
  [{ kind: 'found', code: 'Cp', value: null }, 'Found Cp: removed'],
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
  [
    { kind: 'keyed', code: 'drip', state: 'keyed', value: '5', over: 'bus', atUnit: 'Una' },
    'At the cabinet, drip: written 5, over the bus, Una at the unit',
  ],
  [{ kind: 'found', code: 'Cp', value: '300', over: 'bus' }, 'Found Cp: 300, read over the bus'],
  [{ kind: 'note', text: 'Fan hums' }, 'Note: Fan hums'],
  [
    {
      kind: 'reading',
      circuit: 'plan',
      place: { state: 'cooling', from: 'K1.com', to: 'L2' },
      value: 0.3,
    },
    'Read in cooling, K1.com to L2: 0.3 V',
  ],
  [
    { kind: 'reading', circuit: 'plan', place: { state: 'off', through: 'M1' }, value: null },
    'Read in off, M1: removed',
  ],
  [{ kind: 'power', state: 'lockedOut' }, 'The cabinet: locked out, proven dead'],
  [
    { kind: 'foundWire', id: 'w', wire: { from: 'L1', to: 'F1.a', colour: 'black' } },
    'Found, wire: L1 to F1.a, black',
  ],
  [
    { kind: 'unitLoad', id: 'l', load: { role: 'compressor', watts: 900 } },
    'Load of the plate: compressor, 900 W',
  ],
  [
    { kind: 'mechanical', cutIn: { value: 38, unit: 'degF' }, cutOut: { value: 36, unit: 'degF' } },
    'Mechanical control: cut-in 38 °F, cut-out 36 °F',
  ],
  [{ kind: 'measure', measure: 'pipeMm', value: 12 }, 'Measured, pipe the probe is clamped to, mm: 12'],
] as unknown as [EntryBody, string][])('%j', (body, words) => {
  expect(describeEntry(body)).toBe(words.replace('?:', '?'));
});

test('with the controls at hand a code has its name beside it', () => {
  const names = { old: (code: string) => (code === 'hY' ? 'Width below it' : undefined) };
  expect(aboutEntry({ kind: 'found', code: 'hY', value: '3' }, names)).toBe('Found hY, Width below it');
  expect(aboutEntry({ kind: 'found', code: 'zz', value: '3' }, names)).toBe('Found zz');
});

test('two entries of one subject write one register, whichever way round the meter was', () => {
  const reading = (from: string, to: string): EntryBody => ({
    kind: 'reading',
    circuit: 'plan',
    place: { state: 'off', from, to },
    value: 1,
  });
  expect(registerOf(reading('a', 'b'))).toBe(registerOf(reading('b', 'a')));
  expect(registerOf({ kind: 'note', text: 'x' })).toBeNull();
});
