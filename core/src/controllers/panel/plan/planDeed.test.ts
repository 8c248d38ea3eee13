import { describe, expect, test } from '@jest/globals';
import { families, family } from '../../../../testing/families.ts';
import { atEase, deedApplies, readyFor } from '../condition.ts';
import { act, panelAtRest } from '../interpreter.ts';
import { machineOf, type PanelState } from '../machine.ts';
import { deedWords } from '../words/deedWords.ts';
import { planDeed } from './planDeed.ts';
import type { PlanStep } from './walker.ts';

const deeds = [...families.values()].flatMap((definition) =>
  (machineOf(definition)?.panel.deeds ?? []).map((deed) => [definition.id, deed.does] as const),
);

function run(id: string, state: PanelState, steps: readonly PlanStep[]): PanelState {
  return steps.reduce((standing, step) => act(machineOf(family(id))!, standing, step).state, state);
}

describe('every deed of every family', () => {
  test.each(deeds)('%s: %s is done, shows what it says, and changes no value', (id, does) => {
    const machine = machineOf(family(id))!;
    let state = panelAtRest(machine, new Map(), readyFor(does));
    const before = new Map(state.memory);
    let shown = '';
    for (const step of planDeed(machine, new Map(), does))
      ({ state, shows: shown } = act(machine, state, step));
    expect(state.deeds).toEqual([does]);
    expect(shown).toBe(machine.panel.deeds!.find((d) => d.does === does)!.shows);
    expect(state.memory).toEqual(before);
  });

  test.each([...families.keys()])('%s has deeds, and alarm codes with first checks', (id) => {
    expect(machineOf(family(id))!.panel.deeds!.length).toBeGreaterThan(0);
    for (const alarm of family(id).alarmCodes!) expect(alarm.firstChecks.length).toBeGreaterThan(0);
  });
});

describe('the condition a deed leaves', () => {
  test('a defrost is started once, and stopped by the same key', () => {
    const machine = machineOf(family('marl-4'))!;
    let state = panelAtRest(machine);
    state = run('marl-4', state, planDeed(machine, new Map(), 'startDefrost'));
    expect(state.condition.defrost).toBe(true);
    expect(deedApplies('startDefrost', state.condition)).toBe(false);
    state = act(machine, state, { action: 'hold', keys: ['up'], seconds: 4 }).state;
    expect(state.deeds).toEqual(['startDefrost', 'stopDefrost']);
    expect(state.condition.defrost).toBe(false);
  });

  test('a locked panel opens no menu, still shows its probe, and opens again after unlocking', () => {
    const machine = machineOf(family('skerry-dx'))!;
    const enter = { action: 'hold', keys: ['menu'], seconds: 4 } as const;
    let state = run('skerry-dx', panelAtRest(machine), planDeed(machine, new Map(), 'lock'));
    expect(act(machine, state, enter).state.phase).toBe('rest');
    state = act(machine, state, { action: 'press', keys: ['down'] }).state;
    expect(state.deeds.at(-1)).toBe('showCoil');
    state = run('skerry-dx', state, planDeed(machine, new Map(), 'unlock', { condition: state.condition }));
    expect(act(machine, state, enter).state.phase).toBe('list');
  });

  test('alarms are paged one by one until none is left, and the one on display is cleared', () => {
    const machine = machineOf(family('corrie-haul'))!;
    const condition = { ...atEase, alarms: ['14', '24', '40'] };
    expect(planDeed(machine, new Map(), 'showAlarms', { condition }).map((s) => s.shows)).toEqual([
      '14',
      '24',
      '40',
      '-00-',
    ]);
    const steps = planDeed(machine, new Map(), 'clearAlarm', { condition, alarm: '24' });
    expect(steps.map((s) => s.shows)).toEqual(['14', '24', 'CLEAr']);
    const state = run('corrie-haul', panelAtRest(machine, new Map(), condition), steps);
    expect(state.condition.alarms).toEqual(['14', '40']);
    expect(() => planDeed(machine, new Map(), 'clearAlarm', { condition, alarm: '99' })).toThrow(
      'clearAlarm: the alarm 99 does not stand',
    );
  });

  test('another act ends the paging: it begins with the first again', () => {
    const machine = machineOf(family('corrie-haul'))!;
    let state = panelAtRest(machine, new Map(), { ...atEase, alarms: ['14', '24'] });
    const page = () => (state = act(machine, state, { action: 'press', keys: ['codes'] }).state).message;
    expect(page()).toBe('14');
    state = act(machine, state, { action: 'press', keys: ['down'] }).state;
    expect(page()).toBe('14');
    expect(page()).toBe('24');
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
    'showHours: this panel has no such direct action; it has startDefrost, showCoil, silence',
  );
});
