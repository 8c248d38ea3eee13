import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { fansOf } from '../control/condenserConfig.ts';
import { inWords } from '../../../foundation/sentences/index.ts';
import { fluidNamed, lowestCondensing, pressureAt } from '../../../foundation/refrigerants/index.ts';
import type { SettingValues } from '../../../foundation/settings/index.ts';
import { twoFanCondenser } from '../../../../testing/condensers.ts';
import {
  bestFloat,
  bestLoop,
  floatVariants,
  loopVariants,
  tryFloat,
  tryLoop,
} from '../../../judgement/condenserFans/index.ts';
import { conductanceAt, coolingAt, noFlows, powerAt, restingCondenser, stepCondenser } from './plant.ts';
import { condenserPlant } from './templates.ts';
import { outdoorAt } from './outdoorDay.ts';
import { runCondenser, type CondenserRun } from './run.ts';

const plant = condenserPlant({
  kilowatts: 8,
  compressors: 1,
  fans: 2,
  fanWatts: 180,
  evaporating: -6,
  refrigerant: 'R-404A',
  dirty: false,
});
const q = (value: number, unit: 'degC' | 'K' | 's' | '%') => ({ value, unit });
const base: SettingValues = {
  'condenser.setpoint': q(32, 'degC'),
  'condenser.differential': q(4, 'K'),
  'condenser.method': 'proportionalIntegral',
  'condenser.integralTime': q(240, 's'),
  'condenser.fanCount': 2,
  'condenser.onlyWithCompressor': true,
  'condenser.speedMin': q(20, '%'),
};
const runOf = (more: SettingValues = {}, rest: Partial<CondenserRun> = {}): CondenserRun => ({
  config: fansOf({ ...base, ...more })!,
  plant,
  outdoor: { low: 8, high: 19 },
  hours: 24,
  warmUpHours: 1,
  ...rest,
});

describe('the plant', () => {
  test('heat in less heat out is what the condenser has stored, whatever the fans do (conservation, property)', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            flow: fc.double({ min: 0, max: 1, noNaN: true }),
            outdoor: fc.double({ min: -20, max: 45, noNaN: true }),
          }),
          { minLength: 30, maxLength: 30 },
        ),
        fc.boolean(),
        (course, byDrive) => {
          const state = restingCondenser(20);
          const flows = noFlows();
          for (const { flow, outdoor } of course)
            for (let i = 0; i < 40; i += 1)
              stepCondenser(plant, state, flows, { outdoor, load: 6000, flow, byDrive });
          const stored = plant.heatCapacity * (state.condensing - 20);
          expect(Math.abs(flows.given - flows.rejected - stored)).toBeLessThan(1e-6 * flows.given);
          expect(flows.given).toBeCloseTo(flows.cooling + flows.compressor, 3);
          // Energy that waits: what came less what was cooled.
          expect(state.backlog).toBeCloseTo(6000 * 1200 - flows.cooling, 3);
        },
      ),
      { seed: 71, numRuns: 60 },
    );
  });

  test('at rest it settles where heat in and out meet (closed form)', () => {
    const steady = { ...plant, compressors: 1 };
    const state = restingCondenser(20);
    for (let i = 0; i < 20_000; i += 1)
      stepCondenser(steady, state, noFlows(), { outdoor: 20, load: 1e6, flow: 1, byDrive: true });
    const g = conductanceAt(steady, 1, true, false);
    const given = coolingAt(steady, state.condensing) + powerAt(steady, state.condensing);
    expect(state.condensing).toBeCloseTo(20 + given / g, 6);
    // Sized for 10 K at its design; colder air, and a machine that gives more for it.
    expect(state.condensing - 20).toBeGreaterThan(8);
    expect(state.condensing - 20).toBeLessThan(12);
  });

  test('fan law: a drive at half speed takes an eighth of the power; one of two fans takes half', () => {
    const taken = (byDrive: boolean) => {
      const flows = noFlows();
      stepCondenser(plant, restingCondenser(20), flows, { outdoor: 20, load: 0, flow: 0.5, byDrive });
      return flows.fans / (plant.fans * plant.fanWatts);
    };
    expect(taken(true)).toBeCloseTo(1 / 8, 12);
    expect(taken(false)).toBeCloseTo(1 / 2, 12);
  });

  test('a closed half conducts half, a dirty coil 60 %', () => {
    expect(conductanceAt(plant, 1, true, true) / conductanceAt(plant, 1, true, false)).toBeCloseTo(0.5, 12);
    const dirty = condenserPlant({
      kilowatts: 8,
      compressors: 1,
      fans: 2,
      fanWatts: 180,
      evaporating: -6,
      refrigerant: 'R-404A',
      dirty: true,
    });
    expect(conductanceAt(dirty, 0.7, true, false) / conductanceAt(plant, 0.7, true, false)).toBeCloseTo(
      0.6,
      12,
    );
  });

  test('the day outdoors: coldest at 05:00, warmest at 15:00, halfway in the middle of each side, no step anywhere', () => {
    const day = { low: 4, high: 20 };
    expect([5, 15, 10, 22].map((h) => outdoorAt(day, h * 3600))).toEqual(
      [4, 20, 12, 12].map((v) => expect.closeTo(v, 9)),
    );
    for (let t = 0; t < 86400; t += 60)
      expect(Math.abs(outdoorAt(day, (t + 60) % 86400) - outdoorAt(day, t))).toBeLessThan(0.06);
  });
});

describe('lowest condensing', () => {
  test('the pressure drop there is the drop at 38 °C over 1.3² (second way: the pressures themselves)', () => {
    for (const id of ['R-134a', 'R-404A', 'R-290', 'R-410A']) {
      const { celsius } = lowestCondensing(id, -10);
      const fluid = fluidNamed(id)!;
      const p = (c: number, side: 'bubble' | 'dew') => pressureAt(fluid, c, side) as number;
      expect((p(38, 'bubble') - p(-10, 'dew')) / (p(celsius, 'bubble') - p(-10, 'dew'))).toBeCloseTo(1.69, 6);
      // 65 to 80 °F is what the trade floats down to with thermostatic valves (common practice).
      expect(celsius).toBeGreaterThan(18);
      expect(celsius).toBeLessThan(27);
    }
  });
  test('without a checked equation: the usual floor, and it says so', () => {
    const said = lowestCondensing('R-499X', -6);
    expect(said.celsius).toBe(21);
    expect(inWords(said.why)).toContain('no checked equation');
  });
});

describe('a day', () => {
  test('energy closes: the sum of the samples’ power is the figure (second way)', () => {
    const { figures, series } = runCondenser(runOf(), 1)!;
    const fans = series.reduce((sum, s) => sum + plant.fans * plant.fanWatts * s.output ** 3, 0) / 3.6e6;
    expect(figures.fanKWh).toBeCloseTo(fans, 6);
    expect(figures.totalKWh).toBeCloseTo(figures.fanKWh + figures.compressorKWh, 9);
    const hours = series.filter((s) => s.compressors > 0).length / 3600;
    expect(figures.compressorHours).toBeCloseTo(hours, 2);
  });

  test('the set point is held where the fans can; a dirty coil costs energy', () => {
    const clean = runCondenser(runOf())!.figures;
    expect(clean.meanErrorK).toBeLessThan(1);
    const dirty = runCondenser(runOf({}, { plant: { ...plant, clean: 0.6 } }))!.figures;
    expect(dirty.fanKWh).toBeGreaterThan(clean.fanKWh * 1.3);
  });

  test('switched fans: first in, first out shares the starts, a fixed order does not', () => {
    const starts = (rotation: string) =>
      runCondenser(
        runOf(
          {
            'condenser.method': 'onOff',
            'condenser.differential': q(8, 'K'),
            'condenser.speedMin': q(0, '%'),
            'condenser.rotation': rotation,
          },
          { outdoor: { low: 18, high: 30 } },
        ),
      )!.figures.fanStarts;
    const [one, two] = starts('firstInFirstOut');
    expect(Math.abs(one! - two!)).toBeLessThanOrEqual(1);
    const [first, second] = starts('fixed');
    expect(first! - second!).toBeGreaterThan(5);
  });

  test('a quiet night caps the fans and says so; a failed probe gives the fixed output', () => {
    const quiet = runCondenser(
      runOf(
        {
          'condenser.quietSource': 'clock',
          'condenser.quietCap': q(50, '%'),
          'condenser.quietStart': '22:00',
          'condenser.quietEnd': '06:00',
        },
        { outdoor: { low: 22, high: 30 } },
      ),
      60,
    )!;
    const night = quiet.series.filter((s) => s.t < 6 * 3600);
    expect(Math.max(...night.map((s) => s.output))).toBeLessThanOrEqual(0.5);
    expect(night.every((s) => s.quiet)).toBe(true);
    expect(Math.max(...quiet.series.map((s) => s.output))).toBeGreaterThan(0.5);
    const lost = runCondenser(
      runOf({ 'condenser.probeFaultOutput': q(60, '%') }, { probeOpen: [0, 24] }),
      60,
    )!;
    // Fans only with a compressor: off in its rests, else the fixed output.
    expect(new Set(lost.series.map((s) => Math.round(s.output * 100)))).toEqual(new Set([0, 60]));
  });

  test('a split condenser closes a half on a cold night and keeps the pressure up', () => {
    const cold = { outdoor: { low: -12, high: -4 } };
    const whole = runCondenser(runOf({}, cold))!.figures;
    const split = runCondenser(runOf({ 'condenser.split': true }, cold), 60)!;
    expect(split.figures.starvedMinutes).toBeLessThanOrEqual(whole.starvedMinutes);
    expect(split.figures.liquid.mean).toBeGreaterThan(whole.liquid.mean);
  });

  test('it can be stopped', () => expect(runCondenser(runOf(), 0, () => false)).toBeNull());
});

describe('tuning', () => {
  test('on a cold night narrow bands switch the fans at their least speed, wide ones do not; the one taken is calm and near its set point', () => {
    const run = runOf({}, { hours: 6 });
    const trials = loopVariants(run.config).map((config) => tryLoop(run, config));
    const asSet = trials.filter((t) => t.speedMin === run.config.speed.min);
    expect(trials.length).toBe(asSet.length + 7);
    expect(asSet.filter((t) => t.band <= 3).every((t) => t.hunts)).toBe(true);
    expect(asSet.filter((t) => t.band >= 6).every((t) => !t.hunts)).toBe(true);
    const best = bestLoop(trials)!;
    expect(best.hunts).toBe(false);
    expect(best.meanErrorK).toBeLessThanOrEqual(
      Math.min(...trials.filter((t) => !t.hunts).map((t) => t.meanErrorK)) + 0.1,
    );
    expect(bestLoop(trials.map((t) => ({ ...t, hunts: true })))).toBeNull();
  });

  test('an overload that stands stops the fans; a quiet contact caps them, where the settings listen to it', () => {
    const day = { hours: 24, outdoor: { low: 18, high: 30 } } as const;
    const outputs = (more: SettingValues, rest: Partial<CondenserRun>, from: number, to: number) =>
      runCondenser(runOf(more, { ...day, ...rest }), 60)!
        .series.filter((s) => s.t >= from * 3600 && s.t < to * 3600)
        .map((s) => s.output);
    const listens: SettingValues = {
      'condenser.overloadInput': true,
      'condenser.overloadDelay': q(10, 's'),
      'condenser.overloadReset': 'automatic',
    };
    expect(Math.max(...outputs(listens, { overload: [12, 13] }, 12.1, 13))).toBe(0);
    expect(Math.max(...outputs(listens, { overload: [12, 13] }, 13.1, 15))).toBeGreaterThan(0.3);
    const capped: SettingValues = { 'condenser.quietSource': 'input', 'condenser.quietCap': q(40, '%') };
    expect(Math.max(...outputs(capped, { quietContact: [12, 15] }, 12.1, 15))).toBeLessThanOrEqual(
      0.4 + 1e-9,
    );
    expect(Math.max(...outputs(capped, { quietContact: [12, 15] }, 15.1, 18))).toBeGreaterThan(0.4);
  });

  test('where the fans move too much air at their least speed, only a slower one is calm', () => {
    const run = {
      ...runOf(
        {
          'condenser.setpoint': q(27, 'degC'),
          'condenser.speedMin': q(20, '%'),
          'condenser.kickTime': q(3, 's'),
          'condenser.riseTime': q(20, 's'),
          'condenser.fallTime': q(30, 's'),
        },
        { hours: 6, outdoor: { low: 5, high: 14 } },
      ),
      plant: twoFanCondenser,
    };
    const trials = loopVariants(run.config).map((config) => tryLoop(run, config));
    expect(trials.filter((t) => t.speedMin === 0.2).every((t) => t.hunts)).toBe(true);
    expect(bestLoop(trials)).toMatchObject({ speedMin: 0.05, kickTime: 0, hunts: false });
  });

  test('floating saves on a cool day, never below what the valve needs, and is not taken where it would starve', () => {
    const run = runOf();
    const trials = floatVariants(run).map(([d, config]) => tryFloat(run, d, config));
    const best = bestFloat(trials)!;
    const fixed = trials.find((t) => t.difference === null)!;
    expect(best.difference).not.toBeNull();
    expect(best.totalKWh).toBeLessThan(fixed.totalKWh * 0.97);
    expect(best.starvedMinutes).toBeLessThanOrEqual(10);
    expect(
      bestFloat(trials.map((t) => (t.difference === null ? t : { ...t, starvedMinutes: 500 })))!.difference,
    ).toBeNull();
  });
});
