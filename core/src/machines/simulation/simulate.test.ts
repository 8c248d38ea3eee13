import { describe, expect, test } from '@jest/globals';
import { readFileSync } from 'node:fs';
import { controlConfig, powerUp, tick, type ControlConfig } from '../box/index.ts';
import { isFileProblem } from '../../foundation/files/index.ts';
import { stepFirstOrder } from '../../../testing/firstOrder.ts';
import { templateIds, templates, type TemplateId } from '../box/index.ts';
import { units } from '../../../testing/runs.ts';
import { readScenario, type Scenario } from './scenario.ts';
import { simulate, type Simulated } from './simulate.ts';

const { c, k, s } = units;
const freezer = JSON.parse(
  readFileSync(
    new URL('../../../../docs/formats/examples/fish-freezer.scenario.json', import.meta.url),
    'utf8',
  ),
) as Record<string, unknown> & { settings: object; plant: object };
const scenario = (change: object = {}, settings: object = {}, plant: object = {}): Scenario => {
  const read = readScenario({
    ...freezer,
    ...change,
    settings: { ...freezer.settings, ...settings },
    plant: { ...freezer.plant, ...plant },
  });
  if (isFileProblem(read)) throw new Error(`${read.field}: ${read.message}`);
  return read;
};
const run = (of: Scenario): Simulated => simulate(of)!;

/** A control on a plant of the test's own, ticked for a while: the mean of its cycles, the first two left out. */
function cycles(
  band: readonly [number, number],
  minOff: number,
  step: (running: boolean) => number,
  first: number,
  seconds: number,
) {
  const config = controlConfig({
    'regulation.setpoint': c(band[0]),
    'regulation.differential': k(band[1] - band[0]),
    'compressor.minOffTime': s(minOff),
  }) as ControlConfig;
  const state = powerUp(config.setpoint);
  const starts: number[] = [];
  let reading = first;
  let [least, most] = [Infinity, -Infinity];
  for (let t = 0; t < seconds; t += 1) {
    const before = state.out.compressor;
    tick(
      config,
      state,
      {
        air: reading,
        coil: null,
        coil2: null,
        doorOpen: false,
        alarmInput: false,
        timeOfDay: 0,
        commands: [],
      },
      () => undefined,
    );
    if (state.out.compressor && !before) starts.push(t);
    reading = step(state.out.compressor);
    if (starts.length > 3) {
      least = Math.min(least, reading);
      most = Math.max(most, reading);
    }
  }
  const used = starts.slice(2);
  return { period: (used.at(-1)! - used[0]!) / (used.length - 1), least, most };
}

describe('on/off cycles of a first-order plant (oracle: closed form τ·ln…; tolerance: a tick at either end, and taking it back)', () => {
  test.each([
    // Ta, running towards, τ, cut-out, cut-in, period: t_on = τ·ln((Thi−Ton)/(Tlo−Ton)), t_off = τ·ln((Ta−Tlo)/(Ta−Thi)).
    [20, -10, 3600, 4, 6],
    [12, -20, 3600, 2, 4],
    [32, -2, 3600, 2, 4],
    [25, -35, 7200, -20, -18],
    [25, -35, 7200, -18.5, -18],
  ])('ambient %d, %d while running, τ %d s: %d to %d °C', (ambient, running, tau, low, high) => {
    const on = tau * Math.log((high - running) / (low - running));
    const off = tau * Math.log((ambient - low) / (ambient - high));
    let temperature = high;
    const plant = { tau, running, resting: ambient };
    const { period } = cycles(
      [low, high],
      0,
      (runs) => (temperature = stepFirstOrder(plant, temperature, runs, 1)),
      high,
      60_000,
    );
    // Each limit is seen up to a tick late, and what was overshot has to be taken back at the other slope.
    const late = 2 + (ambient - high) / (high - running) + (low - running) / (ambient - low);
    expect(Math.abs(period - on - off)).toBeLessThan(late);
  });
});

describe('second order with a lag of the coil (oracle: published references, as a forward Euler at 1 s gives them)', () => {
  // τ dT/dt = Ta − T − ΔT·q; τc dq/dt = u − q; S4 adds a sensor lag. Columns: Ta, τ, ΔT, τc, lag, cut-out, cut-in, rest, period, min, max.
  test.each([
    ['S1 cooler', 25, 3600, 50, 120, 0, 2, 4, 0, 1040.8, 1.71032, 4.17372],
    ['S2 freezer', 25, 7200, 70, 300, 0, -20, -18, 0, 2005.1, -20.20102, -17.42866],
    ['S3 display case', 22, 900, 36, 60, 0, 2.5, 3.5, 0, 300, 2.26173, 3.79932],
    ['S4 sensor lag', 25, 3600, 50, 120, 90, 2, 4, 0, 1382, 1.06755, 4.68534],
    ['S5 rest of 180 s binds', 22, 900, 36, 60, 0, 2.5, 3.5, 180, 373.8, 2.22162, 4.43534],
    ['S6 rest of 240 s binds', 32, 900, 60, 60, 0, 2.5, 3.5, 240, 446, 1.92613, 6.70371],
  ])('%s', (_, ambient, tau, drop, tauCoil, lag, low, high, rest, period, min, max) => {
    let [air, q, sensor] = [high, 0, high];
    let [least, most] = [Infinity, -Infinity];
    let ticks = 0;
    const result = cycles(
      [low, high],
      rest,
      (runs) => {
        const dAir = (ambient - air - drop * q) / tau;
        const dq = ((runs ? 1 : 0) - q) / tauCoil;
        const dSensor = lag > 0 ? (air - sensor) / lag : 0;
        air += dAir;
        q += dq;
        sensor = lag > 0 ? sensor + dSensor : air;
        ticks += 1;
        if (ticks > 8000) [least, most] = [Math.min(least, air), Math.max(most, air)];
        return sensor;
      },
      high,
      40_000,
    );
    // The mean over other cycles than the reference's ten may differ by a tick or two; extremes by what the air moves in a tick.
    expect(Math.abs(result.period - period)).toBeLessThan(2);
    expect(Math.abs(least - min)).toBeLessThan(0.03);
    expect(Math.abs(most - max)).toBeLessThan(0.04);
  });
});

/** Settings that suit a template, plain and quiet. */
function suited(id: TemplateId): object {
  const { inside, defrost } = templates[id];
  if (inside > 40) return { 'regulation.action': 'heat', 'defrost.method': 'none' };
  if (defrost === 'electric') return {};
  return {
    'defrost.method': 'offCycle',
    'defrost.endTemperature': c(inside + 3),
    'fans.whileCompressorOff': 'run',
    'fans.whileDefrost': 'run',
    'defrost.drainTime': s(0),
  };
}

// A tank of water has a plant of its own: machines/tank.
describe.each(templateIds.filter((id) => id !== 'chilledWaterTank'))('%s at its design ambient', (id) => {
  const { inside, defrost, ambient } = templates[id];
  const of = scenario(
    { plant: { template: id }, hours: 24 },
    { ...suited(id), 'regulation.setpoint': c(inside > 40 ? inside + 1 : inside - 1) },
    { template: id, ambient: c(ambient), humidityPercent: templates[id].humidity * 100 },
  );
  const { figures, series } = simulate(of, { sampleEvery: 60 })!;

  test('duty between 40 and 75 %, the air where the band is', () => {
    expect(figures.dutyPercent).toBeGreaterThan(40);
    expect(figures.dutyPercent).toBeLessThan(75);
    expect(figures.air.mean).toBeGreaterThan(inside - 2);
    expect(figures.air.mean).toBeLessThan(inside + 2.5);
    expect(figures.iceGrown).toBeLessThan(0.05);
  });

  if (inside < 40)
    test('air to coil between 4 and 12 K while it runs', () => {
      const running = series.filter((s) => s.compressor && s.phase === 'regulate');
      const difference = running.reduce((sum, s) => sum + s.air - s.coil, 0) / running.length;
      expect(difference).toBeGreaterThan(4);
      expect(difference).toBeLessThan(12);
    });

  if (defrost === 'electric')
    test('every defrost ends by temperature, within 8 to 30 min', () => {
      expect(figures.defrosts.temperature).toBe(4);
      expect(figures.defrosts.time).toBe(0);
      expect(figures.longestDefrostMinutes).toBeGreaterThan(8);
      expect(figures.longestDefrostMinutes).toBeLessThan(30);
    });
});

describe('the demo freezer', () => {
  const days = { hours: 72, warmUpHours: 24 };

  test('ending its defrost at 4 °C leaves ice that grows from day to day, at 13 °C none', () => {
    const early = run(scenario(days, { 'defrost.endTemperature': c(4) })).figures;
    const late = run(scenario(days)).figures;
    expect(early.iceGrown).toBeGreaterThan(0.1);
    expect(early.iceLeftAfterDefrost).toBeGreaterThan(0.2);
    expect(late.iceLeftAfterDefrost).toBeLessThan(0.01);
    expect(Math.abs(late.iceGrown)).toBeLessThan(0.05);
  });

  test('a drain too short leaves water on the coil, a longer one less', () => {
    const left = (seconds: number) =>
      run(scenario({ hours: 24 }, { 'defrost.drainTime': s(seconds) })).figures.waterLeftAfterDrain!;
    expect(left(60)).toBeGreaterThan(2 * left(300));
  });

  test('a defrost on demand comes earlier on a humid, busy day', () => {
    const onDemand = {
      'defrost.initiation': 'demand',
      'defrost.interval': s(0),
      'defrost.demandTemperatureDifference': k(2.5),
    };
    const firstDefrost = (change: object, plant: object) =>
      run(scenario({ hours: 48, warmUpHours: 0, ...change }, onDemand, plant)).events.find(
        (e) => e.kind === 'phase' && e.value === 'defrost',
      )?.t ?? Infinity;
    const humid = firstDefrost({ doorUse: 'busy' }, { humidityPercent: 80 });
    const dry = firstDefrost({ doorUse: 'seldom' }, { humidityPercent: 35 });
    expect(humid).toBeLessThan(Infinity);
    expect(humid).toBeLessThan(dry);
  });
});

describe('what if', () => {
  const hour = 3600;

  test('a dead heater: defrosts end by time, ice stays', () => {
    const { figures } = run(scenario({ hours: 48, faults: [{ kind: 'deadHeater', from: 0 }] }));
    expect(figures.defrosts.temperature).toBe(0);
    expect(figures.defrosts.time).toBeGreaterThan(5);
    expect(figures.iceGrown).toBeGreaterThan(0.3);
  });

  test('a probe open at 02:00 raises its alarm, and the box drifts as the choice says', () => {
    const faults = [{ kind: 'airProbeOpen', from: 20 * hour, to: 24 * hour }];
    const ends = (choice: string) => {
      const result = simulate(scenario({ hours: 24, faults }, { 'compressor.onProbeFault': choice }), {
        sampleEvery: 1800,
      })!;
      return { alarms: result.figures.alarms['airProbe'], air: result.series.at(-1)!.air };
    };
    const [stopped, runs] = [ends('stop'), ends('run')];
    expect([stopped.alarms, runs.alarms]).toEqual([1, 1]);
    expect(stopped.air).toBeGreaterThan(-17);
    expect(runs.air).toBeLessThan(-23);
  });

  test('a power cut at noon: the control starts anew, with a defrost where it is told to', () => {
    const faults = [{ kind: 'powerCut', from: 6 * hour, to: 7 * hour }];
    const starts = (atPowerOn: boolean) =>
      run(scenario({ hours: 8, faults }, { 'defrost.atPowerOn': atPowerOn })).events.filter(
        (e) => e.kind === 'phase' && e.value === 'defrost' && e.reason === 'atPowerOn',
      ).length;
    expect([starts(false), starts(true)]).toEqual([0, 1]);
  });

  test('across a power cut events keep the run’s time, and every output that was on goes off', () => {
    const { events } = run(
      scenario({ hours: 16, faults: [{ kind: 'powerCut', from: 6 * hour, to: 7 * hour }] }),
    );
    const times = events.map((e) => e.t);
    expect(times).toEqual([...times].sort((a, b) => a - b));
    expect(times.filter((t) => t > 6 * hour && t < 7 * hour)).toEqual([]);
    expect(Math.max(...times)).toBeGreaterThan(7 * hour);
    for (const kind of ['compressor', 'fan', 'defrost'] as const) {
      // On and off take turns, also over the cut.
      const values = events.filter((e) => e.kind === kind).map((e) => e.value);
      for (let i = 1; i < values.length; i += 1) expect(values[i]).toBe(!values[i - 1]);
    }
  });

  test('a dirty condenser costs energy and run time; a door left open is called', () => {
    const clean = run(scenario({ hours: 24 })).figures;
    const dirty = run(
      scenario({ hours: 24, faults: [{ kind: 'dirtyCondenser', from: 0, amount: 15 }] }),
    ).figures;
    expect(dirty.kWhPerDay).toBeGreaterThan(clean.kWhPerDay * 1.1);
    expect(dirty.dutyPercent).toBeGreaterThan(clean.dutyPercent);
    const door = run(
      scenario(
        { hours: 12, faults: [{ kind: 'doorLeftOpen', from: hour, to: 3 * hour }] },
        { 'alarms.doorDelay': s(300) },
      ),
    );
    expect(door.figures.alarms['door']).toBe(1);
  });
});

test('the same scenario gives the same run; a run that is stopped gives none', () => {
  const of = scenario({ hours: 6 });
  expect(JSON.stringify(run(of))).toBe(JSON.stringify(run(of)));
  let asked = 0;
  expect(simulate(of, { progress: () => (asked += 1) < 5 })).toBeNull();
  expect(asked).toBe(5);
});

describe('scenarios that cannot be run end in a sentence', () => {
  test.each([
    [{ plant: { template: 'igloo' } }, 'plant.template', 'expected one of walkInCooler'],
    [{ plant: { template: 'cellar', volumeFactor: -2 } }, 'plant.volumeFactor', 'between 0.05 and 20'],
    [{ plant: { template: 'cellar', ambient: { value: 900, unit: 'degC' } } }, 'plant.ambient', '−40 and 60'],
    [{ hours: 87600 }, 'hours', 'up to 1440'],
    [{ hours: Number.NaN }, 'hours', 'expected a number'],
    [{ settings: {} }, 'settings', 'expected a set point'],
    [{ start: '25:00' }, 'start', 'time of day'],
    [{ doorUse: 'swinging' }, 'doorUse', 'shut, seldom'],
    [{ faults: [{ kind: 'gremlin' }] }, 'faults[0].kind', 'deadHeater'],
    [{ faults: [{ kind: 'deadFan', from: 50, to: 10 }] }, 'faults[0]', 'in order'],
    [{ format: 'brine-dial/scenario@7' }, 'format', 'newer'],
  ])('%j', (change, field, words) => {
    const problem = readScenario({ ...freezer, ...change });
    expect(isFileProblem(problem) && problem.field).toBe(field);
    expect(isFileProblem(problem) && problem.message).toContain(words);
  });
});
