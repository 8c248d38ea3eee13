import { describe, expect, test } from '@jest/globals';
import { referenceJson } from '../../../testing/referenceTables.ts';
import { meanKineticTemperature } from './kinetic.ts';

interface Case {
  readonly case: string;
  readonly temps_C: readonly number[];
  readonly weights: readonly number[];
  readonly mkt_C: number;
}

// Oracle: reference/mkt.json, USP <1079>, two implementations.
describe('mean kinetic temperature', () => {
  const { cases } = referenceJson<{ cases: readonly Case[] }>('mkt.json');
  test.each(cases.filter((c) => c.temps_C !== undefined))('$case', ({ temps_C, weights, mkt_C }) => {
    // Whole weights are so many equal readings.
    const readings = temps_C.flatMap((t, i) => Array.from({ length: weights[i]! }, () => t));
    expect(meanKineticTemperature(readings)).toBeCloseTo(mkt_C, 3);
  });

  test('lies at or above the mean, and missing readings do not count', () => {
    expect(meanKineticTemperature([2, Number.NaN, 8])).toBeCloseTo(5.5364, 4);
    expect(meanKineticTemperature([])).toBeNaN();
  });
});
