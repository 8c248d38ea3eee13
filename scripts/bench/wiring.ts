import { convert } from '@brine/core/wiring/conversion';
import { diagnose } from '@brine/core/wiring/faults';
import { isSettled, networkOf, settle } from '@brine/core/wiring/solver';
import { proofOf } from '@brine/core/wiring/meter';
import { typicalConversion } from '@brine/core/wiring/typical';
import type { Circuit, Part } from '@brine/core/wiring/circuit';
import type { Reading } from '@brine/core/wiring/readings';
import type { ControllerDefinition } from '@brine/core/controllers/definitions';

/** A circuit of sixty nodes and twelve states: ten relays of one control, each with a limit and a load. */
export function sixtyNodes(): Circuit {
  const ways = Array.from({ length: 10 }, (_, i) => i + 1);
  const parts: Part[] = [
    { id: 'F1', kind: 'fuse', terminals: ['a', 'b'], amps: 60 },
    { id: 'T1', kind: 'junction', terminals: ['1', '2', '3'] },
    {
      id: 'U1',
      kind: 'control',
      terminals: ['line', 'common'],
      ohms: 2880,
      ratedVolts: 120,
      owns: ways.map((n) => `K${n}`),
    },
    ...ways.flatMap((n): Part[] => [
      { id: `K${n}`, kind: 'contact', terminals: ['com', 'no'], drivenBy: `out${n}` },
      {
        id: `M${n}`,
        kind: 'load',
        role: 'other',
        terminals: ['1', '2'],
        watts: 200 + 10 * n,
        ratedVolts: 120,
      },
      { id: `X${n}`, kind: 'junction', terminals: ['1'] },
    ]),
  ];
  return {
    format: 'brine-dial/circuit@1',
    supplies: [
      { id: 'L1', volts: 120 },
      { id: 'N', volts: 0 },
      { id: 'PE', volts: 0 },
    ],
    parts,
    wires: [
      { from: 'L1', to: 'F1.a' },
      { from: 'F1.b', to: 'U1.line' },
      { from: 'U1.common', to: 'N' },
      ...ways.flatMap((n) => [
        { from: n === 1 ? 'U1.line' : `K${n - 1}.com`, to: `K${n}.com` },
        { from: `K${n}.no`, to: `X${n}.1` },
        { from: `X${n}.1`, to: `M${n}.1` },
        { from: `M${n}.2`, to: 'N' },
      ]),
    ],
    states: Object.fromEntries([
      ['off', [] as string[]],
      ...ways.map((n) => [`s${n}`, [`out${n}`]] as const),
      ['all', ways.map((n) => `out${n}`)],
    ]),
  };
}

/** The same states by Gaussian elimination on the full matrix: what a plain solver would need. */
function dense(circuit: Circuit): void {
  const network = networkOf(circuit);
  for (const [state, outputs] of Object.entries(circuit.states)) {
    const settled = settle(network, { state, outputs });
    if (!isSettled(settled)) throw new Error(state);
    const n = network.nodes.length;
    // Two rounds of clicking, as the solver has them; real and imaginary side by side.
    for (let round = 0; round < 2; round += 1) {
      const m = Array.from({ length: n }, () => new Float64Array(n + 2));
      network.branches.forEach(({ a, b }, i) => {
        const y = settled.yRe[i]!;
        m[a]![a]! += y;
        m[b]![b]! += y;
        m[a]![b]! -= y;
        m[b]![a]! -= y;
      });
      for (const source of network.sources) {
        m[source.node]![source.node]! += 20;
        m[source.node]![n]! += 20 * source.re;
        m[source.node]![n + 1]! += 20 * source.im;
      }
      for (let k = 0; k < n; k += 1)
        for (let i = k + 1; i < n; i += 1) {
          const f = m[i]![k]! / (m[k]![k]! || 1);
          if (f !== 0) for (let j = k; j < n + 2; j += 1) m[i]![j]! -= f * m[k]![j]!;
        }
    }
  }
}

/** Timings of the circuit solver, the fault finder and the proof. */
export function benchWiring(
  marl: ControllerDefinition,
  {
    least,
    line,
  }: {
    least(work: () => unknown, times?: number, inner?: number): number;
    line(name: string, work: number, against: number, what: string): void;
  },
): void {
  const circuit = sixtyNodes();
  const solveAll = () => {
    const network = networkOf(circuit);
    for (const [state, outputs] of Object.entries(circuit.states)) settle(network, { state, outputs });
  };
  const ms = (time: number) => `(${time.toFixed(time < 10 ? 2 : 0)} ms on this machine)`;
  const solved = least(solveAll, 7, 10);
  const name = `${networkOf(circuit).nodes.length} nodes, ${Object.keys(circuit.states).length} states, by the full matrix`;
  line(name, least(() => dense(circuit), 5, 3) - solved, solved, `solving them ${ms(solved)}`);
  const plan = convert(typicalConversion('timer-and-thermostat')!.circuit, marl).circuit;
  const readings: Reading[] = [
    { state: 'off', from: 'U1.p3', to: 'U1.p1', reads: { value: 207, unit: 'V' } },
    { state: 'cooling', from: 'M2.1', to: 'M2.2', reads: { value: 0.2, unit: 'V' } },
    { state: 'defrost', from: 'H1.H1', to: 'H1.H2', reads: { value: 205, unit: 'V' } },
  ];
  const odd: Reading[] = [
    ...readings,
    { state: 'cooling', from: 'CC.A1', to: 'CC.A2', reads: { value: 90, unit: 'V' } },
  ];
  const first = least(() => diagnose(plan, readings, { kinds: 'first' }), 3, 1);
  const every = least(() => diagnose(plan, readings), 2, 1);
  const pairs = least(() => diagnose(plan, odd), 1, 1);
  const proof = least(() => proofOf(plan), 2, 1);
  line('faults of the first kinds, 28 wires', first, solved, `the sixty nodes ${ms(first)}`);
  line('every single fault', every, first, `the first kinds ${ms(every)}`);
  line('every single fault and pairs, nothing fitting', pairs, first, `the first kinds ${ms(pairs)}`);
  line('the fewest readings that prove it', proof, first, `the first kinds ${ms(proof)}`);
  const dark: Reading = { state: 's3', from: 'M3.1', to: 'M3.2', reads: { value: 0, unit: 'V' } };
  const sixtyFirst = least(() => diagnose(circuit, [dark], { kinds: 'first' }), 2, 1);
  const sixtyAll = least(() => diagnose(circuit, [dark]), 1, 1);
  line('sixty nodes, first kinds', sixtyFirst, solved, `solving them ${ms(sixtyFirst)}`);
  line('sixty nodes, all kinds', sixtyAll, sixtyFirst, `the first kinds ${ms(sixtyAll)}`);
}
