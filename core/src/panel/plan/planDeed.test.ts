import { describe, expect, test } from '@jest/globals';
import { families, family } from '../../testing/families.ts';
import { deedWords } from '../words/deedWords.ts';
import { act, panelAtRest } from '../interpreter.ts';
import { machineOf } from '../machine.ts';
import { planDeed } from './planDeed.ts';

const deeds = [...families.values()].flatMap((definition) =>
  (machineOf(definition)?.panel.deeds ?? []).map((deed) => [definition.id, deed.does] as const),
);

describe('every deed of every family', () => {
  test.each(deeds)('%s: %s is done, shows what it says, and changes no value', (id, does) => {
    const machine = machineOf(family(id))!;
    let state = panelAtRest(machine);
    const before = new Map(state.memory);
    let shown = '';
    for (const step of planDeed(machine, new Map(), does))
      ({ state, shows: shown } = act(machine, state, step));
    expect(state.deeds).toEqual([does]);
    expect(shown).toBe(machine.panel.deeds!.find((d) => d.does === does)!.shows);
    expect(state.memory).toEqual(before);
  });
});

test('in words, as a technician reads them', () => {
  expect(deedWords(machineOf(family('brae-f'))!.panel)[0]).toEqual({
    does: 'startDefrost',
    name: 'Start a defrost',
    strokes: ['Hold ICE for 5 s'],
    shows: 'ice',
  });
});

test('a deed the panel has not', () => {
  expect(() => planDeed(machineOf(family('brae-f'))!, new Map(), 'showHours')).toThrow(
    'showHours: this panel has no such deed; it has startDefrost, showCoil, silence',
  );
});
