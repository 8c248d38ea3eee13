import { describe, expect, test } from '@jest/globals';
import type { CodeValue } from '../../definitions/index.ts';
import { families, family } from '../../../../testing/families.ts';
import { act, panelAtRest } from '../interpreter.ts';
import { machineOf, type PanelState } from '../machine.ts';
import { strokeSentence } from '../words/strokeWords.ts';
import { optionsOf, scaleNow } from '../editing.ts';
import { setsDisplay, standingValues } from '../values.ts';
import { afterKeying, strokesFor, strokesOut } from './strokes.ts';

const marl = machineOf(family('marl-4'))!;
const said = (steps: readonly { shows: string }[]) =>
  steps.map((step) => `${strokeSentence(marl.panel, step as never)} → ${step.shows}`);

describe('one code after the other', () => {
  test('from the standard display', () => {
    expect(said(strokesFor(marl, new Map(), { code: 'hold', value: -9 }, null).steps)).toEqual([
      'Hold ▲ and ▼ together for 5 s → 0',
      'Hold ▲ until 27 shows → 27',
      'Press SET once → hold',
      'Press SET once → -5',
      'Press ▼ 4 times → -9',
      'Press SET once → hold',
    ]);
  });

  test('on from the code before; many presses are held until the value shows', () => {
    expect(said(strokesFor(marl, new Map([['hold', -9]]), { code: 'gap', value: 15 }, 'hold').steps)).toEqual(
      ['Press ▲ once → gap', 'Press SET once → 5', 'Hold ▲ until 15 shows → 15', 'Press SET once → gap'],
    );
  });

  test('what stands already is looked at', () => {
    expect(said(strokesFor(marl, new Map(), { code: 'gap', value: 5 }, 'hold').steps)).toEqual([
      'Press ▲ once → gap',
      'Press SET once → 5',
      'Press SET once → gap',
    ]);
  });

  test('the way out', () => {
    expect(said(strokesOut(marl, new Map(), 'gap'))).toEqual(['Hold SET for 4 s → reading']);
  });

  test('a code that is hidden for now says what brings it', () => {
    expect(() => strokesFor(marl, new Map(), { code: 'on', value: 12 }, 'hold')).toThrow(
      'it comes with lost, which is set first',
    );
  });
});

test.each([...families.keys()])(
  '%s: a whole list keyed code by code stores every value (oracle: the interpreter)',
  (id) => {
    const machine = machineOf(family(id))!;
    // The display's unit and tenths first, as a list is keyed in.
    const codes = [...machine.definition.parameters].sort(
      (a, b) => Number(setsDisplay(b)) - Number(setsDisplay(a)),
    );
    let state: PanelState = panelAtRest(machine);
    let keyed: { code: string; value: CodeValue }[] = [];
    let from: string | null = null;
    for (const parameter of codes) {
      const present = afterKeying(machine, new Map(), keyed);
      const scale = scaleNow(machine, { ...state, memory: present }, parameter);
      const value = scale ? scale.max : optionsOf(machine, parameter).at(-1)!;
      let planned;
      try {
        planned = strokesFor(machine, present, { code: parameter.code, value }, from);
      } catch {
        continue; // Hidden with the values chosen here.
      }
      for (const step of planned.steps) {
        const result = act(machine, state, step);
        expect(`${parameter.code}: ${result.shows}`).toBe(`${parameter.code}: ${step.shows}`);
        state = result.state;
      }
      keyed = [...keyed, { code: parameter.code, value }];
      from = planned.ends;
    }
    const present = afterKeying(machine, new Map(), keyed);
    for (const step of strokesOut(machine, present, from!)) state = act(machine, state, step).state;
    const stored = standingValues(state);
    for (const { code } of keyed) expect(`${code} ${stored.get(code)}`).toBe(`${code} ${present.get(code)}`);
  },
);
