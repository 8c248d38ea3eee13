import { motorRoles } from '../circuit/index.ts';
import { deadState, isSettled, ohmsBetween, type Effect, type Network } from '../solver/index.ts';
import { DEAD, type Place } from './place.ts';
import { misfitOf, OPEN_LINE } from './tolerance.ts';

/**
 * What a reading in ohms rests on. `firm`: wires, contacts, heaters, probes. `winding`: a motor, a coil of a valve, or a contactor's coil, whose
 * ohms are less than its running current says. `electronics`: the supply of a control or a transformer, whose ohms say nothing.
 */
export type Ground = 'firm' | 'winding' | 'electronics';

/** Roles whose ohms do not follow from plate watts: motors and valves (common practice; a heater's do). */
const woundRoles: ReadonlySet<string> = new Set([...motorRoles, 'solenoid', 'other', 'alarm', 'light']);

/** A winding is taken as whole from a twentieth to three times what its running current would make of it. */
const LEAST = 0.05;
const MOST = 3;

/** Tells what readings of a circuit rest on: by making windings, then electronics, ten times as conductive, and looking what moves. */
export function groundsOf(network: Network): (place: Place) => Ground {
  const plain = deadState(network);
  const wound = deadState(network, tenfold(network, 'winding'));
  const electronic = deadState(network, tenfold(network, 'electronics'));
  if (!isSettled(plain) || !isSettled(wound) || !isSettled(electronic)) return () => 'firm';
  return (place) => {
    if (place.state !== DEAD || 'through' in place) return 'firm';
    const [a, b] = [network.nodeOf.get(place.from), network.nodeOf.get(place.to)];
    if (a === undefined || b === undefined) return 'firm';
    const ohms = ohmsBetween(plain, a, b);
    const moves = (other: typeof plain) => misfitOf('ohm', ohms, ohmsBetween(other, a, b)) > 1;
    if (ohms < OPEN_LINE && moves(electronic)) return 'electronics';
    return ohms < OPEN_LINE && moves(wound) ? 'winding' : 'firm';
  };
}

/** True for a reading that leaves a winding whole. */
export function isWholeWinding(expected: number, read: number): boolean {
  return read >= expected * LEAST && read <= expected * MOST;
}

function tenfold(network: Network, what: Exclude<Ground, 'firm'>): Effect {
  const siemens = new Map<number, number>();
  for (const { part, branch, count } of network.parts) {
    const mine =
      what === 'electronics'
        ? part.kind === 'control'
        : part.kind === 'contactor' || (part.kind === 'load' && woundRoles.has(part.role));
    if (!mine) continue;
    const branches = part.kind === 'contactor' ? 1 : count;
    for (let i = branch; i < branch + branches; i += 1)
      siemens.set(i, 10 * Math.hypot(network.branches[i]!.re, network.branches[i]!.im));
  }
  return { siemens };
}
