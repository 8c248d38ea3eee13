import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { SettingValues } from '../../foundation/settings/index.ts';
import { engineAtRest, type EngineCommand } from './engineState.ts';
import { engineOf } from './engineConfig.ts';
import { tickEngine, type EngineEvent } from './tickEngine.ts';

const values: SettingValues = {
  'regulation.setpoint': { value: 2, unit: 'degC' },
  'regulation.differential': { value: 2, unit: 'K' },
  'regulation.differentialPlacement': 'setpointIsCutOut',
  'compressor.minOnTime': { value: 5, unit: 'min' },
  'compressor.minOffTime': { value: 10, unit: 'min' },
  'transport.runMode': 'continuous',
  'transport.confirmTime': { value: 10, unit: 's' },
  'transport.autoStart': true,
};
function play(
  more: SettingValues,
  seconds: number,
  air: (t: number) => number,
  commands: Readonly<Record<number, readonly EngineCommand[]>> = {},
) {
  const config = engineOf({ ...values, ...more });
  if (typeof config === 'string') throw new Error(config);
  const state = engineAtRest(config.setpoint);
  const events: EngineEvent[] = [];
  for (let t = 0; t < seconds; t += 1)
    tickEngine(config, state, { air: air(t), commands: commands[t] ?? [] }, (e) => events.push(e));
  const of = (kind: EngineEvent['kind']) => events.filter((e) => e.kind === kind);
  return { state, events, of };
}

describe('the engine of a transport unit (rule 10)', () => {
  test('starts 10 s after the last key by itself; without auto start only when it is told to', () => {
    expect(play({}, 60, () => 8).of('engine')).toEqual([
      { t: 10, kind: 'engine', value: true, reason: 'continuous' },
    ]);
    expect(play({}, 60, () => 8, { 7: [{ does: 'key' }] }).of('engine')[0]!.t).toBe(17);
    expect(play({ 'transport.autoStart': false }, 600, () => 8).of('engine')).toEqual([]);
    const told = play({ 'transport.autoStart': false }, 60, () => 8, { 30: [{ does: 'start' }] });
    expect(told.of('engine')[0]!.t).toBe(30);
  });
  test('continuous: never stops, cools above the band, heats below, rests between', () => {
    const { of } = play({}, 1000, (t) => (t < 400 ? 5 : t < 700 ? 2 : -1));
    expect(of('engine')).toHaveLength(1);
    expect(of('action').map((e) => [e.t, e.value])).toEqual([
      [10, 'cool'],
      [400, 'none'],
      [700, 'heat'],
    ]);
  });
  test('start-stop: on demand, at least 5 min on and 10 min off', () => {
    const { of } = play({ 'transport.runMode': 'startStop' }, 3000, (t) => (t < 60 ? 5 : t < 400 ? 1.9 : 5));
    expect(of('engine').map((e) => [e.t, e.value])).toEqual([
      [10, true],
      // The call ended at 60, the least time on at 310.
      [310, false],
      // Called again at 400, rested at 910.
      [910, true],
    ]);
  });
  test('a change counts only once confirmed; otherwise it reverts after 10 s (common practice)', () => {
    const change: EngineCommand = { does: 'setpoint', celsius: 0 };
    const forgotten = play({}, 60, () => 2, { 5: [change] });
    expect(forgotten.state.setpoint).toBe(2);
    expect(forgotten.of('setpoint')).toEqual([
      { t: 15, kind: 'setpoint', value: 2, reason: 'not confirmed' },
    ]);
    const kept = play({}, 60, () => 2, { 5: [change], 12: [{ does: 'confirm' }] });
    expect(kept.state.setpoint).toBe(0);
    const late = play({}, 60, () => 2, { 5: [change], 20: [{ does: 'confirm' }] });
    expect(late.state.setpoint).toBe(2);
    const outside = play({ 'regulation.setpointMin': { value: -1, unit: 'degC' } }, 20, () => 2, {
      5: [{ does: 'setpoint', celsius: -8 }],
    });
    expect(outside.of('refused')).toHaveLength(1);
  });
  test('a shutdown stops the engine until it is cleared, and then it may start at once', () => {
    const { of } = play({ 'transport.runMode': 'startStop' }, 900, () => 8, {
      100: [{ does: 'shutdown', code: '31' }],
      500: [{ does: 'clear' }],
    });
    expect(of('engine').map((e) => [e.t, e.value])).toEqual([
      [10, true],
      [100, false],
      [500, true],
    ]);
  });
  test('whatever the air and the driver do: the least times hold, nothing runs in a shutdown, heat and cold never at once (property)', () => {
    const command: fc.Arbitrary<EngineCommand> = fc.oneof(
      fc.constant<EngineCommand>({ does: 'key' }),
      fc.constant<EngineCommand>({ does: 'confirm' }),
      fc.constant<EngineCommand>({ does: 'clear' }),
      fc.constant<EngineCommand>({ does: 'shutdown', code: '31' }),
      fc
        .double({ min: -5, max: 8, noNaN: true })
        .map((celsius): EngineCommand => ({ does: 'setpoint', celsius })),
    );
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: -6, max: 12, noNaN: true }), { minLength: 10, maxLength: 40 }),
        fc.array(fc.tuple(fc.integer({ min: 0, max: 3000 }), command), { maxLength: 8 }),
        (course, done) => {
          const commands: Record<number, EngineCommand[]> = {};
          for (const [t, one] of done) (commands[t] ??= []).push(one);
          const { events, state } = play(
            { 'transport.runMode': 'startStop' },
            course.length * 90,
            (t) => course[Math.floor(t / 90)]!,
            commands,
          );
          let [on, since, cleared] = [false, -Infinity, -Infinity];
          let shut = false;
          for (const e of events) {
            if (e.kind === 'shutdown') {
              shut = e.value !== '';
              if (!shut) cleared = e.t;
            }
            if (e.kind !== 'engine') continue;
            if (e.value === true) {
              expect(shut).toBe(false);
              if (on === false && since > -Infinity && cleared < since)
                expect(e.t - since).toBeGreaterThanOrEqual(600);
            } else if (e.reason !== 'shutdown') expect(e.t - since).toBeGreaterThanOrEqual(300);
            on = e.value === true;
            since = e.t;
          }
          if (!state.engine) expect(state.action).toBe('none');
        },
      ),
      { seed: 19, numRuns: 120 },
    );
  });
});
