import { contactEnds, terminalsOf, type Circuit } from '../circuit/index.ts';
import { isFed, isSettled, metalPaths, networkOf, settle, type Network } from '../solver/index.ts';
import type { Place } from '../readings/index.ts';

/** The conductor that readings are taken against: what the first control's second terminal hangs on, else the neutral, else the last line. */
export function referenceOf(network: Network): string {
  const { circuit } = network;
  const state = Object.keys(circuit.states)[0]!;
  const settled = settle(network, { state, outputs: circuit.states[state]! });
  const control = network.parts.find(({ part }) => part.kind === 'control');
  if (control && isSettled(settled)) {
    const groups = metalPaths(settled);
    const second = control.nodes[1]!;
    if (isFed(groups, second)) {
      const at = network.sources.find((s) => groups.group[s.node] === groups.group[second]);
      if (at) return at.id;
    }
  }
  const neutral = circuit.supplies.find((s) => s.volts === 0 && s.id !== 'PE');
  return (neutral ?? circuit.supplies.filter((s) => s.id !== 'PE').at(-1) ?? circuit.supplies[0]!).id;
}

/** Where a technician puts the leads in every state: control supply, each common and throw against the return, over each load and coil. */
export function meterPoints(circuit: Circuit, network: Network = networkOf(circuit)): readonly Place[] {
  const against = referenceOf(network);
  const points = circuit.parts.flatMap((part): (readonly [string, string])[] => {
    const at = (terminal: string) => `${part.id}.${terminal}`;
    switch (part.kind) {
      case 'control':
        return [[at(part.terminals[0]!), at(part.terminals[1]!)]];
      case 'contact': {
        const ends = contactEnds(part);
        const throws = [ends.no, ends.nc].filter((t): t is string => t !== null);
        const wired = throws.filter((t) => circuit.wires.some((w) => w.from === at(t) || w.to === at(t)));
        return [ends.com, ...wired].map((t) => [at(t), against] as const);
      }
      case 'contactor':
        return [[at(part.coil[0]!), at(part.coil[1]!)]];
      case 'load': {
        const t = terminalsOf(part).map(at);
        return t.length === 3
          ? [
              [t[0]!, t[1]!],
              [t[1]!, t[2]!],
              [t[0]!, t[2]!],
            ]
          : [[t[0]!, t[1]!]];
      }
      default:
        return [];
    }
  });
  return Object.keys(circuit.states).flatMap((state) => points.map(([from, to]) => ({ state, from, to })));
}
