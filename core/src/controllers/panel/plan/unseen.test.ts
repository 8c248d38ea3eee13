import { afterAll, describe, expect, test } from '@jest/globals';
import type { CodeValue } from '../../definitions/index.ts';
import { families, family } from '../../../../testing/families.ts';
import { optionsOf, scaleNow } from '../editing.ts';
import { act, panelAtRest } from '../interpreter.ts';
import { machineOf, type Machine, type PanelState } from '../machine.ts';
import { setsDisplay, standingValues } from '../values.ts';
import { strokeSentence } from '../words/strokeWords.ts';
import { afterKeying, strokesOut } from './strokes.ts';
import { strokesUnseen } from './unseen.ts';
import type { PlanStep } from './walker.ts';

const marl = machineOf(family('marl-4'))!;

describe('a value nobody has seen', () => {
  test('is turned until it shows, never by a count from the booklet', () => {
    const { steps } = strokesUnseen(marl, new Map(), { code: 'hold', value: -9 }, null);
    expect(steps.slice(-3).map((step) => `${strokeSentence(marl.panel, step)} → ${step.shows}`)).toEqual([
      'Press SET once → a value',
      'Press ▲ and ▼ until it shows -9 → -9',
      'Press SET once → hold',
    ]);
  });
  test('also where it is the booklet’s own', () => {
    const { steps } = strokesUnseen(marl, new Map(), { code: 'gap', value: 5 }, 'hold');
    expect(steps.some((step) => step.until && step.shows === '5')).toBe(true);
  });
});

/** Follows “until it shows” as a person does: one key, then the other, until the display shows it. */
function turned(machine: Machine, state: PanelState, step: PlanStep): PanelState | null {
  for (const key of step.keys!) {
    let now = state;
    for (let press = 0; press < 3000; press += 1) {
      const { shows, state: next } = act(machine, now, { ...step, keys: [key], times: 1 });
      now = next;
      if (shows === step.shows) return now;
    }
  }
  return null;
}

let tried = 0;
afterAll(() => expect(tried).toBeGreaterThan(100));
/** Follows a step; where the code's unknown value hides or shows others on the way to it, on to where the display shows it. */
function followed(machine: Machine, state: PanelState, step: PlanStep, code: string): PanelState | null {
  if (step.until) return turned(machine, state, step);
  const once = act(machine, state, step);
  return step.action === 'press' && step.shows === code && once.shows !== code
    ? turned(machine, once.state, step)
    : once.state;
}

test.each([...families.keys()])(
  '%s: whatever a code stood at, the strokes lead to the value (oracle: the interpreter)',
  (id) => {
    const machine = machineOf(family(id))!;
    for (const parameter of machine.definition.parameters) {
      // In digits one place is turned after the other; what shows what is not said by one display.
      const menus = machine.panel.menus.filter((m) => machine.codes.get(m.id)!.includes(parameter.code));
      if (
        setsDisplay(parameter) ||
        menus.some((m) => m.edit?.by === 'digits' || m.edit?.starts === 'holding')
      )
        continue;
      const rest = panelAtRest(machine);
      const scale = scaleNow(machine, rest, parameter);
      const all: readonly CodeValue[] = scale ? [scale.min, scale.max] : optionsOf(machine, parameter);
      const [value, stood] = [all.at(-1)!, all[0]!];
      let steps: readonly PlanStep[];
      let ends: string | null;
      try {
        ({ steps, ends } = strokesUnseen(machine, new Map(), { code: parameter.code, value }, null));
      } catch {
        continue; // Hidden for now.
      }
      if (!steps.some((step) => step.until)) continue;
      let state: PanelState | null = { ...rest, memory: new Map(rest.memory).set(parameter.code, stood) };
      for (const step of [
        ...steps,
        ...(ends === null
          ? []
          : strokesOut(machine, afterKeying(machine, new Map(), [{ code: parameter.code, value }]), ends)),
      ])
        state = state && followed(machine, state, step, parameter.code);
      expect([parameter.code, state && standingValues(state).get(parameter.code)]).toEqual([
        parameter.code,
        value,
      ]);
      tried += 1;
    }
  },
);
