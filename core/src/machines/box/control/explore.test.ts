import { expect, test } from '@jest/globals';
import type { SettingValues } from '../../../foundation/settings/index.ts';
import { plainCooler, units } from '../../../../testing/runs.ts';
import { controlConfig, type ControlConfig } from './config.ts';
import { copyState } from '../../../../testing/copyState.ts';
import { powerUp, type Command, type ControlInputs, type ControlState } from './state.ts';
import { tick } from './tick.ts';

const { c, k, s } = units;

/** Short times, so that everything that can meet meets within a few ticks. */
const crowded: SettingValues = {
  ...plainCooler,
  'compressor.powerOnDelay': s(2),
  'compressor.minOffTime': s(3),
  'compressor.minOnTime': s(2),
  'compressor.minStartInterval': s(4),
  'compressor.callDelay': s(1),
  'compressor.whileDoorOpen': 'stop',
  'compressor.onProbeFault': 'dutyCycle',
  'compressor.faultOnTime': s(1),
  'compressor.faultOffTime': s(1),
  'defrost.initiation': 'interval',
  'defrost.interval': s(6),
  'defrost.maxDuration': s(3),
  'defrost.drainTime': s(2),
  'defrost.termination': 'temperature',
  'defrost.endTemperature': c(8),
  'fans.control': 'controlled',
  'fans.whileCompressorOff': 'cycle',
  'fans.restOnTime': s(1),
  'fans.restOffTime': s(1),
  'fans.whileDoorOpen': 'stop',
  'fans.doorCloseDelay': s(2),
  'fans.doorForcedStart': s(4),
  'fans.restartCoilTemperature': c(-2),
  'fans.delayAfterDrain': s(2),
  'fans.stopCoilTemperature': c(5),
  'fans.coilDifferential': k(2),
  'alarms.reference': 'absolute',
  'alarms.highTemperature': c(5),
  'alarms.delay': s(1),
};

/** What the explorer itself knows of the past, apart from the machine. */
interface Node {
  readonly state: ControlState;
  readonly sinceStop: number;
  readonly sinceStart: number;
  readonly sinceReady: number;
}

const FAR = 9;
const near = (seconds: number) => Math.min(seconds, FAR);

/** Two nodes that will behave alike from here have one key: times count only by how long ago they were, up to what any setting asks. */
function keyOf({ state, sinceStop, sinceStart, sinceReady }: Node): string {
  const ago = (at: number) => (at < 0 ? -1 : near(state.t - at));
  const { out, causes, air, coil } = state;
  return [
    state.standby,
    state.demand,
    state.call,
    state.phase,
    state.fanWaits,
    state.coilTooWarm,
    state.doorForced,
    state.airFailedAt >= 0 && air.failed,
    out.compressor,
    out.defrost,
    out.fan,
    out.alarm,
    causes.high,
    causes.airProbe,
    causes.coilProbe,
    air.value,
    coil.value,
    ago(state.readySince),
    air.failed ? (state.t - state.airFailedAt) % 2 : 0,
    ago(state.callBegan),
    ago(state.phaseBegan),
    ago(state.drainEnded),
    ago(state.lastDefrostStart),
    ago(state.lastStart),
    ago(state.lastStop),
    state.lastStop < 0 ? state.t % 2 : (state.t - state.lastStop) % 2,
    ago(state.doorOpenedAt),
    ago(state.doorShutAt),
    ago(state.highSince),
    near(state.t),
    near(sinceStop),
    near(sinceStart),
    near(sinceReady),
  ].join();
}

const commands: readonly (readonly Command[])[] = [
  [],
  [{ does: 'startDefrost' }],
  [{ does: 'standbyOn' }],
  [{ does: 'standbyOff' }],
];
const inputs: readonly ControlInputs[] = [0, 3, 6, Number.NaN].flatMap((air) =>
  [-10, 9, Number.NaN].flatMap((coil) =>
    [false, true].flatMap((doorOpen) =>
      commands.map((list) => ({
        air,
        coil,
        coil2: null,
        doorOpen,
        alarmInput: false,
        timeOfDay: 0,
        commands: list,
      })),
    ),
  ),
);

/** Rules every reachable state must keep, written from docs/control.md without the machine's own helpers. */
function wrongWith(config: ControlConfig, before: Node, after: Node, given: ControlInputs): string | null {
  const { out, phase, standby, t } = after.state;
  const was = before.state.out;
  if (config.defrost.method === 'electric' && out.compressor && out.defrost)
    return 'heater and compressor together';
  if (out.defrost && phase !== 'defrost') return 'heater on outside the defrost';
  if (standby && (out.compressor || out.defrost || out.fan || out.stage2)) return 'an output on in standby';
  if (phase === 'drain' && out.compressor) return 'compressor on in the drain';
  if (out.fan && phase !== 'regulate') return 'fan on in defrost or drain';
  const openFor = given.doorOpen ? t - 1 - after.state.doorOpenedAt : 0;
  const shutByDoor = given.doorOpen && openFor < 4;
  if (shutByDoor && (out.fan || out.compressor)) return 'an output on at the open door';
  if (!was.compressor && out.compressor) {
    if (before.sinceStop < 3) return `rest of 3 forgotten: started after ${before.sinceStop}`;
    if (before.sinceStart < 4) return `start interval of 4 forgotten: ${before.sinceStart}`;
    if (before.sinceReady < 2) return `start-up delay of 2 forgotten: ${before.sinceReady}`;
  }
  const atOnce = standby || shutByDoor || phase !== 'regulate';
  if (was.compressor && !out.compressor && !atOnce && before.sinceStart < 2)
    return `shortest run of 2 broken: ${before.sinceStart}`;
  for (const [name, value] of Object.entries(after.state))
    if (typeof value === 'number' && name !== 'setpoint' && (value < -1 || value > t))
      return `${name} is ${value} at ${t}`;
  return null;
}

test.each(['electric', 'offCycle', 'hotGas'] as const)(
  'every state reachable under %s defrost keeps the rules (breadth first, short times)',
  (method) => {
    const config = controlConfig({ ...crowded, 'defrost.method': method }) as ControlConfig;
    const first: Node = {
      state: powerUp(config.setpoint),
      sinceStop: Infinity,
      sinceStart: Infinity,
      sinceReady: 0,
    };
    const seen = new Set([keyOf(first)]);
    let frontier = [first];
    let ticks = 0;
    while (frontier.length > 0 && seen.size < 12_000) {
      const next: Node[] = [];
      for (const before of frontier)
        for (const given of inputs) {
          if (seen.size >= 12_000) break;
          const state = copyState(before.state);
          const leaves = before.state.standby && given.commands[0]?.does === 'standbyOff';
          const known = leaves ? { ...before, sinceReady: 0 } : before;
          tick(config, state, given, () => undefined);
          ticks += 1;
          const started = state.out.compressor && !before.state.out.compressor;
          const stopped = !state.out.compressor && before.state.out.compressor;
          const after: Node = {
            state,
            sinceStop: stopped ? 1 : known.sinceStop + 1,
            sinceStart: started ? 1 : known.sinceStart + 1,
            sinceReady: known.sinceReady + 1,
          };
          const wrong = wrongWith(config, known, after, given);
          if (wrong !== null)
            throw new Error(`${wrong}\nafter ${JSON.stringify(given)}\nin ${keyOf(before)}`);
          const key = keyOf(after);
          if (seen.has(key)) continue;
          seen.add(key);
          next.push(after);
        }
      frontier = next;
    }
    // The walk went somewhere: thousands of states, each phase among them.
    expect(seen.size).toBeGreaterThan(5_000);
    expect(ticks).toBeGreaterThan(seen.size);
    for (const phase of ['regulate', 'defrost', 'drain'])
      expect([...seen].some((key) => key.includes(`,${phase},`))).toBe(true);
  },
);

test('the same settings, state and inputs give the same; a copy goes its own way', () => {
  const config = controlConfig(crowded) as ControlConfig;
  const one = powerUp(config.setpoint);
  for (const given of inputs) tick(config, one, given, () => undefined);
  const two = copyState(one);
  const kept = JSON.stringify(two);
  tick(config, one, inputs[5]!, () => undefined);
  expect(JSON.stringify(two)).toBe(kept);
  tick(config, two, inputs[5]!, () => undefined);
  expect(JSON.stringify(two)).toBe(JSON.stringify(one));
});
