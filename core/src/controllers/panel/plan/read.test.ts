import { describe, expect, test } from '@jest/globals';
import type { CodeValue } from '../../definitions/index.ts';
import { families, family } from '../../../../testing/families.ts';
import { optionsOf, scaleNow } from '../editing.ts';
import { act, panelAtRest } from '../interpreter.ts';
import { machineOf, type PanelState } from '../machine.ts';
import { strokeSentence } from '../words/strokeWords.ts';
import { printValue } from '../shows.ts';
import { setsDisplay } from '../values.ts';
import { afterReading, strokesToRead } from './read.ts';
import { strokesOut } from './strokes.ts';
import { CannotPlan } from './wishes.ts';

test('from the standard display: in, to the code, its value, and back untouched', () => {
  const machine = machineOf(family('marl-4'))!;
  const { steps, valueAt, ends } = strokesToRead(machine, new Map(), 'gap', null);
  expect(steps.map((s) => strokeSentence(machine.panel, s))).toEqual([
    'Hold ▲ and ▼ together for 5 s',
    'Hold ▲ until 27 shows',
    'Press SET once',
    'Press ▲ once',
    'Press SET once',
    'Press SET once',
  ]);
  expect([steps[valueAt]!.shows, ends]).toEqual(['5', 'gap']);
});

describe('a whole control read back code by code (oracle: a panel with values nobody told the planner)', () => {
  test.each([...families.keys()])(
    '%s: what shows at each stop is what is stored, and nothing changes',
    (id) => {
      const machine = machineOf(family(id))!;
      // The display as it is by default: its unit is read off the front before anything else.
      let secret: PanelState = panelAtRest(machine);
      const turned = new Map<string, CodeValue>(secret.memory);
      for (const parameter of machine.definition.parameters) {
        if (
          setsDisplay(parameter) ||
          parameter.encoding.type === 'preset' ||
          parameter.encoding.type === 'reading'
        )
          continue;
        const scale = scaleNow(machine, secret, parameter);
        turned.set(parameter.code, scale ? scale.min : optionsOf(machine, parameter).at(-1)!);
      }
      secret = panelAtRest(machine, turned);
      const before = new Map(secret.memory);
      const read = new Map<string, CodeValue>();
      let from: string | null = null;
      const held = machine.definition.parameters.filter(
        (p) => p.encoding.type !== 'reading' && before.has(p.code),
      );
      // Masters stand before what they hide in every list; two rounds read what a later one uncovers.
      for (const parameter of [...held, ...held]) {
        if (read.has(parameter.code)) continue;
        try {
          const { steps, valueAt } = strokesToRead(machine, read, parameter.code, from);
          let shown = steps.length === 0 ? null : '';
          steps.forEach((step, i) => {
            const result = act(machine, secret, step);
            secret = result.state;
            if (i === valueAt) shown = result.shows;
          });
          if (shown !== null && valueAt >= 0)
            expect(`${parameter.code} ${shown}`).toBe(
              `${parameter.code} ${printValue(machine, panelAtRest(machine, turned), parameter, turned.get(parameter.code)!)}`,
            );
          const value = turned.get(parameter.code)!;
          from = afterReading(machine, read, { code: parameter.code, value }, from);
          read.set(parameter.code, value);
        } catch (error) {
          if (!(error instanceof CannotPlan)) throw error;
        }
      }
      if (from !== null)
        for (const step of strokesOut(machine, read, from)) secret = act(machine, secret, step).state;
      expect(secret.memory).toEqual(before);
      expect(read.size).toBeGreaterThan(held.length / 2);
    },
  );
});
