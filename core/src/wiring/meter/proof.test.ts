import { describe, expect, test } from '@jest/globals';
import { freezer, splitPhase, vehicleFridge } from '../../../testing/circuits.ts';
import { breakNetwork } from '../faults/broken.ts';
import { firstFaults } from '../faults/fault.ts';
import { Bench } from '../readings/bench.ts';
import { DEAD } from '../readings/place.ts';
import { networkOf } from '../solver/index.ts';
import { judgeReading } from './judge.ts';
import { proofOf } from './proof.ts';

describe.each([
  ['freezer', freezer],
  ['split phase', splitPhase],
  ['vehicle fridge', vehicleFridge],
])('the readings that prove a circuit: %s', (_name, build) => {
  const circuit = build();
  const network = networkOf(circuit);
  const proof = proofOf(circuit, network);

  test('dead readings come before live ones', () => {
    const states = proof.rows.map((row) => row.place.state);
    expect(states.lastIndexOf(DEAD)).toBeLessThan(states.findIndex((s) => s !== DEAD));
  });

  test('the supply of the control is always read', () => {
    const control = circuit.parts.find((p) => p.kind === 'control')!;
    expect(
      proof.rows.some(
        ({ place }) =>
          place.state !== DEAD &&
          'from' in place &&
          place.from === `${control.id}.${'terminals' in control ? control.terminals[0] : ''}`,
      ),
    ).toBe(true);
  });

  test('what the compressor draws is always clamped', () => {
    const compressor = circuit.parts.find((p) => p.kind === 'load' && p.role === 'compressor')!;
    expect(proof.rows.some(({ place }) => 'through' in place && place.through === compressor.id)).toBe(true);
  });

  test('a sound circuit passes every one', () => {
    const bench = new Bench({ network, effect: {} });
    for (const row of proof.rows) expect(judgeReading(row, bench.expect(row.place))).toBe('right');
  });

  // Oracle: each fault put in and measured again, without the bookkeeping of the cover.
  test('every single fault puts at least one of them off, or is said to be out of sight', () => {
    for (const fault of firstFaults(circuit).filter((f) => f.kind !== 'none')) {
      const bench = new Bench(breakNetwork(network, fault)!);
      const noticed = proof.rows.some((row) => judgeReading(row, bench.expect(row.place)) === 'off');
      expect([
        fault,
        noticed || proof.unseen.some((u) => JSON.stringify(u) === JSON.stringify(fault)),
      ]).toEqual([fault, true]);
    }
  });

  test('none can be left out', () => {
    const faults = firstFaults(circuit).filter((f) => f.kind !== 'none');
    expect(proof.rows.length).toBeLessThan(faults.length);
    for (const row of proof.rows) expect(row.catches).toBeGreaterThan(0);
  });
});

test('a neutral that serves nothing is said to be out of sight', () => {
  expect(proofOf(splitPhase()).unseen).toEqual([{ kind: 'openSupply', supply: 'N' }]);
});

test.each([
  ['V', 120, 123.5, 'right'],
  ['V', 120, 115, 'off'],
  ['V', 0, 0.9, 'right'],
  ['V', 0, 1.1, 'off'],
  ['A', 8, 8.39, 'right'],
  ['A', 8, 8.41, 'off'],
  ['A', 0, 0.04, 'right'],
  ['ohm', 14.4, 15, 'right'],
  ['ohm', 14.4, 16, 'off'],
  ['ohm', 1e7, 2e6, 'right'],
  ['ohm', 1e7, 15, 'off'],
] as const)('%s: expected %d, read %d is %s', (unit, expected, read, verdict) => {
  expect(judgeReading({ unit, expected }, read)).toBe(verdict);
});
