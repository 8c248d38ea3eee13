import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { referenceJson, referenceTable } from '../../../testing/referenceTables.ts';
import { ampsOf } from './amps.ts';
import { expectedAmps, patternsOf, recogniseHeater, type HeaterPlate } from './heater.ts';
import { expectedLoad, loadKinds, type LoadPlate } from './expected.ts';

const delta: HeaterPlate = { watts: 3000, volts: 208, connection: 'delta', elements: 3 };
const star: HeaterPlate = { ...delta, connection: 'star' };
const reference = referenceJson<{
  heater_derating: { rated_V: number; applied_V: number; power_ratio: number }[];
  three_phase_faults: Record<string, number | number[]>;
}>('electrical.json');

describe('expected amps', () => {
  // Oracle: reference/heater_amps.csv.
  test.each(referenceTable('heater_amps.csv').slice(0, 40))('$P_W W at $V V', (row) => {
    const [watts, volts] = [Number(row['P_W']), Number(row['V'])];
    expect(ampsOf(watts, volts).amps).toBeCloseTo(Number(row['I_1ph_A']), 3);
    expect(ampsOf(watts, volts, 3).amps).toBeCloseTo(Number(row['I_3ph_line_A']), 3);
    expect(ampsOf(watts, volts).ohms).toBeCloseTo(Number(row['R_1ph_ohm']), 2);
    // Between two lines: two legs of a star in series, or a leg of a delta beside the two others.
    expect(ampsOf(watts, volts, 3).ohms).toBeCloseTo(2 * Number(row['R_per_leg_wye_ohm']), 1);
    expect(ampsOf(watts, volts, 3).ohms).toBeCloseTo((Number(row['R_per_leg_delta_ohm']) * 2) / 3, 1);
  });

  test('on another voltage it takes the square of it', () => {
    for (const { rated_V, applied_V, power_ratio } of reference.heater_derating)
      expect(
        patternsOf({ watts: 1000, volts: rated_V, connection: 'single', elements: 1 }, applied_V)[0]!.watts /
          1000,
      ).toBeCloseTo(power_ratio, 5);
  });

  test('a whole heater lies inside its own tolerance', () => {
    const { amps, least, most } = expectedAmps({
      watts: 1800,
      volts: 240,
      connection: 'single',
      elements: 1,
    });
    expect(amps).toEqual([7.5]);
    expect([least[0]!.toFixed(2), most[0]!.toFixed(2)]).toEqual(['6.45', '8.21']);
  });
});

describe('other loads', () => {
  const plate = (more: Partial<LoadPlate>): LoadPlate => ({
    kind: 'heater',
    power: null,
    amps: null,
    volts: 240,
    connection: 'single',
    ...more,
  });

  // Oracle: Ohm's law; 10 VA at 24 V is 0.41667 A in reference/electrical.json.
  test('a coil draws its VA, a heater its watts, a fan its plate amps', () => {
    expect(expectedLoad(plate({ kind: 'coil', power: 10, volts: 24 }))!.amps).toBeCloseTo(0.41667, 5);
    expect(expectedLoad(plate({ power: 1800 }))).toMatchObject({
      amps: 7.5,
      ohms: { least: 32 * 0.95, most: 32 * 1.11 },
    });
    expect(expectedLoad(plate({ kind: 'fan', amps: 0.6 }))).toMatchObject({ amps: 0.6, ohms: null });
    const fan = expectedLoad(plate({ kind: 'fan', power: 390, connection: 'star' }))!;
    expect(fan.amps).toBeCloseTo(390 / 0.65 / (Math.sqrt(3) * 240), 9);
    expect(fan.least < fan.amps && fan.amps < fan.most).toBe(true);
  });

  test('a plate that says too little gives nothing', () => {
    for (const kind of loadKinds) expect(expectedLoad(plate({ kind }))).toBeNull();
  });
});

describe('a heater that is not whole', () => {
  // Oracle: reference/electrical.json, three-phase faults by phasors.
  test('delta and star with an element open or a line lost', () => {
    const faults = reference.three_phase_faults;
    const amps = (plate: HeaterPlate, state: string) => patternsOf(plate).find((p) => p.state === state)!;
    expect(amps(delta, 'whole').amps[0]).toBeCloseTo(faults['normal_line_A'] as number, 4);
    amps(delta, 'elementOpen').amps.forEach((a, i) =>
      expect(a).toBeCloseTo((faults['delta_one_element_open_line_A'] as number[])[i]!, 3),
    );
    expect(amps(delta, 'elementOpen').watts).toBeCloseTo(faults['delta_one_element_open_W'] as number, 6);
    expect(amps(delta, 'lineLost').amps[2]).toBeCloseTo(faults['delta_lost_one_line_A'] as number, 3);
    expect(amps(star, 'lineLost').amps[2]).toBeCloseTo(faults['wye_lost_one_line_A'] as number, 3);
  });

  test('is recognised from the clamp', () => {
    const first = (plate: HeaterPlate, measured: readonly number[], volts?: number) =>
      recogniseHeater(plate, measured, volts)[0]!;
    expect(first(delta, [8.3, 4.8, 4.8]).pattern.state).toBe('elementOpen');
    expect(first(delta, [7.2, 0, 7.2]).pattern.state).toBe('lineLost');
    expect(first(star, [8.1, 8.2, 8.3]).pattern.state).toBe('whole');
    const three: HeaterPlate = { watts: 1800, volts: 240, connection: 'single', elements: 3 };
    expect(first(three, [5.0]).pattern.state).toBe('elementOpen');
    expect(first(three, [0]).pattern.state).toBe('dead');
    // 208 V instead of 240 V is no fault of the heater.
    expect(first(three, [6.4], 208).pattern.state).toBe('whole');
    expect(first(three, [12]).off).toBeGreaterThan(1);
  });

  test('every pattern within half its tolerance is found again, in any order of the lines (property)', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(delta, star),
        fc.nat(4),
        fc.double({ min: 0.97, max: 1.02, noNaN: true }),
        fc.nat(5),
        (plate, which, factor, turn) => {
          const patterns = patternsOf(plate);
          const pattern = patterns[which % patterns.length]!;
          const lines = pattern.amps.map((a) => a * factor);
          const [a, b, c] = [lines[turn % 3]!, lines[(turn + 1) % 3]!, lines[(turn + 2) % 3]!];
          expect(recogniseHeater(plate, turn > 2 ? [c, b, a] : [a, b, c])[0]!.pattern.state).toBe(
            pattern.state,
          );
        },
      ),
      { seed: 6, numRuns: 200 },
    );
  });
});
