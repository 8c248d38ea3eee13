import { TurnCount } from '../../machines/simulation/stagesDay.ts';
import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { readFileSync } from 'node:fs';
import { controlConfig } from '../../machines/box/index.ts';
import { fullMemory, settingsOfCodes } from '../../controllers/definitions/index.ts';
import { guessLayout } from '../../logs/reading/index.ts';
import type { SettingValues } from '../../foundation/settings/index.ts';
import { family } from '../../../testing/families.ts';
import { seeded } from '../../../testing/seeded.ts';
import { offsetIsEnough, onThePlate, pairedOffset } from './battery/pairedOffset.ts';
import { bestPlace } from './frost/bestPlace.ts';
import { movingSteps } from './frost/moving.ts';
import { decideHumidity, type HumidityCourse } from './humidity/decide.ts';
import { pumpAdvice } from './humidity/pump.ts';
import { rankPresets } from './presets/rank.ts';
import type { FrostNote } from './report.ts';
import { apartOf, twoBands } from './stages/bands.ts';

const day = (n: number) => new Date(Date.UTC(2026, 5, 1) + n * 86_400_000).toISOString();
const wish = { low: 80, high: 88, runOn: 5 };

describe('humidity step by step (common practice: 5 min, never above 15, three days apart, a reading before each)', () => {
  const course = (
    readings: readonly (readonly [number, number, ('wet' | 'dry')?])[],
    steps: readonly (readonly [number, number])[] = [],
  ): HumidityCourse => ({
    readings: readings.map(([at, percent, coil]) => ({ at: day(at), percent, coil: coil ?? null })),
    steps: steps.map(([at, minutes]) => ({ at: day(at), minutes })),
  });
  test.each([
    ['no reading: read first', course([]), 5, 10, 'read', null],
    ['a fresh low reading: one step', course([[10, 74]]), 5, 10, 'raise', 10],
    [
      'two days after a step: wait',
      course(
        [
          [8, 74],
          [10, 76],
        ],
        [[8, 5]],
      ),
      5,
      10,
      'wait',
      null,
    ],
    ['after three days, but read before: read', course([[8, 74]], [[8, 5]]), 5, 11.5, 'read', null],
    [
      'after three days and read: on',
      course(
        [
          [8, 74],
          [11.2, 77],
        ],
        [[8, 5]],
      ),
      5,
      11.5,
      'raise',
      10,
    ],
    ['within what is wanted: stay', course([[10, 84]]), 5, 10, 'stay', null],
    ['too humid: a step back', course([[10, 92]]), 10, 10, 'lower', 5],
    ['too humid without run-on: not the fans', course([[10, 92]]), 0, 10, 'spent', null],
    ['coil dry: told apart', course([[10, 74, 'dry']]), 10, 10, 'dry', null],
    [
      'a step that gained nothing: spent',
      course(
        [
          [7.9, 74],
          [11.2, 74.5, 'wet'],
        ],
        [[8, 5]],
      ),
      5,
      11.5,
      'spent',
      null,
    ],
    ['at 15: no further', course([[10, 74, 'wet']]), 15, 10, 'most', null],
  ] as const)('%s', (_, c, runOn, now, next, to) => {
    const decided = decideHumidity(c, { ...wish, runOn }, day(now));
    expect(decided.next).toBe(next);
    expect(decided.to).toBe(to);
  });
  test('whatever was written down: no step before three days, none without a reading after them, never above 15, never more than 5 (property)', () => {
    const at = fc.double({ min: 0, max: 20, noNaN: true });
    fc.assert(
      fc.property(
        fc.array(fc.record({ at, percent: fc.double({ min: 40, max: 100, noNaN: true }) }), { maxLength: 6 }),
        fc.array(fc.record({ at, minutes: fc.constantFrom(0, 5, 10, 15) }), { maxLength: 4 }),
        fc.constantFrom(0, 5, 10, 15),
        (readings, steps, runOn) => {
          const c: HumidityCourse = {
            readings: readings.map((r) => ({ ...r, at: day(r.at), coil: null })),
            steps: steps.map((s) => ({ ...s, at: day(s.at) })),
          };
          const decided = decideHumidity(c, { ...wish, runOn }, day(20));
          if (decided.to === null) return;
          const lastStep = Math.max(-Infinity, ...steps.map((s) => s.at));
          const lastReading = Math.max(-Infinity, ...readings.map((r) => r.at));
          expect(lastStep).toBeLessThanOrEqual(17 + 1e-6);
          expect(lastReading).toBeGreaterThanOrEqual(Math.max(18, lastStep + 3) - 1e-6);
          expect(decided.to).toBeLessThanOrEqual(15);
          expect(Math.abs(decided.to - runOn)).toBe(5);
        },
      ),
      { seed: 11, numRuns: 500 },
    );
  });
  test('the pump: what costs nothing before somebody comes; the owner where both or neither do', () => {
    expect(pumpAdvice({ overflowAfter: 30, warmAfter: 6 }, 14)).toBe('warn');
    expect(pumpAdvice({ overflowAfter: 3, warmAfter: 40 }, 14)).toBe('stop');
    expect(pumpAdvice({ overflowAfter: 3, warmAfter: 6 }, 14)).toBeNull();
    expect(pumpAdvice({ overflowAfter: 30, warmAfter: 60 }, 14)).toBeNull();
  });
});

describe('frost on a coil', () => {
  const grid = (level: (row: number, column: number) => number): FrostNote[] =>
    Array.from({ length: 5 * 7 }, (_, i) => {
      const [row, column] = [1 + Math.floor(i / 7), 1 + (i % 7)];
      return { row, column, level: level(row, column) };
    });
  test('the heaviest place of a patch is found wherever it lies, as a second count over all cells says (property)', () => {
    fc.assert(
      fc.property(fc.integer({ min: 2, max: 4 }), fc.integer({ min: 2, max: 6 }), (row, column) => {
        const notes = grid((r, c) => Math.max(0, 3 - Math.abs(r - row) - Math.abs(c - column)));
        expect(bestPlace(notes, null)).toMatchObject({ cell: { row, column } });
      }),
      { seed: 3, numRuns: 40 },
    );
  });
  test('one lump beside bare fins is a drip, not the frost of the coil', () => {
    const notes = grid((r, c) => (r === 1 && c === 1 ? 3 : c >= 5 ? 2 : 0));
    const best = bestPlace(notes, { row: 1, column: 1 });
    if (typeof best === 'string') throw new Error(best);
    expect(best.cell.column).toBeGreaterThanOrEqual(5);
    expect(best.pattern).toBe('part');
    expect(best.sensorShare).toBeLessThan(1.05);
  });
  test('sentences where nothing can be said; the power comes back condensing unit first (common practice)', () => {
    expect(bestPlace([], null)).toMatch(/at least 4/);
    expect(
      bestPlace(
        grid(() => 0),
        null,
      ),
    ).toMatch(/No frost/);
    const steps = movingSteps({ row: 1, column: 1 }, { row: 2, column: 5 });
    expect(steps[0]).toMatch(/lock both out/);
    expect(steps.find((s) => /Power/.test(s))).toMatch(/condensing unit first, then the evaporator/);
  });
});

describe('two stages', () => {
  const pair = (more: SettingValues): SettingValues => ({
    'regulation.action': 'cool',
    'regulation.setpoint': { value: 40, unit: 'degF' },
    'regulation.differential': { value: 4, unit: 'deltaF' },
    'regulation.differentialPlacement': 'setpointIsCutOut',
    'stage2.function': 'thermostat',
    'stage2.action': 'heat',
    'stage2.reference': 'relative',
    'stage2.offset': { value: 0, unit: 'K' },
    'stage2.differential': { value: 4, unit: 'deltaF' },
    'stage2.differentialPlacement': 'setpointIsCutOut',
    ...more,
  });
  const bandsOf = (more: SettingValues = {}) => {
    const config = controlConfig(pair(more));
    if (typeof config === 'string') throw new Error(config);
    return twoBands(config)!;
  };
  const fahrenheit = (c: number) => c * 1.8 + 32;

  test('two relays on one set point, 4 °F each: cooling starts 4 above, heating 4 below (common practice)', () => {
    const { first, second, apart } = bandsOf();
    expect(fahrenheit(first.on)).toBeCloseTo(44, 6);
    expect(fahrenheit(second.on)).toBeCloseTo(36, 6);
    expect(apart!.deadBand * 1.8).toBeCloseTo(8, 6);
    expect(apart!.margin * 1.8).toBeCloseTo(4, 6);
  });
  test('relative keeps the distance when the first moves, absolute does not', () => {
    const warmer: SettingValues = { 'regulation.setpoint': { value: 50, unit: 'degF' } };
    expect(bandsOf(warmer).apart!.deadBand).toBeCloseTo(bandsOf().apart!.deadBand, 9);
    const absolute: SettingValues = {
      'stage2.reference': 'absolute',
      'stage2.setpoint': { value: 40, unit: 'degF' },
    };
    expect(bandsOf({ ...absolute, ...warmer }).apart!.deadBand * 1.8).toBeCloseTo(18, 6);
  });
  test('the same action on both is no pair; turnovers are counted within the hour', () => {
    expect(apartOf({ heat: true, on: 1, off: 2 }, { heat: true, on: 3, off: 4 })).toBeNull();
    const course = (gap: number) => {
      const turn = new TurnCount();
      for (let t = 0; t < 60; t += 1) turn.second(t, true, false);
      for (let t = 60; t < 60 + gap; t += 1) turn.second(t, false, false);
      turn.second(60 + gap, false, true);
      return turn.turnovers;
    };
    expect(course(600)).toBe(1);
    expect(course(4000)).toBe(0);
  });
});

describe('a probe on the plate instead of the air', () => {
  /** An air that goes up and down between 2 and 6 °C; a plate far below while it falls, near it at the end of the rise. */
  const cycles = (atStop: number, atStart: number) => {
    const random = seeded(9);
    const air: number[] = [];
    const plate: number[] = [];
    for (let i = 0; i < 900; i += 1) {
      const phase = (i % 60) / 60;
      const falls = phase < 0.4;
      const share = falls ? phase / 0.4 : (1 - phase) / 0.6;
      air.push(6 - 4 * share + (random() - 0.5) * 0.1);
      plate.push(6 - 4 * share + atStart + (atStop - atStart) * share);
    }
    return { air, plate };
  };
  test('both turning points are recovered, and the band is carried over by each for itself', () => {
    const { air, plate } = cycles(-9, -2);
    const paired = pairedOffset(air, plate);
    if (typeof paired === 'string') throw new Error(paired);
    expect(paired.atStop.plate - paired.atStop.air).toBeCloseTo(-9, 0);
    expect(paired.atStart.plate - paired.atStart.air).toBeCloseTo(-2, 0);
    expect(offsetIsEnough(paired)).toBe(false);
    const band = onThePlate(paired, { cutOut: 2, cutIn: 6 });
    expect(band.cutOut).toBeCloseTo(-7, 0);
    expect(band.cutIn).toBeCloseTo(4, 0);
  });
  test('the demo boat’s log: the plate column is found, and the plate is far below the air where the compressor stops', () => {
    const text = readFileSync(new URL('../../../../demo/logs/boat-fridge.csv', import.meta.url), 'utf8');
    const { layout } = guessLayout(text);
    expect(layout.columns.map((c) => c.role)).toEqual(['time', 'air', 'coil']);
    const rows = text.trim().split('\n').slice(1);
    const column = (i: number) => rows.map((row) => Number(row.split(',')[i]));
    const paired = pairedOffset(column(1), column(2));
    if (typeof paired === 'string') throw new Error(paired);
    expect(paired.cycles).toBeGreaterThan(50);
    expect(paired.atStop.plate - paired.atStop.air).toBeLessThan(-3);
    expect(Math.abs(paired.atStart.plate - paired.atStart.air)).toBeLessThan(2);
    expect(offsetIsEnough(paired)).toBe(false);
  });
  test('where the distance stands still an offset is enough; too little says so', () => {
    const { air, plate } = cycles(-3, -3);
    const paired = pairedOffset(air, plate);
    expect(typeof paired !== 'string' && offsetIsEnough(paired)).toBe(true);
    expect(pairedOffset([1, 2], [1, 2])).toMatch(/2 readings/);
    expect(pairedOffset(new Array<number>(200).fill(4), new Array<number>(200).fill(1))).toMatch(
      /0 whole cycles/,
    );
  });
});

describe('presets by meaning', () => {
  const holm = family('holm-fit');
  const meaningOf = (id: string, changed: Readonly<Record<string, number | string>> = {}) => {
    const preset = holm.presets!.find((p) => p.id === id)!;
    return settingsOfCodes(holm, fullMemory(holm, new Map(Object.entries({ ...preset.values, ...changed }))));
  };
  test('what a preset means finds that preset, with nothing left to change', () => {
    for (const { id } of holm.presets!) {
      const [first] = rankPresets(holm, meaningOf(id));
      expect(first).toMatchObject({ id, gaps: [] });
    }
  });
  test('one code otherwise is the one gap, in the control’s own code', () => {
    const [first] = rankPresets(holm, meaningOf('cooler', { dl: 35 }));
    expect(first!.id).toBe('cooler');
    expect(first!.gaps).toEqual([expect.objectContaining({ code: 'dl', preset: 20, wanted: 35 })]);
  });
});
