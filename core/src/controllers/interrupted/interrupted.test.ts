import { describe, expect, test } from '@jest/globals';
import { seeded } from '../../../testing/seeded.ts';
import { styleDefinition } from '../../../testing/panels.ts';
import { everyPanel } from '../../../testing/everyPanel.ts';
import { someWishes } from '../../../testing/wishes.ts';
import { isVisible, sameCodeValue, type CodeValue } from '../definitions/index.ts';
import {
  act,
  CannotPlan,
  machineOf,
  panelAtRest,
  planKeys,
  printValue,
  type Machine,
  type Wish,
} from '../panel/index.ts';
import { endings, memoriesAfter, Readings, undecided, type MayBe } from './index.ts';
import { ended, singleStrokes } from './memories.ts';

/** Strokes for wishes that this family can be given; fewer where it cannot. */
function planned(machine: Machine, wishes: readonly Wish[]) {
  for (let n = wishes.length; n > 0; n -= 1)
    try {
      return { wishes: wishes.slice(0, n), ...planKeys(machine, new Map(), wishes.slice(0, n)) };
    } catch (error) {
      if (!(error instanceof CannotPlan)) throw error;
    }
  return null;
}

const shown = (machine: Machine, memory: ReadonlyMap<string, CodeValue>, code: string) =>
  printValue(machine, panelAtRest(machine, memory), machine.parameters.get(code)!, memory.get(code)!);

/** The least depth of any decision tree, by trying every order of codes: a second implementation, for few memories. */
function leastDepth(machine: Machine, some: readonly MayBe[]): number {
  if (some.length < 2) return 0;
  const codes = [...machine.parameters.values()].filter(
    (parameter) =>
      parameter.encoding.type !== 'reading' &&
      [...machine.codes.values()].some((list) => list.includes(parameter.code)) &&
      some.every(({ memory }) => isVisible(machine.definition, parameter, memory)),
  );
  const depths = codes.flatMap(({ code }) => {
    const parts = new Map<string, MayBe[]>();
    for (const one of some) {
      const words = shown(machine, one.memory, code);
      parts.set(words, [...(parts.get(words) ?? []), one]);
    }
    return parts.size < 2
      ? []
      : [1 + Math.max(...[...parts.values()].map((part) => leastDepth(machine, part)))];
  });
  return depths.length === 0 ? 0 : Math.min(...depths);
}

describe('strokes that were broken off', () => {
  // Oracle: the interpreter is the control. What it really remembers is known to the test alone, which answers readings.
  test('every family: the memory is found with the fewest readings, and the keys go on from there', () => {
    const random = seeded(2203);
    const count = process.env['BRINE_LONG'] === '1' ? 1000 : everyPanel.length;
    const wrong: string[] = [];
    let [tried, untold] = [0, 0];
    for (let n = 0; n < count; n += 1) {
      const machine = machineOf(everyPanel[n % everyPanel.length]!)!;
      const plan = planned(machine, someWishes(machine, random, 2 + Math.floor(random() * 8)));
      if (!plan) continue;
      tried += 1;
      const name = `${n} ${machine.definition.id}`;
      const strokes = singleStrokes(plan.steps);
      const stop = Math.floor(random() * (strokes.length + 1));
      const ending = endings[Math.floor(random() * endings.length)]!;
      let state = panelAtRest(machine, new Map());
      for (const stroke of strokes.slice(0, stop)) state = act(machine, state, stroke).state;
      const truth = ended(machine, state, ending);

      let left = memoriesAfter(machine, new Map(), plan.steps);
      const readings = new Readings(machine, left);
      const least = readings.needed(left);
      let read = 0;
      for (let next = readings.next(left); next; next = readings.next(left)) {
        read += 1;
        left = next.shows.get(shown(machine, truth, next.code)) ?? [];
      }
      if (read > least) wrong.push(`${name}: ${read} readings instead of ${least}`);
      const same = left.some(({ memory }) =>
        [...truth].every(([code, value]) => sameCodeValue(memory.get(code)!, value)),
      );
      if (!same) wrong.push(`${name}: another memory than the true one`);
      // From what was found the keys go on; on the true panel they do what was wished. What no reading can tell is said, not guessed.
      const open = new Set(undecided(left));
      if (open.size > 0) untold += 1;
      const wishes = plan.wishes.filter(({ code }) => !open.has(code));
      let going = panelAtRest(machine, truth);
      for (const step of planKeys(machine, left[0]!.memory, wishes).steps)
        going = act(machine, going, step).state;
      for (const { code, value } of wishes)
        if (!sameCodeValue(going.memory.get(code)!, value)) wrong.push(`${name}: ${code} is not ${value}`);
    }
    expect(wrong.slice(0, 5)).toEqual([]);
    expect(tried).toBeGreaterThan(everyPanel.length / 2);
    expect(untold / tried).toBeLessThan(0.05);
  });

  // Oracle: every order of codes tried.
  test('no other order of readings needs fewer', () => {
    const random = seeded(2204);
    for (const definition of everyPanel) {
      const machine = machineOf(definition)!;
      const plan = planned(machine, someWishes(machine, random, 3));
      if (!plan) continue;
      const memories = memoriesAfter(machine, new Map(), plan.steps).slice(0, 7);
      expect([definition.id, new Readings(machine, memories).needed(memories)]).toEqual([
        definition.id,
        leastDepth(machine, memories),
      ]);
    }
  });

  // By hand: style a saves on leaving alone. Broken off before, nothing is kept; after it, all is: one reading tells.
  test('a menu that saves on leaving holds all or nothing', () => {
    const machine = machineOf(styleDefinition('a'))!;
    const { steps } = planKeys(machine, new Map(), [
      { code: 'gap', value: 5 },
      { code: 'zip', value: 39 },
    ]);
    const memories = memoriesAfter(machine, new Map(), steps);
    expect(new Readings(machine, memories).needed(memories)).toBe(
      memories.length === 2 ? 1 : Math.ceil(Math.log2(memories.length)),
    );
  });
});
