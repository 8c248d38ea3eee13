import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { isFileProblem } from '../files/index.ts';
import { referenceJson, referenceTable } from '../../../testing/referenceTables.ts';
import { slopeAt, steinhartThrough } from '../../../testing/probeCurves.ts';
import { celsiusAt, ohmsAt, type Curve } from './curve.ts';
import { explainReading, readsWith } from './wrongType.ts';
import { identify } from './identify.ts';
import { leadOhms, menuSensors, otherSensors, sensorOf } from './sensors.ts';
import { platinumTolerance } from './platinum.ts';
import { readTable } from './table.ts';

const curve = (id: string) => sensorOf(id)!.curve;
const number = (row: Readonly<Record<string, string>>, name: string) => Number(row[name]);

describe('curves', () => {
  // Oracle: IEC 60751 as tabulated in reference/pt_rtd.csv; tolerance is print rounding.
  test.each(referenceTable('pt_rtd.csv'))('platinum at $t_C °C', (row) => {
    const t = number(row, 't_C');
    expect(ohmsAt(curve('pt100'), t)).toBeCloseTo(number(row, 'Pt100_ohm'), 4);
    expect(ohmsAt(curve('pt1000'), t)).toBeCloseTo(number(row, 'Pt1000_ohm'), 3);
    expect(slopeAt(curve('pt100'), t)).toBeCloseTo(number(row, 'dR_dt_Pt100_ohm_per_K'), 4);
    expect(platinumTolerance('AA', t)).toBeCloseTo(number(row, 'tol_AA_K'), 3);
    expect(platinumTolerance('A', t)).toBeCloseTo(number(row, 'tol_A_K'), 3);
    expect(platinumTolerance('B', t)).toBeCloseTo(number(row, 'tol_B_K'), 3);
    expect(platinumTolerance('C', t)).toBeCloseTo(number(row, 'tol_C_K'), 3);
  });

  test('platinum backwards', () => {
    for (const row of referenceTable('pt_rtd_inverse.csv'))
      expect(celsiusAt(curve(row['type']!.toLowerCase()), number(row, 'R_ohm'))).toBeCloseTo(
        number(row, 't_C'),
        3,
      );
  });

  // Oracle: the beta equation in reference/ntc_beta.csv, six figures printed.
  test('NTC by the beta equation, both ways', () => {
    const columns = {
      ntc10k: '10k_B3435_ohm',
      ntc10k3977: '10k_B3977_ohm',
      ntc5k3977: '5k_B3977_ohm',
      ntc2k3977: '2k_B3977_ohm',
    };
    for (const row of referenceTable('ntc_beta.csv'))
      for (const [id, column] of Object.entries(columns))
        expect(ohmsAt(curve(id), number(row, 't_C')) / number(row, column)).toBeCloseTo(1, 5);
    for (const row of referenceTable('ntc_beta_inverse.csv')) {
      const [size, beta] = /^(\d+k)_B(\d+)$/.exec(row['type']!)!.slice(1);
      const id = beta === '3435' ? 'ntc10k' : `ntc${size}3977`;
      expect(celsiusAt(curve(id), number(row, 'R_ohm'))).toBeCloseTo(number(row, 't_C'), 3);
    }
  });

  // Oracle: Steinhart and Hart with the widely printed 10 kΩ set, and the three-point fit by linear solve.
  test('Steinhart and Hart, and the fit through three points', () => {
    const reference = referenceJson<{
      published_coeffs_from_memory: { A: number; B: number; C: number };
      examples: { R_ohm: number; t_C: number }[];
      three_point_fit: { points: [number, number][]; A: number; B: number; C: number; t_at_20000: number };
    }>('ntc_steinhart_hart.json');
    const { A, B, C } = reference.published_coeffs_from_memory;
    const published: Curve = { kind: 'steinhartHart', a: A, b: B, c: C };
    for (const { R_ohm, t_C } of reference.examples) {
      expect(celsiusAt(published, R_ohm)).toBeCloseTo(t_C, 3);
      expect(ohmsAt(published, t_C) / R_ohm).toBeCloseTo(1, 5);
    }
    const points = reference.three_point_fit.points.map(([degC, ohms]) => ({ degC, ohms }));
    const fitted = steinhartThrough([points[0]!, points[1]!, points[2]!]);
    expect(fitted.a / reference.three_point_fit.A).toBeCloseTo(1, 9);
    expect(fitted.b / reference.three_point_fit.B).toBeCloseTo(1, 9);
    expect(fitted.c / reference.three_point_fit.C).toBeCloseTo(1, 7);
    expect(celsiusAt(fitted, 20000)).toBeCloseTo(reference.three_point_fit.t_at_20000, 3);
    // Identity: three points of a pure beta curve give B = 1/β and C = 0.
    const pure = [0, 25, 50].map((degC) => ({ degC, ohms: ohmsAt(curve('ntc10k'), degC) }));
    const again = steinhartThrough([pure[0]!, pure[1]!, pure[2]!]);
    expect(again.b * 3435).toBeCloseTo(1, 9);
    expect(Math.abs(again.c)).toBeLessThan(1e-15);
  });

  test('silicon PTC, both ways', () => {
    for (const row of referenceTable('ptc_silicon.csv')) {
      expect(ohmsAt(curve('ptc1k'), number(row, 't_C'))).toBeCloseTo(number(row, 'R25_1000_ohm'), 2);
      expect(ohmsAt(curve('ptc990'), number(row, 't_C'))).toBeCloseTo(number(row, 'R25_990_ohm'), 2);
    }
    for (const row of referenceTable('ptc_silicon_inverse.csv')) {
      expect(celsiusAt(curve('ptc1k'), number(row, 'R_ohm'))).toBeCloseTo(number(row, 't_C_R25_1000'), 3);
      expect(celsiusAt(curve('ptc990'), number(row, 'R_ohm'))).toBeCloseTo(number(row, 't_C_R25_990'), 3);
    }
  });

  test('every curve is undone by its inverse (property)', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...menuSensors, ...otherSensors),
        fc.double({ min: -55, max: 100, noNaN: true }),
        (sensor, t) => {
          expect(celsiusAt(sensor.curve, ohmsAt(sensor.curve, t))).toBeCloseTo(t, 6);
        },
      ),
      { seed: 6, numRuns: 400 },
    );
  });

  test('a resistance no temperature gives is no temperature', () => {
    expect(celsiusAt(curve('ptc1k'), 150)).toBeNull();
    expect(celsiusAt(curve('pt100'), 5000)).toBeNull();
    expect(celsiusAt(curve('ntc10k'), 0)).toBeNull();
  });

  // Oracle: the trap of reference-values: 1 Ω of lead on a two-wire sensor at 0 °C.
  test('an ohm of lead moves a Pt100 by 2.56 K and a Pt1000 by 0.26 K', () => {
    expect(celsiusAt(curve('pt100'), 101)).toBeCloseTo(2.5596, 3);
    expect(celsiusAt(curve('pt1000'), 1001)).toBeCloseTo(0.25588, 4);
    expect(leadOhms(20, 0.5)).toBeCloseTo(1.379, 3);
  });
});

describe('a pasted table', () => {
  test.each([
    ['tabs and kilohms', '0\t28.7k\n25\t10.0k\n50\t4.1k'],
    ['semicolons and decimal commas', '0;28,7k\n25;10,0k\n50;4,1k'],
    ['a header, blanks, any order', 'degrees ohms\n50  4100\n0  28700\n\n25  10000'],
    ['°F', '32 28700\n77 10000\n122 4100'],
  ])('is read: %s', (name, text) => {
    const read = readTable(text, name === '°F');
    if (isFileProblem(read)) throw new Error(read.message);
    expect(read.map((p) => [Math.round(p.degC), Math.round(p.ohms)])).toEqual([
      [0, 28700],
      [25, 10000],
      [50, 4100],
    ]);
    // Between the points the beta curve it came from is met within what the rounding of its points allows.
    expect(celsiusAt({ kind: 'table', points: read }, ohmsAt(curve('ntc10k'), 12))).toBeCloseTo(12, 0);
  });

  test.each([
    ['25', 'expected a temperature and ohms'],
    ['25 10000', 'at least two'],
    ['0 100\n0 200', 'twice'],
    ['0 100\n10 200\n20 150', 'turn'],
  ])('%j is refused', (text, part) => {
    const read = readTable(text);
    expect(isFileProblem(read) && read.message).toContain(part);
  });
});

describe('which sensor it is', () => {
  test('9.0 kΩ at 27 °C is an NTC of 10 kΩ', () => {
    const { verdict, candidates } = identify([{ ohms: 9000, celsius: 27 }]);
    expect([verdict, candidates[0]!.sensor.id]).toEqual(['match', 'ntc10k']);
    expect(candidates[0]!.expectedOhms).toBeCloseTo(9261.041, 3);
    expect(candidates[0]!.readsC).toBeCloseTo(27.7518, 3);
    expect(candidates[0]!.odds).toBeGreaterThan(0.95);
  });

  test('every sensor is found from two readings a season apart, and the odds are a share of one (property)', () => {
    const all = [...menuSensors, ...otherSensors];
    fc.assert(
      fc.property(
        fc.constantFrom(...all),
        fc.double({ min: -25, max: 5, noNaN: true }),
        fc.double({ min: 30, max: 45, noNaN: true }),
        (sensor, cold, warm) => {
          const { verdict, candidates } = identify(
            [cold, warm].map((celsius) => ({ celsius, ohms: ohmsAt(sensor.curve, celsius) + 0.5 })),
            all,
            0.5,
          );
          expect([verdict, candidates[0]!.sensor.id]).toEqual(['match', sensor.id]);
          expect(candidates.reduce((sum, c) => sum + c.odds, 0)).toBeLessThan(1);
        },
      ),
      { seed: 6, numRuns: 100 },
    );
  });

  test('PTC of 1 kΩ and platinum of 1000 Ω look alike at room temperature until a second reading parts them', () => {
    const ptc = curve('ptc1k');
    const warm = identify([{ ohms: 1092, celsius: 23.7 }]);
    expect(warm.candidates[0]!.sensor.id).toBe('pt1000');
    const odds = (readings: Parameters<typeof identify>[0], id: string) =>
      identify(readings).candidates.find((c) => c.sensor.id === id)!.odds;
    const one = { celsius: 32, ohms: ohmsAt(ptc, 32) };
    const two = { celsius: 0, ohms: ohmsAt(ptc, 0) };
    expect(odds([one, two], 'ptc1k')).toBeGreaterThan(odds([one], 'ptc1k') - 1e-9);
    expect(odds([one, two], 'ptc1k')).toBeGreaterThan(0.99);
  });

  test('open, shorted, and of no kind', () => {
    expect(identify([{ ohms: 3, celsius: 20 }]).verdict).toBe('short');
    expect(identify([{ ohms: 25e6, celsius: 20 }]).verdict).toBe('open');
    expect(identify([{ ohms: 47000, celsius: 20 }]).verdict).toBe('none');
  });
});

describe('the wrong type in the menu', () => {
  // Oracle: reference/sensor_mixup.csv.
  test.each(referenceTable('sensor_mixup.csv'))('at $true_t_C °C', (row) => {
    const [a, b] = [sensorOf('ntc10k')!, sensorOf('ntc10k3977')!];
    const t = number(row, 'true_t_C');
    const reads = (shown: ReturnType<typeof readsWith>) =>
      shown.shows === 'temperature' ? shown.celsius : Number.NaN;
    expect(reads(readsWith(a, b, t))).toBeCloseTo(number(row, 'reads_if_configured_B3977_C'), 2);
    expect(reads(readsWith(b, a, t))).toBeCloseTo(number(row, 'reads_if_configured_B3435_C'), 2);
  });

  test('an NTC on a PTC input shows an open probe in the cold, a PTC on an NTC input tens of degrees too much', () => {
    expect(readsWith(sensorOf('ntc10k')!, sensorOf('ptc1k')!, 2)).toEqual({ shows: 'open' });
    const warm = readsWith(sensorOf('ptc1k')!, sensorOf('ntc10k')!, 2);
    expect(warm.shows === 'temperature' ? warm.celsius : 0).toBeGreaterThan(80);
  });

  test('a strange reading leads back to the pair that gives it', () => {
    const shown = readsWith(sensorOf('ptc1k')!, sensorOf('pt1000')!, 4);
    if (shown.shows !== 'temperature') throw new Error('shows nothing');
    const [first] = explainReading(shown.celsius, 4, sensorOf('pt1000')!);
    expect([first!.fitted.id, first!.set.id]).toEqual(['ptc1k', 'pt1000']);
    expect(explainReading(shown.celsius, 4)[0]).toMatchObject({
      fitted: { id: 'ptc1k' },
      set: { id: 'pt1000' },
    });
  });
});
