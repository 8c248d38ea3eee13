import { describe, expect, test } from '@jest/globals';
import { families } from '../../../testing/families.ts';
import { seeded } from '../../../testing/seeded.ts';
import { styleDefinition } from '../../../testing/panels.ts';
import { sameCodeValue, type CodeValues } from '../definitions/index.ts';
import {
  act,
  afterKeying,
  CannotPlan,
  machineOf,
  panelAtRest,
  printValue,
  setsDisplay,
  strokesFor,
  strokesOut,
  type Machine,
  type PanelState,
  type Wish,
} from '../panel/index.ts';
import { everyPanel } from '../../../testing/everyPanel.ts';
import { someWishes } from '../../../testing/wishes.ts';
import { doubtful, memoriesAtPanel, Readings, undecided } from './index.ts';
import { ended, endings, singleStrokes } from './memories.ts';

const seenBy = (machine: Machine, { memory, hand }: PanelState): CodeValues =>
  afterKeying(
    machine,
    memory,
    [...hand].map(([code, value]) => ({ code, value })),
  );

/** A person at the panel, who follows the strokes one code after the other; the interpreter is the panel. */
function person(machine: Machine) {
  let state = panelAtRest(machine, new Map());
  let from: string | null = null;
  return {
    /** Strokes of the next code, or null where none lead there. */
    strokes(wish: Wish) {
      try {
        return strokesFor(machine, seenBy(machine, state), wish, from);
      } catch (error) {
        if (error instanceof CannotPlan) return null;
        throw error;
      }
    },
    key(wish: Wish): void {
      const planned = this.strokes(wish)!;
      for (const step of planned.steps) state = act(machine, state, step).state;
      from = planned.ends;
    },
    press(some: Parameters<typeof singleStrokes>[0]): void {
      for (const stroke of some) state = act(machine, state, stroke).state;
    },
    leave(): void {
      if (from !== null)
        for (const step of strokesOut(machine, seenBy(machine, state), from))
          state = act(machine, state, step).state;
      from = null;
    },
    close(ending: (typeof endings)[number]): void {
      state = panelAtRest(machine, ended(machine, state, ending));
      from = null;
    },
    get memory() {
      return state.memory;
    },
  };
}

const shown = (machine: Machine, memory: CodeValues, code: string) =>
  printValue(machine, panelAtRest(machine, memory), machine.parameters.get(code)!, memory.get(code)!);

describe('a list keyed code by code and broken off', () => {
  // Oracle: the interpreter, which plays the whole visit with what happened in it.
  test('the true memory is always among those told; the readings end at it; what it does not hold is doubtful', () => {
    const random = seeded(2205);
    const count = process.env['BRINE_LONG'] === '1' ? 1000 : everyPanel.length;
    const wrong: string[] = [];
    let tried = 0;
    for (let n = 0; n < count; n += 1) {
      const machine = machineOf(everyPanel[n % everyPanel.length]!)!;
      const wishes = someWishes(machine, random, 3 + Math.floor(random() * 6)).toSorted(
        (a, b) =>
          Number(setsDisplay(machine.parameters.get(b.code)!)) -
          Number(setsDisplay(machine.parameters.get(a.code)!)),
      );
      if (wishes.length < 2) continue;
      const who = person(machine);
      const closesAt = random() < 0.5 ? Math.floor(random() * wishes.length) : -1;
      const done: { code: string; value: Wish['value']; pause: boolean }[] = [];
      for (const [i, wish] of wishes.slice(0, -1).entries()) {
        if (!who.strokes(wish)) continue;
        who.key(wish);
        const pause = i === closesAt || random() < 0.2;
        done.push({ ...wish, pause });
        if (i !== closesAt) continue;
        const how = Math.floor(random() * 3);
        if (how === 2) who.leave();
        else who.close(endings[how]!);
      }
      const under = wishes.at(-1)!;
      const last = who.strokes(under);
      if (!last || done.length === 0) continue;
      tried += 1;
      const strokes = singleStrokes(last.steps);
      who.press(strokes.slice(0, Math.floor(random() * (strokes.length + 1))));
      who.close(endings[Math.floor(random() * 2)]!);
      const truth = who.memory;
      const name = `${n} ${machine.definition.id}`;

      const memories = memoriesAtPanel(machine, { before: new Map(), done, under });
      const holds = (memory: CodeValues) =>
        [...truth].every(([code, value]) => sameCodeValue(memory.get(code)!, value));
      if (!memories.some(({ memory }) => holds(memory))) {
        wrong.push(`${name}: the true memory is not among ${memories.length}`);
        continue;
      }
      const isDoubtful = new Set(doubtful(done, memories));
      for (const { code, value } of done)
        if (!sameCodeValue(truth.get(code)!, value) && !isDoubtful.has(code))
          wrong.push(`${name}: ${code} is taken as sure`);
      let left = memories;
      const readings = new Readings(machine, memories);
      for (let next = readings.next(left); next; next = readings.next(left))
        left = next.shows.get(shown(machine, truth, next.code)) ?? [];
      if (!left.some(({ memory }) => holds(memory))) wrong.push(`${name}: settled on another memory`);
      const open = undecided(left);
      for (const { code, value } of done) {
        const told = sameCodeValue(left[0]!.memory.get(code)!, value);
        if (!open.includes(code) && told !== sameCodeValue(truth.get(code)!, value))
          wrong.push(`${name}: ${code} is told to be ${told ? 'kept' : 'lost'}`);
      }
    }
    expect(wrong.slice(0, 5)).toEqual([]);
    expect(tried).toBeGreaterThan(count / 2);
  });

  // By hand: style a keeps nothing before its menu is left. Without a pause all is kept, or all is lost: one reading tells.
  test('a menu that saves on leaving alone', () => {
    const machine = machineOf(styleDefinition('a'))!;
    const done = [
      { code: 'gap', value: 5, pause: false },
      { code: 'zip', value: 39, pause: false },
    ];
    const memories = memoriesAtPanel(machine, { before: new Map(), done, under: null });
    expect(memories.map(({ memory }) => [memory.get('gap'), memory.get('zip')]).toSorted()).toEqual(
      [['gap', 'zip'].map((code) => panelAtRest(machine).memory.get(code)), [5, 39]].toSorted(),
    );
    expect(new Readings(machine, memories).needed(memories)).toBe(1);
  });

  // By hand: marl-4 takes each value by itself.
  test('a panel that takes each value leaves nothing that was ticked in doubt', () => {
    const machine = machineOf(families.get('marl-4')!)!;
    const done = [
      { code: 'hold', value: -9, pause: true },
      { code: 'gap', value: 4, pause: false },
    ];
    const memories = memoriesAtPanel(machine, { before: new Map(), done, under: { code: 'gap', value: 6 } });
    expect(doubtful([done[0]!], memories)).toEqual([]);
  });
});
