import { typical } from '../../../testing/circuits.ts';
import { convert } from '../../wiring/conversion/index.ts';
import { describe, expect, test } from '@jest/globals';
import { asOneRelayFans } from '../condenserFans/index.ts';
import { plan } from '../plan/index.ts';
import { unitScenario } from '../tuning/index.ts';
import { boxOfScenario, type Scenario } from '../../machines/simulation/index.ts';
import { encode } from '../../controllers/translate/index.ts';
import { settingsOfCodes } from '../../controllers/definitions/index.ts';
import type { SettingValues } from '../../foundation/settings/index.ts';
import { families, family } from '../../../testing/families.ts';
import { plainUnit } from '../../../testing/units.ts';
import { commissioningTests } from './list.ts';
import { groups, judgeValue, type CommissioningTest } from './test.ts';
import { predict, type Predicted } from './predicted.ts';
import { pullDownState } from './pullDown.ts';
import type { CommissioningInput } from './facts.ts';

const freezer = plainUnit('walkInFreezer', { doorContact: true, displayUnit: 'fahrenheit' });
const planned = (unit = freezer) =>
  Object.fromEntries(plan(unit).settings.map((s) => [s.setting, s.value])) as SettingValues;
const inForce = (values: SettingValues, id: string) => {
  const encoded = encode(values, family(id));
  return settingsOfCodes(
    family(id),
    new Map(
      encoded.rows.flatMap((row) => (row.code === null ? [] : [[row.code, row.value as number] as const])),
    ),
    encoded.display,
  );
};
const input = (more: Partial<CommissioningInput> = {}): CommissioningInput => ({
  unit: freezer,
  control: family('skerry-dx'),
  values: planned(),
  circuit: null,
  loads: [
    { role: 'defrostHeater', watts: 1800, volts: 240 },
    { role: 'compressor', amps: 8, volts: 240 },
  ],
  predicted: null,
  display: 'degF',
  ...more,
});
function tests(more: Partial<CommissioningInput> = {}): readonly CommissioningTest[] {
  const list = commissioningTests(input(more));
  if (typeof list === 'string') throw new Error(list);
  return list;
}
const one = (id: string, more: Partial<CommissioningInput> = {}) => tests(more).find((t) => t.id === id);

describe('the test list follows from unit, control and settings', () => {
  test('groups come in the order of the work, ids once', () => {
    const list = tests();
    const order = list.map((t) => groups.indexOf(t.group));
    expect(order).toEqual(order.toSorted((a, b) => a - b));
    expect(new Set(list.map((t) => t.id)).size).toBe(list.length);
    for (const t of list)
      expect([t.id, t.why.length > 10, t.how.length > 0, t.expect.length > 5]).toEqual([
        t.id,
        true,
        true,
        true,
      ]);
  });

  test('no defrost, no door contact, no rest: no such test', () => {
    const tank = plainUnit('chilledWaterTank');
    const ids = tests({
      unit: tank,
      values: {
        'regulation.setpoint': { value: 8, unit: 'degC' },
        'regulation.differential': { value: 1, unit: 'K' },
      },
    }).map((t) => t.id);
    expect(ids.filter((id) => /^(defrost|door|alarms)\.|rest|probes\.coil/.test(id))).toEqual([]);
    expect(ids).toContain('probes.air');
  });

  // Oracle: the settings themselves, and the heater's plate: 1800 W at 240 V is 7.5 A (Ohm's law).
  test('expectations are those of the settings and the plate', () => {
    const values: SettingValues = {
      ...planned(),
      'regulation.setpoint': { value: -5, unit: 'degF' },
      'regulation.differential': { value: 6, unit: 'deltaF' },
      'regulation.differentialPlacement': 'setpointIsCutOut',
      'compressor.minOffTime': { value: 4, unit: 'min' },
      'compressor.onProbeFault': 'stop',
    };
    expect(one('regulation.cutOut', { values })!.expect).toContain('−5 °F');
    expect(one('regulation.cutIn', { values })!.expect).toContain('1 °F');
    expect(one('regulation.rest', { values })).toMatchObject({
      wait: 240,
      expect: expect.stringContaining('4 min'),
    });
    expect(one('probes.air', { values })!.expect).toContain('the compressor stops');
    const heater = one('outputs.defrost', { values })!;
    expect(judgeValue(heater, 7.5)).toBe('passed');
    expect(judgeValue(heater, 5)).toBe('failed');
    expect(heater.caution).toContain('qualified');
    const rest = one('regulation.rest', { values })!;
    expect([judgeValue(rest, 3), judgeValue(rest, 4), judgeValue(rest, 9)]).toEqual([
      'failed',
      'passed',
      'passed',
    ]);
    expect(judgeValue(one('memory.kept')!, 1)).toBeNull();
  });

  test('a box on a rack is asked for the rack’s own protection', () => {
    expect(one('power.rack', { unit: { ...freezer, compressor: 'rackSolenoid' } })).toBeDefined();
    expect(one('power.rack')).toBeUndefined();
  });

  test.each([...families.keys()])('the %s has a list, with what it really does in its own codes', (id) => {
    const list = commissioningTests(
      input({ control: family(id), values: { ...planned(), ...inForce(planned(), id) } }),
    );
    expect(typeof list === 'string' ? list : list.length).toBeGreaterThan(6);
  });

  test('settings that make no control are a sentence', () => {
    expect(commissioningTests(input({ values: {} }))).toEqual(expect.any(String));
  });
});

describe('the pull-down', () => {
  const predicted = predict(freezer, planned());
  if (typeof predicted === 'string') throw new Error(predicted);

  test('the band lies in order, comes down, and reaches cut-out in order', () => {
    const { curve, minutesToCutOut: m } = predicted;
    const middle = curve.filter((p) => p.minutes > 10 && p.minutes < m.quick!);
    expect(middle.length).toBeGreaterThan(3);
    for (const p of middle) {
      expect(p.quick).toBeLessThanOrEqual(p.likely + 0.2);
      expect(p.likely).toBeLessThanOrEqual(p.slow + 0.2);
    }
    expect(m.quick!).toBeLessThan(m.likely!);
    expect(m.likely!).toBeLessThan(m.slow ?? Infinity);
    expect(curve[0]!.likely).toBeCloseTo(predicted.startsAt, 0);
  });

  test('a warmer start takes longer', () => {
    const warm = predict(freezer, planned(), predicted.startsAt + 10) as Predicted;
    expect(warm.minutesToCutOut.likely!).toBeGreaterThan(predicted.minutesToCutOut.likely!);
  });

  test('a box that was learned comes down empty too: quick before likely before slow, and later with a weaker machine', () => {
    const box = boxOfScenario(unitScenario(freezer, planned()) as Scenario);
    const learned = (share: number) =>
      predict({ ...freezer, learned: { capacity: box.capacity * share } }, planned()) as Predicted;
    const { quick, likely, slow } = learned(1).minutesToCutOut;
    expect(quick!).toBeLessThan(likely!);
    expect(likely!).toBeLessThan(slow ?? Infinity);
    expect(learned(0.8).minutesToCutOut.likely!).toBeGreaterThan(likely!);
  });

  test('readings on the likely curve are inside and expect its own time; slower ones say so', () => {
    const p = predicted.curve.find((q) => q.minutes > 0.4 * predicted.minutesToCutOut.likely!)!;
    const on = pullDownState(predicted, [{ minutes: p.minutes, celsius: p.likely }]);
    expect(on.verdict).toBe('inside');
    expect(on.expectedMinutes! / predicted.minutesToCutOut.likely!).toBeCloseTo(1, 1);
    const late = pullDownState(predicted, [{ minutes: 3 * p.minutes, celsius: p.likely }]);
    expect(late.verdict).toBe('slower');
    expect(late.expectedMinutes! / predicted.minutesToCutOut.likely!).toBeCloseTo(3, 0);
    expect(pullDownState(predicted, []).verdict).toBe('none');
  });

  // Oracle: the likely curve itself, stretched by a factor that is known.
  test.each([0.8, 1.3])('readings of a box that takes %s times as long narrow down on its time', (factor) => {
    const likely = predicted.minutesToCutOut.likely!;
    const all = [0.15, 0.3, 0.5, 0.7, 0.9].map((share) => {
      const { minutes, likely: celsius } = predicted.curve.find((p) => p.minutes >= share * likely)!;
      return { minutes: factor * minutes, celsius };
    });
    const said = [1, 3, 5].map((n) => pullDownState(predicted, all.slice(0, n)));
    for (const { expectedMinutes, plusMinus } of said)
      expect(Math.abs(expectedMinutes! - factor * likely)).toBeLessThan(plusMinus!);
    const widths = [pullDownState(predicted, []), ...said].map((s) => s.plusMinus!);
    expect(widths).toEqual(widths.toSorted((a, b) => b - a));
    expect(said.at(-1)!.expectedMinutes! / likely).toBeCloseTo(factor, 1);
  });
});

test('what the planned circuit feeds is what is measured, and an unused second stage is not tried', () => {
  const { circuit } = convert(typical('timer-and-thermostat'), family('skerry-dx'));
  const order = one('power.order', { circuit })!;
  const control = circuit.parts.find((p) => p.kind === 'control');
  if (control?.kind !== 'control') throw new Error('expected a control');
  const volts = Number(/(\d+) V between/.exec(order.how.join(' '))![1]);
  // Oracle: what the control is rated for in the plan, which the solver has to bring to it.
  expect(Math.abs(volts / control.ratedVolts - 1)).toBeLessThan(0.15);
  // Oracle: the heater of the plan, P / V.
  const heater = circuit.parts.find((p) => p.kind === 'load' && p.role === 'defrostHeater');
  if (heater?.kind !== 'load') throw new Error('expected a heater');
  const { least, most } = one('outputs.defrost', { circuit, loads: [] })!.measure!;
  const amps = heater.watts / heater.ratedVolts;
  expect(least!).toBeLessThan(amps);
  expect(most!).toBeGreaterThan(amps);
  expect(most! - least!).toBeLessThan(0.4 * amps);
  expect(one('outputs.stage2', { circuit })).toBeUndefined();
  expect(one('regulation.cutOut')!.how.join(' ')).toContain('coasts on by about 1.8 dF');
});

test('demand, pump-down and a drain pump each bring their own tests, in the order of the work', () => {
  const unit = { ...freezer, drainPump: true, compressor: 'pumpDown' as const };
  const values = {
    ...planned(unit),
    'defrost.initiation': 'demand',
    'alarms.inputAction': 'stop',
    'alarms.inputDelay': { value: 1, unit: 'min' },
  } as SettingValues;
  const list = tests({ unit, values });
  const order = list.map((t) => groups.indexOf(t.group));
  expect(order).toEqual(order.toSorted((a, b) => a - b));
  const ids = list.map((t) => t.id);
  for (const id of ['power.pumpDown', 'defrost.sensorMoved', 'defrost.secondFrost', 'alarms.drainPump'])
    expect(ids).toContain(id);
  const pump = list.find((t) => t.id === 'alarms.drainPump')!;
  expect(pump.expect).toContain('cooling stops');
  // By hand: a delay of a minute is passed at 60 s, not at 30.
  expect([judgeValue(pump, 60), judgeValue(pump, 30)]).toEqual(['passed', 'failed']);
  expect(tests().some((t) => /pumpDown|sensorMoved|drainPump/.test(t.id))).toBe(false);
});

test('fans on one relay are clamped by what the planned circuit draws', () => {
  const unit = plainUnit('condenserFans', {
    goods: 'nothing',
    probes: ['liquid'],
    schools: { fanRegulation: 'onOff' },
  });
  const { circuit } = convert(typical('condenser-fan-cycling'), family('taing-s'));
  const values = inForce(asOneRelayFans(planned(unit), unit, family('taing-s')), 'taing-s');
  const test = one('outputs.compressor', { unit, control: family('taing-s'), values, circuit, loads: [] })!;
  const fans = circuit.parts.filter((p) => p.kind === 'load' && p.role === 'condenserFan');
  expect(fans.length).toBeGreaterThan(0);
  expect(test.title).toBe('Fans on the condenser');
  expect(test.measure).not.toBeNull();
  expect(test.measure!.most!).toBeGreaterThan(0);
});
