import { describe, expect, test } from '@jest/globals';
import { sameCodeValue } from '../../controllers/definitions/index.ts';
import {
  act,
  machineOf,
  panelAtRest,
  planKeys,
  type Machine,
  type PanelState,
} from '../../controllers/panel/index.ts';
import { families, family } from '../../../testing/families.ts';
import { bestWay, countStrokes, nextHint } from './bestWay.ts';
import type { Drill } from './drill.ts';
import { findChangedDrill } from './drills/findChanged.ts';
import { setValuesDrill } from './drills/setValues.ts';
import { afterClearing, markDrill, type Notebook } from './mark.ts';
import { drillsOf, makeDrill } from './offered.ts';

/** A fixed sequence that looks like chance (a linear congruence). */
function chanceFrom(seed: number) {
  let state = seed;
  return () => (state = (state * 1103515245 + 12345) % 2147483648) / 2147483648;
}

const begun = (machine: Machine, drill: Drill) => panelAtRest(machine, drill.begins, drill.condition);
const run = (machine: Machine, state: PanelState, steps: readonly { action: string }[]) =>
  steps.reduce((standing, step) => act(machine, standing, step as never).state, state);
/** A notebook in which everything that stood is written before anything is cleared. */
const diligent = (drill: Drill): Notebook => ({ written: drill.condition.alarms, lost: [] });

describe.each([...families.keys()])('%s', (id) => {
  const machine = machineOf(family(id))!;

  test('five values that differ, all keyed in by the planner: passed; one left out: said', () => {
    for (let seed = 1; seed <= 5; seed += 1) {
      const drill = setValuesDrill(machine, chanceFrom(seed));
      expect(drill.goal).toHaveLength(5);
      for (const { code, value } of drill.goal)
        expect(sameCodeValue(drill.begins.get(code)!, value)).toBe(false);
      const state = run(machine, begun(machine, drill), planKeys(machine, drill.begins, drill.goal).steps);
      expect(markDrill(drill, state)).toMatchObject({ passed: true, wrong: [], atRest: true });
      const missing = {
        ...state,
        memory: new Map(state.memory).set(drill.goal[0]!.code, drill.begins.get(drill.goal[0]!.code)!),
      };
      expect(markDrill(drill, missing)).toMatchObject({
        passed: false,
        wrong: [{ code: drill.goal[0]!.code, wanted: drill.goal[0]!.value }],
      });
    }
  });

  test('one value was changed, and the sheet does not say which', () => {
    for (let seed = 1; seed <= 5; seed += 1) {
      const drill = findChangedDrill(machine, chanceFrom(seed));
      const changed = [...drill.ends].filter(
        ([code, value]) => !sameCodeValue(drill.begins.get(code)!, value),
      );
      expect(changed).toHaveLength(1);
      expect(drill.goal.length).toBeGreaterThan(5);
      expect(markDrill(drill, panelAtRest(machine, drill.begins)).wrong.map((w) => w.code)).toEqual([
        changed[0]![0],
      ]);
      expect(markDrill(drill, panelAtRest(machine, drill.ends)).passed).toBe(true);
    }
  });

  test.each(drillsOf(machine))(
    '%s: not passed as it begins, passed by its best way and by its hints alone',
    (kind) => {
      for (let seed = 1; seed <= 5; seed += 1) {
        const drill = makeDrill(machine, kind, chanceFrom(seed));
        expect(markDrill(drill, begun(machine, drill)).passed).toBe(false);
        const way = bestWay(machine, drill);
        expect(countStrokes(way)).toBeGreaterThan(0);
        expect(markDrill(drill, run(machine, begun(machine, drill), way), diligent(drill))).toMatchObject({
          passed: true,
          faults: [],
        });
        let state = begun(machine, drill);
        let notebook: Notebook = { written: [], lost: [] };
        for (let hints = 0; hints < 60; hints += 1) {
          const hint = nextHint(machine, drill, state, notebook);
          if ('say' in hint) {
            if (!hint.say.startsWith('Write down')) break;
            notebook = { ...notebook, written: [...notebook.written, state.condition.page!] };
            continue;
          }
          const before = state.condition;
          state = run(machine, state, hint.steps);
          notebook = afterClearing(before, state.condition, notebook);
        }
        expect(markDrill(drill, state, notebook)).toMatchObject({ passed: true, wrong: [], faults: [] });
      }
    },
  );
});

test('every drill is offered by some family', () => {
  const offered = new Set([...families.values()].flatMap((f) => drillsOf(machineOf(f)!)));
  expect([...offered].sort()).toEqual(['clearAlarms', 'deeds', 'findChanged', 'restoreLocked', 'setValues']);
});

describe('marked by what is stored at the end', () => {
  test('values right but the menu still open is not passed', () => {
    const machine = machineOf(family('marl-4'))!;
    const drill = findChangedDrill(machine, chanceFrom(3));
    expect(markDrill(drill, { ...panelAtRest(machine, drill.ends), phase: 'list' })).toMatchObject({
      passed: false,
      atRest: false,
    });
  });

  test('a control that was found locked must be locked again', () => {
    const machine = machineOf(family('skerry-dx'))!;
    const drill = makeDrill(machine, 'restoreLocked', chanceFrom(4));
    expect(drill.condition.locked).toBe(true);
    expect(markDrill(drill, panelAtRest(machine, drill.ends)).faults).toEqual([
      'The keys are not locked again.',
    ]);
  });

  test('an alarm cleared before it was written down is told', () => {
    const machine = machineOf(family('corrie-haul'))!;
    const drill = makeDrill(machine, 'clearAlarms', chanceFrom(2));
    const [first, ...others] = drill.condition.alarms;
    const before = begun(machine, drill);
    const after = act(machine, before, { action: 'hold', keys: ['codes'], seconds: 5 }).state;
    const notebook = afterClearing(before.condition, after.condition, { written: [], lost: [] });
    expect(notebook.lost).toEqual([first]);
    expect(markDrill(drill, after, { ...notebook, written: ['99'] }).faults).toEqual([
      ...others.map((code) => `Alarm ${code} still stands.`),
      `Alarm ${first} was cleared before it was written down.`,
      ...others.map((code) => `Alarm ${code} was not written down.`),
      '99 was written down, but no such alarm stood.',
    ]);
  });

  test('deeds out of order, and one nobody asked for', () => {
    const machine = machineOf(family('corrie-haul'))!;
    const drill: Drill = {
      ...makeDrill(machine, 'deeds', chanceFrom(1)),
      deeds: ['startDefrost', 'showCoil'],
    };
    const state = { ...panelAtRest(machine, drill.ends), deeds: ['showCoil', 'standbyOn', 'startDefrost'] };
    expect(markDrill(drill, state).faults).toEqual([
      'Not done, or not in this order: show the coil probe.',
      'Nobody asked for this: switch to standby.',
    ]);
  });
});
