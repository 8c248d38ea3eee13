import type { Circuit } from '../circuit/index.ts';
import { fuseBefore } from '../findings/index.ts';
import { gaugeFor } from '../findings/index.ts';
import { networkOf } from '../solver/index.ts';
import { isMetric } from './colours.ts';

/** The same circuit with the thinnest usual gauge for the fuse before it on every new wire and jumper; probe leads have none. */
export function sized(circuit: Circuit): Circuit {
  const network = networkOf(circuit);
  const before = fuseBefore(network);
  const metric = isMetric(circuit);
  return {
    ...circuit,
    wires: circuit.wires.map((wire, i) => {
      const fresh = wire.change === 'new' || wire.change === 'jumper';
      if (!fresh || wire.internal || wire.gauge !== undefined || wire.lowVoltage) return wire;
      const { a, b } = network.branches[i]!;
      const fuse = Math.max(before.get(a) ?? 0, before.get(b) ?? 0);
      return fuse === 0 ? wire : { ...wire, gauge: gaugeFor(fuse, metric) };
    }),
  };
}
