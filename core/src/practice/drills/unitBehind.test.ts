import { describe, expect, test } from '@jest/globals';
import { controlConfig } from '../../machines/box/index.ts';
import { settingsOfCodes } from '../../controllers/definitions/index.ts';
import {
  act,
  machineOf,
  panelAtRest,
  planDeed,
  planKeys,
  type PanelState,
} from '../../controllers/panel/index.ts';
import { families, family } from '../../../testing/families.ts';
import { alarmCodeOf } from '../../controllers/alarmCodes/index.ts';
import { makeWarm, warmCauses, whyWarmDrill } from './drills/whyWarm.ts';
import { unitBehind } from './unitBehind.ts';

const chanceFrom = (seed: number) => {
  let state = seed;
  return () => (state = (state * 1103515245 + 12345) % 2147483648) / 2147483648;
};
const airControls = [...families.keys()].filter(
  (id) => unitBehind(family(id), panelAtRest(machineOf(family(id))!)) !== null,
);
const machine = machineOf(family('marl-4'))!;
const done = (state: PanelState, steps: readonly object[]) =>
  steps.reduce<PanelState>((standing, step) => act(machine, standing, step as never).state, state);

test('controls that regulate air have a box behind them; a heat meter and a rack of condenser fans have none', () => {
  expect(airControls).toContain('marl-4');
  expect(airControls).not.toContain('sluice-h');
  expect(airControls).not.toContain('firth-rack');
  expect(airControls.length).toBeGreaterThanOrEqual(9);
});

describe('a panel with a unit behind it', () => {
  test('a defrost begun by its keys runs on the unit, is shown as the condition, and ends by itself', () => {
    let state = panelAtRest(machine);
    const unit = unitBehind(machine.definition, state)!;
    state = unit.pass(state, 4 * 3600);
    // Between its own defrosts.
    while (state.condition.defrost) state = unit.pass(state, 60);
    state = done(state, planDeed(machine, state.memory, 'startDefrost', { condition: state.condition }));
    state = unit.pass(state, 5);
    expect(state.condition.defrost).toBe(true);
    expect(unit.outputs.defrost).toBe(true);
    expect(unit.outputs.compressor).toBe(false);
    for (let i = 0; i < 120 && state.condition.defrost; i += 1) state = unit.pass(state, 60);
    expect(state.condition.defrost).toBe(false);
  });

  test('a set point keyed in moves the air (oracle: the box goes where the control sends it)', () => {
    let state = panelAtRest(machine);
    const unit = unitBehind(machine.definition, state)!;
    state = unit.pass(state, 2 * 3600);
    const before = unit.atTheUnit.air;
    const code = machine.definition.parameters.find((p) => p.setting === 'regulation.setpoint')!.code;
    const lower = Number(state.memory.get(code)) - 6;
    state = done(state, planKeys(machine, state.memory, [{ code, value: lower }]).steps);
    expect(state.memory.get(code)).toBe(lower);
    state = unit.pass(state, 5 * 3600);
    expect(unit.atTheUnit.air).toBeLessThan(before - 1);
  });

  test('the reading stands in the unit of the display, and a failed probe shows dashes and its alarm code', () => {
    const state = panelAtRest(machine);
    const fault = [{ kind: 'airProbeOpen' as const, from: 600, to: 1e9, amount: null }];
    const unit = unitBehind(machine.definition, state, fault)!;
    let now = unit.pass(state, 300);
    expect(unit.reading()).toMatch(/^[−-]?\d+(\.\d)?$/);
    now = unit.pass(now, 400);
    expect(unit.reading()).toBe('---');
    expect(now.condition.alarms).toContain(alarmCodeOf(machine.definition, 'airProbe'));
  });
});

test('alarm codes by what the booklet says of them', () => {
  expect(alarmCodeOf(family('marl-4'), 'high')).toBe('hot');
  expect(alarmCodeOf(family('marl-4'), 'coilProbe')).toBe('coil');
  expect(alarmCodeOf(family('gault-p'), 'low')).toBe('A1');
  expect(alarmCodeOf(family('gault-p'), 'airProbe')).toBe('A2');
  expect(alarmCodeOf(family('corrie-haul'), 'low')).toBe('14');
  expect(alarmCodeOf(family('skerry-dx'), 'door')).toBe('D-0');
  expect(alarmCodeOf(family('brae-c'), 'coilProbe')).toBeNull();
});

describe('find why it does not cool', () => {
  test.each(airControls)('%s: a box that is warmer than it should be, with its cause among five', (id) => {
    const panel = machineOf(family(id))!;
    const drill = whyWarmDrill(panel, chanceFrom(7))!;
    expect(drill).not.toBeNull();
    expect(drill.options).toHaveLength(5);
    expect(drill.options).toContain(drill.cause);
    expect(new Set(drill.options.map((o) => o.id)).size).toBe(5);
    expect(drill.unit.atTheUnit.air).toBeGreaterThan(drill.belongsAt + 2.9);
  });

  test('each cause warms a freezer and shows as it is said to', () => {
    const sound = panelAtRest(machine);
    const values = settingsOfCodes(machine.definition, sound.memory);
    expect(typeof controlConfig(values)).toBe('object');
    const warm = new Map(warmCauses.map((cause) => [cause.id, makeWarm(machine, sound, values, cause)]));
    expect(warm.get('deadCompressor')!.unit.outputs.compressor).toBe(true);
    expect(warm.get('deadCompressor')!.unit.atTheUnit.compressor).toBe(false);
    expect(warm.get('probeOpen')?.unit.reading() ?? '---').toBe('---');
    expect(warm.get('doorOpen')!.unit.atTheUnit.doorOpen).toBe(true);
    // Somebody who turned it up left everything running as it should.
    const turned = warm.get('setWarm');
    if (turned) expect(turned.state.memory).not.toEqual(sound.memory);
  });
});
