import { describe, expect, test } from '@jest/globals';
import { sameCodeValue } from '../controllers/index.ts';
import { act, machineOf, panelAtRest, planKeys, type PanelState } from '../panel/index.ts';
import { families, family } from '../testing/families.ts';
import { findChangedDrill, setValuesDrill } from './drill.ts';
import { markDrill } from './mark.ts';

/** A fixed sequence that looks like chance (a linear congruence). */
function chanceFrom(seed: number) {
  let state = seed;
  return () => (state = (state * 1103515245 + 12345) % 2147483648) / 2147483648;
}

describe.each([...families.keys()])('%s', (id) => {
  const machine = machineOf(family(id))!;

  test('five values that differ, all keyed in by the planner: passed; one left out: said', () => {
    for (let seed = 1; seed <= 10; seed += 1) {
      const drill = setValuesDrill(machine, chanceFrom(seed));
      expect(drill.goal).toHaveLength(5);
      for (const { code, value } of drill.goal)
        expect(sameCodeValue(drill.begins.get(code)!, value)).toBe(false);
      let state: PanelState = panelAtRest(machine, drill.begins);
      for (const step of planKeys(machine, drill.begins, drill.goal).steps)
        state = act(machine, state, step).state;
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
    for (let seed = 1; seed <= 10; seed += 1) {
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
});

test('values right but the menu still open is not passed', () => {
  const machine = machineOf(family('marl-4'))!;
  const drill = findChangedDrill(machine, chanceFrom(3));
  expect(markDrill(drill, { ...panelAtRest(machine, drill.ends), phase: 'list' })).toMatchObject({
    passed: false,
    atRest: false,
  });
});
