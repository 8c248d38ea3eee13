import { describe, expect, test } from '@jest/globals';
import { referenceJson, referenceTable } from '../../../testing/referenceTables.ts';
import {
  absoluteOf,
  airPressureAt,
  gaugeOf,
  isOutOfRange,
  KPA_PER_PSI,
  pressureAt,
  subcooling,
  superheat,
  temperatureAt,
  type OutOfRange,
  type Side,
} from './saturation.ts';
import { blend, pure } from './blends.ts';
import { estimates, fluidNamed, fluids } from './fluids.ts';
import { mixturePressure } from './pengRobinson.ts';

const sure = (result: number | OutOfRange): number => {
  if (isOutOfRange(result)) throw new Error(result.outOfRange);
  return result;
};
const celsius = (fahrenheit: number) => ((fahrenheit - 32) * 5) / 9;
const named = (name: string) => {
  const [id, side = 'dew'] = name.split(' ');
  return { fluid: fluidNamed(id!)!, side: side as Side };
};

describe('saturation', () => {
  // Oracle: reference/refrigerant_verification.csv: boiling points, handbook points and Maxwell solves of the full equations of state.
  const checks = referenceTable('refrigerant_verification.csv').filter(
    (row) =>
      row['counted'] === 'yes' &&
      fluids.some(({ id }) => id === row['fluid']!.split(' ')[0]!) &&
      Number(row['p_reference_kPa']) > 0,
  );
  const isBracket = (row: (typeof checks)[number]) => row['check']!.includes('dew..bubble');
  test.each(checks.filter((row) => !isBracket(row)))(
    '$fluid, $check at $t_C °C lies within 0.5 % of $p_reference_kPa kPa',
    (row) => {
      const { fluid, side } = named(row['fluid']!);
      const kPa = sure(pressureAt(fluid, Number(row['t_C']), side));
      expect(Math.abs(kPa / Number(row['p_reference_kPa']) - 1)).toBeLessThan(0.005);
    },
  );

  test.each(checks.filter(isBracket))(
    'the pseudo-pure equation of $fluid at $t_C °C, $p_reference_kPa kPa, lies between dew and bubble',
    (row) => {
      const fluid = fluidNamed(row['fluid']!)!;
      const reference = Number(row['p_reference_kPa']);
      expect(sure(pressureAt(fluid, Number(row['t_C']), 'dew'))).toBeLessThanOrEqual(reference);
      expect(sure(pressureAt(fluid, Number(row['t_C']), 'bubble'))).toBeGreaterThanOrEqual(reference);
    },
  );

  // Oracle: reference/refrigerant_psat_kPa_abs.csv, the same equations computed a second time; tolerance is its print rounding.
  test('holds for the whole table from −60 to 60 °C', () => {
    let cells = 0;
    for (const row of referenceTable('refrigerant_psat_kPa_abs.csv'))
      for (const [column, text] of Object.entries(row)) {
        if (column === 't_C' || text === '') continue;
        const { fluid, side } = named(column.replace(' kPa abs', ''));
        expect(sure(pressureAt(fluid, Number(row['t_C']), side))).toBeCloseTo(Number(text), 1.9);
        cells += 1;
      }
    expect(cells).toBeGreaterThan(250);
  });

  test('and in psi on a gauge over °F', () => {
    for (const row of referenceTable('refrigerant_psat_psig.csv'))
      for (const [column, text] of Object.entries(row)) {
        if (column === 't_F' || text === '') continue;
        const { fluid, side } = named(column.replace(' psig', ''));
        const kPa = sure(pressureAt(fluid, celsius(Number(row['t_F'])), side));
        expect(Math.abs(gaugeOf(kPa) / KPA_PER_PSI - Number(text))).toBeLessThan(0.011);
      }
  });

  test('temperature at a pressure agrees with the table', () => {
    for (const row of referenceTable('refrigerant_tsat.csv')) {
      const { fluid, side } = named(row['fluid']!);
      expect(sure(temperatureAt(fluid, Number(row['p_kPa_abs']), side))).toBeCloseTo(
        Number(row['t_sat_C']),
        2,
      );
    }
  });

  test('and is the inverse of pressure at a temperature, for every fluid and side', () => {
    for (const fluid of fluids)
      for (const side of ['bubble', 'dew'] as const)
        for (let t = -50; t <= 25; t += 5)
          expect(sure(temperatureAt(fluid, sure(pressureAt(fluid, t, side)), side))).toBeCloseTo(t, 7);
  });

  test('bubble never lies below dew, and pressure grows with temperature', () => {
    for (const fluid of fluids) {
      let before = 0;
      for (let t = -50; t <= 30; t += 1) {
        const [bubble, dew] = [sure(pressureAt(fluid, t, 'bubble')), sure(pressureAt(fluid, t, 'dew'))];
        expect(bubble).toBeGreaterThanOrEqual(dew);
        expect(dew).toBeGreaterThan(before);
        before = dew;
      }
    }
  });

  test('says so above the critical point, below its range, and where there is no equation', () => {
    expect(pressureAt(fluidNamed('R-744')!, 31, 'dew')).toEqual({
      outOfRange: expect.stringContaining('critical point'),
    });
    expect(temperatureAt(fluidNamed('R-744')!, 9000, 'dew')).toEqual({
      outOfRange: expect.stringContaining('critical'),
    });
    expect(pressureAt(fluidNamed('R-134a')!, -120, 'dew')).toEqual({
      outOfRange: expect.stringContaining('begins'),
    });
    expect(pressureAt(fluidNamed('R-134a')!, Number.NaN, 'dew')).toHaveProperty('outOfRange');
    expect(pressureAt(fluidNamed('R-449A')!, 70, 'dew')).toEqual({
      outOfRange: expect.stringContaining('estimate ends'),
    });
  });

  test('finds a refrigerant however it is written', () => {
    expect(['R-134a', 'r134a', '134A', 'R 134 a'].map((name) => fluidNamed(name)?.id)).toEqual(
      Array(4).fill('R-134a'),
    );
  });
});

describe('superheat and subcooling', () => {
  // Oracle: reference/superheat_subcooling_examples.json (superheat from dew, subcooling from bubble).
  const cases = referenceJson<readonly Record<string, number | string>[]>(
    'superheat_subcooling_examples.json',
  );
  test('agree with the worked examples', () => {
    const psi = (n: number) => n * KPA_PER_PSI;
    const hot404 = superheat(fluidNamed('R-404A')!, psi(45), celsius(28));
    const cold404 = subcooling(fluidNamed('R-404A')!, psi(220), celsius(85));
    const hot134 = superheat(fluidNamed('R-134a')!, psi(20), celsius(32));
    const hot290 = superheat(fluidNamed('R-290')!, 150, -8);
    const kelvin = (d: ReturnType<typeof superheat>) => ('outOfRange' in d ? Number.NaN : d.kelvin);
    expect(kelvin(hot404) * 1.8).toBeCloseTo(cases[0]!['superheat_F_diff'] as number, 2);
    expect(kelvin(cold404) * 1.8).toBeCloseTo(cases[1]!['subcooling_F_diff'] as number, 2);
    expect(kelvin(hot134) * 1.8).toBeCloseTo(cases[2]!['superheat_F_diff'] as number, 2);
    expect(kelvin(hot290)).toBeCloseTo(cases[3]!['superheat_K'] as number, 3);
  });

  test('a gauge at 1500 m reads another temperature than at sea level', () => {
    const psi20 = 20 * KPA_PER_PSI;
    const at = (metres: number) =>
      sure(temperatureAt(fluidNamed('R-134a')!, absoluteOf(psi20, metres), 'dew')) * 1.8 + 32;
    expect(at(0)).toBeCloseTo(cases[4]!['tsat_F_sea'] as number, 2);
    expect(at(1500)).toBeCloseTo(cases[4]!['tsat_F_alt'] as number, 1);
    // Oracle: ISA, 84.556 kPa at 1500 m.
    expect(airPressureAt(1500)).toBeCloseTo(84.556, 2);
  });
});

describe('blends without an equation, by Peng and Robinson', () => {
  // Oracle: the checked equations of five refrigerants. The largest difference is what an estimate is stated with.
  const checked = [
    ['R-134a', pure('R-134a')],
    ['R-32', pure('R-32')],
    ['R-1234yf', pure('R-1234yf')],
    ['R-404A', blend('R-404A')],
    ['R-410A', blend('R-410A')],
  ] as const;
  const sides = ['bubble', 'dew'] as const;
  const temperatures = [-40, -20, 0, 20, 40, 55];

  test('the error stated covers the largest found, and pure substances lie within 1 %', () => {
    let largest = 0;
    for (const [id, mixture] of checked)
      for (const t of temperatures)
        for (const side of sides) {
          const off =
            mixturePressure(mixture, t + 273.15, side) / sure(pressureAt(fluidNamed(id)!, t, side)) - 1;
          if (!id.startsWith('R-4')) expect(Math.abs(off)).toBeLessThan(0.01);
          largest = Math.max(largest, Math.abs(off) * 100);
        }
    for (const { errorPercent } of estimates) {
      expect(errorPercent).toBeGreaterThanOrEqual(largest);
      expect(errorPercent).toBeLessThan(largest + 1.5);
    }
  });

  test.each(estimates.map((fluid) => [fluid.id, fluid] as const))(
    '%s: the dew lies below the bubble, both rise, and the temperature comes back (inverse)',
    (_, fluid) => {
      let before = 0;
      for (const t of temperatures) {
        const [bubble, dew] = [sure(pressureAt(fluid, t, 'bubble')), sure(pressureAt(fluid, t, 'dew'))];
        expect(dew).toBeLessThanOrEqual(bubble);
        expect(dew).toBeGreaterThan(before);
        before = dew;
        expect(sure(temperatureAt(fluid, dew, 'dew'))).toBeCloseTo(t, 6);
      }
    },
  );

  // Oracle: boiling points under one atmosphere, reference/refrigerant_verification.csv (ANSI/ASHRAE 34, from memory).
  test.each([
    ['R-507A', -46.74],
    ['R-407C', -43.63],
  ] as const)('%s begins to boil at %d °C under one atmosphere, within the error stated', (id, at) => {
    const fluid = fluidNamed(id)!;
    const off = sure(pressureAt(fluid, at, 'bubble')) / 101.325 - 1;
    expect(Math.abs(off) * 100).toBeLessThan(fluid.errorPercent);
  });
});
