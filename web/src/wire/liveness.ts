import { currentPaths, isFed, isSettled, networkOf, partAmps, settle } from '@brine/core/wiring/solver';
import { energisedParts, isDirectCurrent } from '@brine/core/wiring/report';
import type { Circuit } from '@brine/core/wiring/circuit';

/** What is live in a state: ends with their volts to earth, parts that work, amps by part. */
export interface Liveness {
  readonly volts: ReadonlyMap<string, number | null>;
  readonly live: ReadonlySet<string>;
  readonly on: ReadonlySet<string>;
  readonly amps: ReadonlyMap<string, number>;
  readonly restless: boolean;
}

/** Volts to earth (or to minus) from which a conductor is drawn as live: a fifth of the supply, at least 3 V. */
const SHARE = 0.2;

/** Solves one state for the drawing. */
export function livenessOf(circuit: Circuit, state: string): Liveness {
  const network = networkOf(circuit);
  const dead = state === 'dead';
  const settled = settle(network, { state, outputs: dead ? [] : (circuit.states[state] ?? []), dead });
  const nothing = { volts: new Map(), live: new Set<string>(), on: new Set<string>(), amps: new Map() };
  if (!isSettled(settled)) return { ...nothing, restless: true };
  if (dead) return { ...nothing, restless: false };
  const groups = currentPaths(settled);
  const highest = Math.max(...circuit.supplies.map((s) => Math.abs(s.volts)));
  const volts = new Map<string, number | null>();
  const live = new Set<string>();
  for (const [end, node] of network.nodeOf) {
    const value = isFed(groups, node)
      ? isDirectCurrent(circuit)
        ? settled.re[node]!
        : Math.hypot(settled.re[node]!, settled.im[node]!)
      : null;
    volts.set(end, value);
    if (value !== null && Math.abs(value) > Math.max(3, SHARE * highest)) live.add(end);
  }
  const amps = new Map(network.parts.map(({ part, index }) => [part.id, partAmps(settled, index)] as const));
  return { volts, live, on: worksIn(circuit, energisedParts(settled)), amps, restless: false };
}

/** What a person sees or hears work: loads, controls, contactors; a contact alone does not. */
function worksIn(circuit: Circuit, on: ReadonlySet<string>): ReadonlySet<string> {
  const kinds = new Set(['load', 'control', 'contactor']);
  return new Set(circuit.parts.filter((p) => kinds.has(p.kind) && on.has(p.id)).map((p) => p.id));
}
