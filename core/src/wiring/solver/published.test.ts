import { describe, expect, test } from '@jest/globals';
import {
  circuit,
  contact,
  control,
  fuse,
  load,
  single,
  split,
  threePhase,
  wires,
} from '../../../testing/circuits.ts';
import { isSettled, type Settled } from './settle.ts';
import { networkOf } from './network.ts';
import { partAmps, partVolts, voltsBetween } from './reading.ts';
import { statesOf } from './states.ts';
import type { Circuit } from '../circuit/circuit.ts';

function state(c: Circuit, name: string): Settled {
  const found = statesOf(networkOf(c))
    .filter(isSettled)
    .find((s) => s.asked.state === name);
  if (!found) throw new Error(name);
  return found;
}
const volts = (s: Settled, a: string, b: string) =>
  voltsBetween(s, s.network.nodeOf.get(a)!, s.network.nodeOf.get(b)!);
const index = (s: Settled, id: string) => s.network.parts.findIndex((p) => p.part.id === id);

describe('closed forms of the electrical trade', () => {
  /*
   * Two loads on a shared neutral at 120/240 V: 1200 W (12 Ω) on one leg, 303 W (47.525 Ω, as 48 Ω beside 4800 Ω) on the other. Oracle:
   * with the neutral open they divide 240 V in series, 240·12/59.525 = 48.38 V and 191.62 V. Tolerance 1.5 V: up to 10 A through the
   * supply's 0.05 Ω, the fuse and the wires, which the closed form has not.
   */
  const shared = (neutral: string) =>
    circuit(
      split,
      [
        fuse('F1', 30),
        fuse('F2', 30),
        { id: 'J', kind: 'junction', terminals: ['1'] },
        load('A', 'heater', 1200, 120),
        load('B', 'heater', 303, 120),
      ],
      `L1>F1.a L2>F2.a F1.b>A.1 F2.b>B.1 A.2>J.1 B.2>J.1 ${neutral}`,
      { on: [] },
    );

  test('a shared neutral that is open divides the line voltage by the loads', () => {
    const s = state(shared(''), 'on');
    expect(Math.abs(partVolts(s, index(s, 'A')) - 48.38)).toBeLessThan(1.5);
    expect(Math.abs(partVolts(s, index(s, 'B')) - 191.62)).toBeLessThan(1.5);
  });

  test('with the neutral whole each load has its own leg', () => {
    const s = state(shared('J.1>N'), 'on');
    for (const id of ['A', 'B']) expect(Math.abs(partVolts(s, index(s, id)) - 120)).toBeLessThan(1.5);
  });

  // Oracle: 208Y/120 phasors, 120·√3 = 207.846 V between lines; the high leg of a 240 V delta, 207.846 V to neutral.
  test('lines of a 208Y/120 V supply are 207.846 V apart', () => {
    const s = state(circuit(threePhase, [], '', { on: [] }), 'on');
    for (const [a, b] of [
      ['L1', 'L2'],
      ['L2', 'L3'],
      ['L3', 'L1'],
    ] as const)
      expect(volts(s, a, b)).toBeCloseTo(207.846, 3);
  });

  test('the high leg of a 240 V delta reads 207.846 V to neutral', () => {
    const delta = [
      { id: 'A', volts: 120, degrees: 0 },
      { id: 'C', volts: 120, degrees: 180 },
      { id: 'B', volts: 120 * Math.sqrt(3), degrees: 90 },
      { id: 'N', volts: 0 },
    ];
    const s = state(circuit(delta, [], '', { on: [] }), 'on');
    expect(volts(s, 'B', 'N')).toBeCloseTo(207.846, 3);
    expect(volts(s, 'A', 'B')).toBeCloseTo(240, 3);
  });

  /*
   * A balanced heater of 3000 W at 208 V. Oracle: line amps 3000/(√3·208) = 8.3272 A; with one line lost two legs of 14.4213 Ω in
   * series on 208 V, 7.2115 A. The supply here is 207.846 V behind 0.05 Ω: 0.7 % below, hence a tolerance of 1 %.
   */
  const heater = (third: string) =>
    circuit(
      threePhase,
      [load('H', 'heater', 3000, 208, { terminals: ['U', 'V', 'W'] })],
      `L1>H.U L2>H.V ${third}`,
      { on: [] },
    );

  test('a three-phase heater draws its line amps', () => {
    const s = state(heater('L3>H.W'), 'on');
    expect(Math.abs(partAmps(s, index(s, 'H')) / 8.3272 - 1)).toBeLessThan(0.01);
  });

  test('with one line lost it draws what two legs in series draw', () => {
    const s = state(heater(''), 'on');
    expect(Math.abs(partAmps(s, index(s, 'H')) / 7.2115 - 1)).toBeLessThan(0.01);
  });

  // Oracle: a motor's volt-amperes are its plate volts times amps, whatever its watts say.
  test('a motor with plate amps draws them', () => {
    const s = state(
      circuit(single, [load('M', 'compressor', 700, 120, { amps: 8 })], 'L1>M.1 M.2>N', { on: [] }),
      'on',
    );
    expect(Math.abs(partAmps(s, index(s, 'M')) / 8 - 1)).toBeLessThan(0.01);
  });

  /*
   * Two-wire thermostat replaced, jumper missing: the common is dead, the line is live (common practice; the reading that the whole
   * fault finder hangs on). With a whole jumper both are live.
   */
  test.each([
    ['', 0],
    ['U1.line>K1.com', 120],
  ])('with the jumper “%s” the common reads about %i V', (jumper, expected) => {
    const runs = `L1>F1.a F1.b>U1.line U1.common>N K1.no>M1.1 M1.2>N ${jumper}`.trim();
    const c = circuit(
      single,
      [
        fuse('F1', 15),
        control('U1', ['K1']),
        contact('K1', 'compressor'),
        load('M1', 'compressor', 600, 120),
      ],
      wires(runs),
      { cooling: ['compressor'] },
    );
    const s = state(c, 'cooling');
    expect(Math.abs(volts(s, 'K1.com', 'N') - expected)).toBeLessThan(1);
    expect(Math.abs(volts(s, 'U1.line', 'N') - 120)).toBeLessThan(1);
  });

  test('a voltmeter has 10 MΩ: behind an open contact it shows half of what is there', () => {
    // 120 V over an open contact (10 MΩ) into the meter (10 MΩ): 60 V, a ghost. Oracle: the divider.
    const c = circuit(single, [contact('K1', 'compressor')], 'L1>K1.com', { off: [] });
    expect(volts(state(c, 'off'), 'K1.no', 'N')).toBeCloseTo(60, 2);
  });
});
