import { describe, expect, test } from '@jest/globals';
import { isFileProblem } from '../../foundation/files/index.ts';
import { freezer } from '../../../testing/circuits.ts';
import { readCircuit } from './readCircuit.ts';
import { wireIds } from './circuit.ts';

type Loose = Record<string, unknown> & {
  supplies: Record<string, unknown>[];
  parts: Record<string, unknown>[];
  wires: Record<string, unknown>[];
};
const file = (change: (c: Loose) => void): unknown => {
  const copy = structuredClone(freezer()) as unknown as Loose;
  change(copy);
  return copy;
};

describe('a circuit that cannot be', () => {
  test.each<[string, (c: Loose) => void, string, RegExp]>([
    [
      'a wire to nowhere',
      (c) => (c.wires[0]!['to'] = 'F9.a'),
      'wires[0].to',
      /nowhere.*expected a supply \(L1, N, PE\)/,
    ],
    [
      'a wire to a terminal a part has not',
      (c) => (c.wires[0]!['to'] = 'F1.c'),
      'wires[0].to',
      /F1 has a, b/,
    ],
    ['a wire on one terminal', (c) => (c.wires[0]!['to'] = 'L1'), 'wires[0]', /begins and ends on L1/],
    ['two parts of one name', (c) => (c.parts[1]!['id'] = 'F1'), 'parts[1].id', /"F1" is there twice/],
    ['a part called like a supply', (c) => (c.parts[0]!['id'] = 'L1'), 'parts[0].id', /"L1" is there twice/],
    [
      'a part with one end',
      (c) => (c.parts[0]!['terminals'] = ['a']),
      'parts[0].terminals',
      /expected 2 terminal names/,
    ],
    [
      'two ends of one name',
      (c) => (c.parts[0]!['terminals'] = ['a', 'a']),
      'parts[0]',
      /two terminals called "a"/,
    ],
    [
      'a kind nobody knows',
      (c) => (c.parts[0]!['kind'] = 'valve'),
      'parts[0].kind',
      /expected one of fuse, switch/,
    ],
    ['a fuse without amps', (c) => delete c.parts[0]!['amps'], 'parts[0].amps', /above 0, found nothing/],
    [
      'a load of no watts',
      (c) => (c.parts.find((p) => p['id'] === 'M1')!['watts'] = 0),
      'parts[7].watts',
      /above 0/,
    ],
    [
      'a load of NaN watts',
      (c) => (c.parts.find((p) => p['id'] === 'M1')!['watts'] = NaN),
      'parts[7].watts',
      /above 0/,
    ],
    [
      'a control that owns nothing real',
      (c) => (c.parts[1]!['owns'] = ['K9']),
      'parts[1].owns',
      /"K9" is no contact/,
    ],
    ['no states', (c) => (c['states'] = {}), 'states', /"off"/],
    ['a state that is no list', (c) => (c['states'] = { off: 'none' }), 'states.off', /list of outputs/],
    [
      'batteries and mains together',
      (c) => c.supplies.push({ id: 'B', volts: 12, kind: 'dc' }),
      'supplies',
      /AC and DC/,
    ],
    ['a newer format', (c) => (c['format'] = 'brine-dial/circuit@2'), 'format', /newer/],
    ['parts that are no list', (c) => (c['parts'] = {} as never), 'parts', /expected a list/],
  ])('%s is refused with its place', (_what, change, field, message) => {
    const read = readCircuit(file(change));
    expect(isFileProblem(read)).toBe(true);
    if (!isFileProblem(read)) return;
    expect(read.field).toBe(field);
    expect(read.message).toMatch(message);
  });

  test.each([null, 3, 'text', [], { format: 'brine-dial/circuit@1' }])(
    '%p is refused, not thrown at',
    (data) => {
      expect(isFileProblem(readCircuit(data))).toBe(true);
    },
  );
});

test('unknown fields are kept', () => {
  const read = readCircuit(file((c) => (c['notes'] = 'traced twice')));
  expect(read).toMatchObject({ notes: 'traced twice' });
});

test('a second wire alike gets a number', () => {
  expect(
    wireIds([
      { from: 'a', to: 'b' },
      { from: 'b', to: 'a' },
      { from: 'a', to: 'b' },
    ]),
  ).toEqual(['a-b', 'b-a', 'a-b#2']);
});
