import { describe, expect, test } from '@jest/globals';
import { circuit, contact, control, fuse, load, single, withWires } from '../../../testing/circuits.ts';
import { Bench } from '../readings/bench.ts';
import { meterUnitOf, type Place, type Reading } from '../readings/place.ts';
import { networkOf } from '../solver/index.ts';
import type { Circuit } from '../circuit/circuit.ts';
import { settleDoubt, usualDoubts, type DoubtFact } from './doubts.ts';
import { MOST_POSSIBILITIES, narrow, possibilities } from './possible.ts';

/** A control whose second common may be fed inside, on two wires of which one is the neutral. */
const cabinet = circuit(
  single,
  [
    fuse('F1', 15),
    control('U1', ['K1', 'K2']),
    contact('K1', 'compressor'),
    contact('K2', 'fan'),
    load('M1', 'compressor', 500, 120),
    load('M2', 'evaporatorFan', 50, 120),
  ],
  'L1>F1.a F1.b>U1.line U1.common>N U1.line>K1.com K1.no>M1.1 M1.2>U1.common K2.no>M2.1 M2.2>U1.common',
);
const fed: DoubtFact = { kind: 'commonFed', control: 'U1', contact: 'K2' };
const neutral: DoubtFact = { kind: 'neutral', wires: ['L1-F1.a', 'U1.common-N'] };
const meter = (truth: Circuit) => {
  const bench = new Bench({ network: networkOf(truth), effect: {} });
  return (place: Place): Reading => {
    const unit = meterUnitOf(place);
    return { ...place, reads: { value: Math.min(bench.expect(place), 1e7), unit } };
  };
};

test('every combination of the doubts is a circuit that may be', () => {
  const all = possibilities(cabinet, [fed, neutral]);
  expect(all.map((p) => p.choices)).toEqual([
    ['dry', 'asWritten'],
    ['dry', 'swapped'],
    ['fed', 'asWritten'],
    ['fed', 'swapped'],
  ]);
});

test('the doubts that often come up are asked of what is there', () => {
  expect(usualDoubts(cabinet)).toEqual([
    { kind: 'neutral', wires: ['L1-F1.a', 'U1.common-N'] },
    { kind: 'commonFed', control: 'U1', contact: 'K1' },
    { kind: 'commonFed', control: 'U1', contact: 'K2' },
  ]);
});

test('no more are held than can be told apart in a visit', () => {
  const many = Array.from({ length: 20 }, () => fed);
  expect(possibilities(cabinet, many).length).toBeLessThanOrEqual(MOST_POSSIBILITIES);
});

describe('the reading that splits them', () => {
  test('is a dead one where ohms tell it: a common fed inside reads through to the hot', () => {
    const { next } = narrow(cabinet, [fed], []);
    expect(next).toMatchObject({ state: 'dead' });
    expect(next!.bits).toBeCloseTo(1, 3);
    expect(new Set(next!.expect.map((e) => e.fault)).size).toBe(2);
  });

  test('is a live one where only volts tell which leg is high', () => {
    const legs = ['A', 'B', 'C'].map((id) => ({ id, volts: 120 }));
    const delta = circuit([...legs, { id: 'N', volts: 0 }], [fuse('F1', 15)], 'A>F1.a', { off: [] });
    const { next, of } = narrow(delta, [{ kind: 'highLeg', supplies: ['A', 'B', 'C'] }], []);
    expect(of).toBe(3);
    expect(next!.state).toBe('off');
    // Oracle: one of three against two of three, 0.918 bits.
    expect(next!.bits).toBeCloseTo(0.918, 3);
  });

  test.each([
    ['dry', 'asWritten'],
    ['dry', 'swapped'],
    ['fed', 'asWritten'],
    ['fed', 'swapped'],
  ])('followed to the end it leaves the one that is true: %s, %s', (a, b) => {
    const truth = settleDoubt(settleDoubt(cabinet, fed, a), neutral, b);
    const read = meter(truth);
    const readings: Reading[] = [];
    for (let n = 0; n < 6; n += 1) {
      const { next, left } = narrow(cabinet, [fed, neutral], readings);
      if (!next) {
        expect(left.map((p) => p.choices)).toEqual([[a, b]]);
        // Oracle: four possibilities, two ways a reading at least: no more than two readings.
        expect(readings.length).toBeLessThanOrEqual(2);
        return;
      }
      readings.push(read(next));
    }
    throw new Error('never ended');
  });

  test('a winding that reads less than its running current says is still whole', () => {
    // 500 W at 120 V is 28.8 Ω by its current; the winding reads 3 Ω. Written down wrongly it would read open.
    const place = { state: 'dead', from: 'M1.1', to: 'M1.2' } as const;
    const real: Reading = { ...place, reads: { value: 3, unit: 'ohm' } };
    const off: DoubtFact = {
      kind: 'endsOn',
      wire: 'M1.2-U1.common',
      end: 'to',
      among: ['U1.common', 'K2.no'],
    };
    expect(narrow(cabinet, [off], [real]).none).toBe(false);
  });

  test('readings that fit none are said to', () => {
    const odd: Reading = { state: 'off', from: 'U1.line', to: 'N', reads: { value: 77, unit: 'V' } };
    expect(narrow(cabinet, [fed], [odd])).toMatchObject({ none: true, left: [] });
  });
});

test('one leg of a delta is high: 120 V on two, 207.8 V on the third', () => {
  // Oracle: 120·√3 = 207.846 V, the phasors of a centre-tapped delta.
  const legs = ['A', 'B', 'C'].map((id) => ({ id, volts: 120 }));
  const delta = circuit([...legs, { id: 'N', volts: 0 }], [], '', { off: [] });
  const read = meter(settleDoubt(delta, { kind: 'highLeg', supplies: ['A', 'B', 'C'] }, 'B'));
  const volts = (from: string, to: string) => read({ state: 'off', from, to }).reads.value;
  expect(volts('B', 'N')).toBeCloseTo(207.846, 2);
  expect([volts('A', 'N'), volts('C', 'N')].map((v) => Math.round(v))).toEqual([120, 120]);
  for (const [a, b] of [
    ['A', 'B'],
    ['B', 'C'],
    ['A', 'C'],
  ] as const)
    expect(volts(a, b)).toBeCloseTo(240, 2);
});

test('a doubt about nothing of this circuit changes nothing', () => {
  expect(settleDoubt(cabinet, { kind: 'neutral', wires: ['x', 'y'] }, 'swapped')).toEqual(cabinet);
  expect(settleDoubt(cabinet, { kind: 'commonFed', control: 'U9', contact: 'K2' }, 'fed')).toEqual(cabinet);
  const looped = withWires(cabinet, 'K1.no>K2.no');
  const moved = settleDoubt(
    looped,
    { kind: 'endsOn', wire: 'K1.no-K2.no', end: 'to', among: ['M2.1'] },
    'M2.1',
  );
  expect(moved.wires.at(-1)!.to).toBe('M2.1');
});
