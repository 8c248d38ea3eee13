import { wireIds, type Circuit } from '../circuit/index.ts';
import { eliminationOf } from '../solver/index.ts';
import type { Effect, Network } from '../solver/index.ts';
import { CLOSED, OPEN } from '../solver/index.ts';
import type { Tested } from '../readings/index.ts';
import type { Fault } from './fault.ts';

/** Puts a fault into a sound network: the same network with an effect, or another one where a wire goes elsewhere. Null where the fault names nothing of this circuit. */
export function breakNetwork(network: Network, fault: Fault): Tested | null {
  const { circuit } = network;
  const whole: Tested = { network, effect: {} };
  switch (fault.kind) {
    case 'none':
      return whole;
    case 'openWire': {
      const at = idsOf(circuit).indexOf(fault.wire);
      return at < 0 ? null : { network, effect: { siemens: new Map([[at, OPEN]]) } };
    }
    case 'blownFuse':
    case 'openLoad':
      return partSiemens(network, fault.part, OPEN, false);
    case 'openCoil':
      return openCoil(network, fault.part);
    case 'shortedLoad':
      return partSiemens(network, fault.part, CLOSED, false);
    case 'weldedContact':
    case 'contactNeverCloses': {
      const index = circuit.parts.findIndex((p) => p.id === fault.part);
      const stuck = fault.kind === 'weldedContact' ? 'made' : 'rest';
      return index < 0 ? null : { network, effect: { stuck: new Map([[index, stuck]]) } };
    }
    case 'deadControl': {
      const index = circuit.parts.findIndex((p) => p.id === fault.part);
      return index < 0 ? null : { network, effect: { dead: new Set([index]) } };
    }
    case 'openSupply':
    case 'lowSupply': {
      const index = circuit.supplies.findIndex((s) => s.id === fault.supply);
      const change = fault.kind === 'openSupply' ? { open: true } : { share: fault.share };
      return index < 0 ? null : { network, effect: { sources: new Map([[index, change]]) } };
    }
    case 'swappedWires':
    case 'wrongTerminal':
      return rewire(network, fault);
    case 'pair': {
      const [one, two] = fault.faults.map((f) => breakNetwork(network, f));
      return one && two && one.network === two.network
        ? { network, effect: merge(one.effect, two.effect) }
        : null;
    }
  }
}

/** The same network with one or two wires ending elsewhere: everything else, the order of elimination too, is taken over. */
function rewire(
  network: Network,
  fault: Extract<Fault, { kind: 'swappedWires' | 'wrongTerminal' }>,
): Tested | null {
  const ids = idsOf(network.circuit);
  const branches = [...network.branches];
  if (fault.kind === 'wrongTerminal') {
    const at = ids.indexOf(fault.wire);
    const node = network.nodeOf.get(fault.to);
    if (at < 0 || node === undefined) return null;
    branches[at] = { ...branches[at]!, [fault.end === 'from' ? 'a' : 'b']: node };
  } else {
    const [one, two] = fault.wires.map((id) => ids.indexOf(id));
    if (one === undefined || two === undefined || one < 0 || two < 0) return null;
    const [toOne, toTwo] = [branches[one]!.b, branches[two]!.b];
    branches[one] = { ...branches[one]!, b: toTwo };
    branches[two] = { ...branches[two]!, b: toOne };
  }
  const elimination = eliminationOf(network.nodes.length, branches, network.elimination.order);
  return { network: { ...network, branches, elimination }, effect: {} };
}

const idsByCircuit = new WeakMap<Circuit, readonly string[]>();

/** Wire ids, made once a circuit: thousands of faults ask for them. */
function idsOf(circuit: Circuit): readonly string[] {
  const known = idsByCircuit.get(circuit) ?? wireIds(circuit.wires);
  idsByCircuit.set(circuit, known);
  return known;
}

/** No current in a broken coil, and so no pull: its poles stay at rest whatever volts stand across it. */
function openCoil(network: Network, id: string): Tested | null {
  const broken = partSiemens(network, id, OPEN, true);
  const placed = network.parts.find((p) => p.part.id === id);
  if (!broken || !placed) return null;
  return { network, effect: { ...broken.effect, stuck: new Map([[placed.index, 'rest' as const]]) } };
}

function partSiemens(network: Network, id: string, siemens: number, coilOnly: boolean): Tested | null {
  const placed = network.parts.find((p) => p.part.id === id);
  if (!placed) return null;
  const count = coilOnly ? 1 : placed.count;
  const changed = Array.from({ length: count }, (_, i) => [placed.branch + i, siemens] as const);
  return { network, effect: { siemens: new Map(changed) } };
}

function merge(one: Effect, two: Effect): Effect {
  return {
    siemens: new Map([...(one.siemens ?? []), ...(two.siemens ?? [])]),
    stuck: new Map([...(one.stuck ?? []), ...(two.stuck ?? [])]),
    dead: new Set([...(one.dead ?? []), ...(two.dead ?? [])]),
    sources: new Map([...(one.sources ?? []), ...(two.sources ?? [])]),
  };
}
