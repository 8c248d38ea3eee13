import { describe, expect, test } from '@jest/globals';
import {
  typical,
  freezer,
  reachIn,
  splitPhase,
  threePhaseFreezer,
  vehicleFridge,
  withoutWire,
  withWires,
} from '../../../testing/circuits.ts';
import { ngspice } from '../../../testing/ngspice.ts';
import type { Circuit } from '../circuit/circuit.ts';
import { reportState } from '../report/report.ts';
import { isSettled } from './settle.ts';
import { networkOf } from './network.ts';
import { statesOf } from './states.ts';

// Oracle: ngspice (testing/ngspice.ts). Tolerance 0.1 % of the largest voltage, as the issue asks; 0.1 % of each current.

const circuits: readonly (readonly [string, () => Circuit])[] = [
  ['a freezer on 120 V', freezer],
  ['the freezer with its neutral open', () => withoutWire(freezer(), 'M1.2-N')],
  ['the freezer with a lost jumper', () => withoutWire(freezer(), 'U1.line-K1.com')],
  ['the freezer shorted over its fan', () => withWires(freezer(), 'K2.no>N')],
  ['a reach-in with a two-wire thermostat', reachIn],
  ['240 V split phase with a contactor', splitPhase],
  ['split phase with one leg lost', () => withoutWire(splitPhase(), 'L2-F2.a')],
  ['three phases and a transformer', threePhaseFreezer],
  ['three phases with one line lost', () => withoutWire(threePhaseFreezer(), 'L3-F3.a')],
  ['a 12 V vehicle fridge', vehicleFridge],
  ['timer and thermostat as found', () => typical('timer-and-thermostat')],
  ['motors with the lag of their plate amps', () => typical('condenser-fan-cycling')],
];

describe.each(circuits)('%s', (_name, build) => {
  const circuit = build();
  const network = networkOf(circuit);
  const settled = statesOf(network).filter(isSettled);

  test('every state comes to rest', () => expect(settled).toHaveLength(Object.keys(circuit.states).length));

  test.each(settled.map((s) => [s.asked.state, s] as const))(
    '%s agrees with ngspice to 0.1 %%',
    (_state, s) => {
      const spice = ngspice(s);
      const ours = reportState(s);
      const scale = Math.max(...circuit.supplies.map((supply) => Math.abs(supply.volts)));
      for (const [node, { volts, degrees }] of Object.entries(ours.nodes)) {
        if (volts === null) continue;
        const [re, im] = spice.nodes.get(node)!;
        const angle = (degrees * Math.PI) / 180;
        const off = Math.hypot(volts * Math.cos(angle) - re, volts * Math.sin(angle) - im);
        expect({ node, off: off <= 0.001 * scale }).toEqual({ node, off: true });
      }
      for (const supply of circuit.supplies) {
        const source = s.network.sources.find((x) => x.id === supply.id)!;
        const amps = Math.hypot(s.re[source.node]! - source.re, s.im[source.node]! - source.im) / 0.05;
        expect(Math.abs(amps - spice.amps.get(supply.id)!)).toBeLessThanOrEqual(0.001 * amps + 1e-4);
      }
    },
  );
});
