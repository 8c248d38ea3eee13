import { expect, test } from '@jest/globals';
import type { ControllerDefinition, Parameter } from './definition.ts';
import { looksLike } from './lookAlike.ts';

const control = (...codes: string[]): ControllerDefinition => ({
  format: 'brine-dial/controller@1',
  id: 'x',
  family: 'X',
  parameters: codes.map((code): Parameter => ({
    code,
    name: `Name of ${code}`,
    encoding: { type: 'reading', reads: code },
  })),
});
const pairs = (...codes: string[]) =>
  [...looksLike(control(...codes))].map(([code, others]) => `${code}~${others.map((o) => o.code).join(',')}`);

test.each([
  [
    ['d0', 'do', 'dE'],
    ['d0~do', 'do~d0'],
  ],
  [
    ['S1', '51', 'Si'],
    ['S1~51,Si', '51~S1,Si', 'Si~S1,51'],
  ],
  [
    ['b6', '6B', 'a1'],
    ['b6~6B', '6B~b6'],
  ],
  [
    ['HE', 'nE'],
    ['HE~nE', 'nE~HE'],
  ],
  [
    ['a-1', 'a1'],
    ['a-1~a1', 'a1~a-1'],
  ],
  [['a1', 'a2', 'a3'], []],
])('%j', (codes, expected) => {
  expect(pairs(...codes)).toEqual(expected);
});

test('a display with words writes names: equal names in two folders are taken for each other', () => {
  const { parameters, ...rest } = control('1.1', '2.1', '3.1');
  const named = parameters.map((p, i) => ({ ...p, name: i < 2 ? 'Delay' : 'Band' }));
  const found = looksLike({
    ...rest,
    parameters: named,
    panel: { display: { text: true } },
  } as unknown as ControllerDefinition);
  expect([...found.keys()]).toEqual(['1.1', '2.1']);
});
