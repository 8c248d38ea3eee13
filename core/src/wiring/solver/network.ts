import { contactEnds, type Circuit, type Part } from '../circuit/index.ts';
import { endsOf } from '../circuit/index.ts';
import { eliminationOf, type Elimination } from './elimination.ts';
import {
  CLOSED_OHMS,
  OPEN_OHMS,
  SECONDARY_LEAK_SIEMENS,
  SUPPLY_OHMS,
  TRANSFORMER_IMPEDANCE,
} from './constants.ts';

export const CLOSED = 1 / CLOSED_OHMS;
export const OPEN = 1 / OPEN_OHMS;

/** What a branch is, so that paths know what they may pass. */
export type BranchKind =
  'wire' | 'fuse' | 'switch' | 'make' | 'break' | 'pole' | 'consumer' | 'probe' | 'coupling';

/** A two-ended admittance. `re` and `im` in siemens are what it has at rest; a state may open or close it. */
export interface Branch {
  readonly a: number;
  readonly b: number;
  readonly kind: BranchKind;
  readonly re: number;
  readonly im: number;
  /** Index of the part, or of the wire for `wire`. */
  readonly owner: number;
}

/** A part with its branches, ready for the solver. */
export interface Placed<P extends Part = Part> {
  readonly part: P;
  readonly index: number;
  /** Terminals as nodes, in the order of `terminalsOf`. */
  readonly nodes: readonly number[];
  /** First branch, and how many. */
  readonly branch: number;
  readonly count: number;
}

/** A supply as the solver sees it: a current into its node from a potential behind 0.05 Ω. */
export interface Source {
  readonly id: string;
  readonly node: number;
  readonly re: number;
  readonly im: number;
}

/** A circuit flattened: nodes, branches, and the order in which nodes are eliminated. Built once, solved for every state and fault. */
export interface Network {
  readonly circuit: Circuit;
  /** Node names; points inside a star have none of their own and come last, as `part.star`. */
  readonly nodes: readonly string[];
  readonly nodeOf: ReadonlyMap<string, number>;
  /** Nodes a person can put a probe on. */
  readonly named: number;
  readonly branches: readonly Branch[];
  readonly sources: readonly Source[];
  readonly parts: readonly Placed[];
  /** Contacts that are driven only while this control is supplied, by part index. */
  readonly ownerOf: ReadonlyMap<number, number>;
  readonly elimination: Elimination;
  readonly leaks: readonly number[];
}

/** Flattens a circuit that {@link readCircuit} has accepted. */
export function networkOf(circuit: Circuit): Network {
  const names: string[] = [...endsOf(circuit)];
  const named = names.length;
  const nodeOf = new Map(names.map((name, i) => [name, i]));
  const branches: Branch[] = [];
  const leaks: number[] = [];
  const node = (part: Part, terminal: string) => nodeOf.get(`${part.id}.${terminal}`)!;

  circuit.wires.forEach((wire, owner) => {
    const [a, b] = [nodeOf.get(wire.from)!, nodeOf.get(wire.to)!];
    branches.push({ a, b, kind: 'wire', re: CLOSED, im: 0, owner });
  });
  const parts = circuit.parts.map((part, index): Placed => {
    const first = branches.length;
    const nodes = placePart(part, index, { node, branches, names, leaks });
    return { part, index, nodes, branch: first, count: branches.length - first };
  });
  const sources = circuit.supplies.map((supply): Source => {
    const angle = ((supply.degrees ?? 0) * Math.PI) / 180;
    const [re, im] = exact(supply.volts, supply.degrees ?? 0, angle);
    return { id: supply.id, node: nodeOf.get(supply.id)!, re, im };
  });
  const ownerOf = new Map<number, number>();
  circuit.parts.forEach((part, control) => {
    if (part.kind === 'control')
      for (const owned of part.owns)
        ownerOf.set(
          circuit.parts.findIndex((p) => p.id === owned),
          control,
        );
  });
  return {
    circuit,
    nodes: names,
    nodeOf,
    named,
    branches,
    sources,
    parts,
    ownerOf,
    elimination: eliminationOf(names.length, branches),
    leaks,
  };
}

interface Site {
  readonly node: (part: Part, terminal: string) => number;
  readonly branches: Branch[];
  readonly names: string[];
  readonly leaks: number[];
}

function placePart(part: Part, owner: number, site: Site): readonly number[] {
  const at = (terminal: string) => site.node(part, terminal);
  const put = (a: number, b: number, kind: BranchKind, re: number, im = 0) =>
    site.branches.push({ a, b, kind, re, im, owner });
  switch (part.kind) {
    case 'fuse':
      put(at(part.terminals[0]!), at(part.terminals[1]!), 'fuse', CLOSED);
      break;
    case 'switch':
      put(at(part.terminals[0]!), at(part.terminals[1]!), 'switch', OPEN);
      break;
    case 'contact': {
      const ends = contactEnds(part);
      if (ends.no !== null) put(at(ends.com), at(ends.no), 'make', OPEN);
      if (ends.nc !== null) put(at(ends.com), at(ends.nc), 'break', CLOSED);
      break;
    }
    case 'load':
      placeLoad(part, owner, site);
      break;
    case 'contactor':
      put(at(part.coil[0]!), at(part.coil[1]!), 'consumer', 1 / part.coilOhms);
      for (const pole of part.poles) put(at(pole[0]!), at(pole[1]!), 'pole', OPEN);
      for (const pole of part.breaks ?? []) put(at(pole[0]!), at(pole[1]!), 'break', CLOSED);
      break;
    case 'control':
      put(at(part.terminals[0]!), at(part.terminals[1]!), 'consumer', 1 / part.ohms);
      break;
    case 'probe':
      put(at(part.terminals[0]!), at(part.terminals[1]!), 'probe', 1 / part.ohms);
      break;
    case 'transformer':
      placeTransformer(part, owner, site);
      break;
    case 'junction':
      for (const t of part.terminals.slice(1)) put(at(part.terminals[0]!), at(t), 'wire', CLOSED);
      break;
  }
  return terminalNodes(part, at);
}

function terminalNodes(part: Part, at: (terminal: string) => number): readonly number[] {
  if (part.kind === 'contactor')
    return [...part.coil, ...part.poles.flat(), ...(part.breaks ?? []).flat()].map(at);
  if (part.kind === 'transformer') return [...part.primary, ...part.secondary].map(at);
  return part.terminals.map(at);
}

/** Conductance from watts; with plate amps the lag that makes volts times amps exceed the watts. */
export function loadAdmittance(watts: number, ratedVolts: number, amps?: number): readonly [number, number] {
  const re = watts / ratedVolts ** 2;
  const whole = amps === undefined ? re : amps / ratedVolts;
  return [re, whole > re ? -Math.sqrt(whole ** 2 - re ** 2) : 0];
}

function placeLoad(part: Extract<Part, { kind: 'load' }>, owner: number, site: Site): void {
  const nodes = part.terminals.map((t) => site.node(part, t));
  if (nodes.length === 2) {
    const [re, im] = loadAdmittance(part.watts, part.ratedVolts, part.amps);
    site.branches.push({ a: nodes[0]!, b: nodes[1]!, kind: 'consumer', re, im, owner });
    return;
  }
  // A star of ratedVolts²/watts: line amps watts / (√3 · volts), plate amps being line amps.
  const plate = part.amps === undefined ? undefined : part.amps * Math.sqrt(3);
  const [re, im] = loadAdmittance(part.watts, part.ratedVolts, plate);
  const star = site.names.push(`${part.id}.star`) - 1;
  for (const node of nodes) site.branches.push({ a: node, b: star, kind: 'consumer', re, im, owner });
}

/**
 * A transformer with series resistance as one admittance: current y·(Vp − n·Vs) in the primary, n times that in the secondary. As
 * nodal terms that is y·c·cᵀ with c = (1, −1, −n, n), so every pair of terminals gets a coupling of −y·cᵢ·cⱼ, some of them negative.
 */
function placeTransformer(part: Extract<Part, { kind: 'transformer' }>, owner: number, site: Site): void {
  const n = part.ratedVolts / part.secondaryVolts;
  const y = part.va / (TRANSFORMER_IMPEDANCE * part.ratedVolts ** 2);
  const nodes = [...part.primary, ...part.secondary].map((t) => site.node(part, t));
  const c = [1, -1, -n, n];
  for (let i = 0; i < 4; i += 1)
    for (let j = i + 1; j < 4; j += 1)
      site.branches.push({
        a: nodes[i]!,
        b: nodes[j]!,
        kind: 'coupling',
        re: -y * c[i]! * c[j]!,
        im: 0,
        owner,
      });
  site.leaks.push(nodes[3]!);
}

/** Right angles come out exact, so that 180° is no hair beside the axis. */
function exact(volts: number, degrees: number, angle: number): readonly [number, number] {
  const turn = ((degrees % 360) + 360) % 360;
  if (turn === 0) return [volts, 0];
  if (turn === 90) return [0, volts];
  if (turn === 180) return [-volts, 0];
  if (turn === 270) return [0, -volts];
  return [volts * Math.cos(angle), volts * Math.sin(angle)];
}

/** Siemens behind every supply. */
export const SUPPLY = 1 / SUPPLY_OHMS;
export const LEAK = SECONDARY_LEAK_SIEMENS;
