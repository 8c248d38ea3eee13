import { solve } from './elimination.ts';
import { OPEN_OHMS } from './constants.ts';
import { allPaths, currentPaths, isFed, type Groups } from './paths.ts';
import { branchAmps, type Settled } from './settle.ts';

/** Volts a 10 MΩ meter shows between two nodes, as a magnitude; 0 where there is nothing to read. */
export function voltsBetween(s: Settled, a: number, b: number): number {
  const open = openVolts(s, a, b);
  if (firm(s).has(a) && firm(s).has(b)) return open;
  if (open === 0) return 0;
  const behind = thevenin(s, a, b);
  return behind === null ? 0 : (open * OPEN_OHMS) / Math.hypot(OPEN_OHMS + behind.re, behind.im);
}

/** True where both points hang on a supply by metal or consumers; elsewhere a meter shows only what leaks past open contacts. */
export function isFirm(s: Settled, a: number, b: number): boolean {
  return firm(s).has(a) && firm(s).has(b);
}

/** Ohms between two nodes of a circuit whose supplies are off; 10 MΩ paths count, no path at all is Infinity. */
export function ohmsBetween(s: Settled, a: number, b: number): number {
  const z = thevenin(s, a, b);
  return z === null ? Infinity : Math.hypot(z.re, z.im);
}

/** Amps through a part: the largest of its lines for a star, the coil for a contactor, through `com` for a contact. */
export function partAmps(s: Settled, index: number): number {
  const { part, branch, count, nodes } = s.network.parts[index]!;
  if (count === 0) return 0;
  if (part.kind === 'contactor' || part.kind === 'control') return branchAmps(s, branch);
  if (part.kind === 'transformer') return nodeAmps(s, branch, count, nodes[0]!);
  if (part.kind === 'contact') return nodeAmps(s, branch, count, s.network.branches[branch]!.a);
  let most = 0;
  for (let i = branch; i < branch + count; i += 1) most = Math.max(most, branchAmps(s, i));
  return most;
}

/** Volts over a part's own ends: coil, supply terminals, the load; the lowest of the three for a star. */
export function partVolts(s: Settled, index: number): number {
  const { nodes, part } = s.network.parts[index]!;
  const lowest = openVolts(s, nodes[0]!, nodes[1]!);
  if (part.kind !== 'load' || nodes.length < 3) return lowest;
  return Math.min(lowest, openVolts(s, nodes[1]!, nodes[2]!), openVolts(s, nodes[0]!, nodes[2]!));
}

/** The highest volts between two terminals of a part. */
export function highestVolts(s: Settled, index: number): number {
  const { nodes, part } = s.network.parts[index]!;
  if (part.kind !== 'load' || nodes.length < 3) return partVolts(s, index);
  return Math.max(
    openVolts(s, nodes[0]!, nodes[1]!),
    openVolts(s, nodes[1]!, nodes[2]!),
    openVolts(s, nodes[0]!, nodes[2]!),
  );
}

/** Volts between a node and the protective earth; to the common reference where the circuit has none. */
export function voltsToEarth(s: Settled, node: number): number {
  const earth = s.network.sources.find((source) => source.id === 'PE');
  return earth ? openVolts(s, node, earth.node) : Math.hypot(s.re[node]!, s.im[node]!);
}

/** Volts between two nodes with no meter on them. */
export function openVolts(s: Settled, a: number, b: number): number {
  return Math.hypot(s.re[a]! - s.re[b]!, s.im[a]! - s.im[b]!);
}

/** Amps into a part at one node. */
function nodeAmps(s: Settled, branch: number, count: number, node: number): number {
  let re = 0;
  let im = 0;
  for (let i = branch; i < branch + count; i += 1) {
    const { a, b } = s.network.branches[i]!;
    if (a !== node && b !== node) continue;
    const sign = a === node ? 1 : -1;
    const vr = sign * (s.re[a]! - s.re[b]!);
    const vi = sign * (s.im[a]! - s.im[b]!);
    re += vr * s.yRe[i]! - vi * s.yIm[i]!;
    im += vr * s.yIm[i]! + vi * s.yRe[i]!;
  }
  return Math.hypot(re, im);
}

/** Impedance seen between two nodes; null where they hang on nothing common. */
function thevenin(s: Settled, a: number, b: number): { readonly re: number; readonly im: number } | null {
  if (a === b) return { re: 0, im: 0 };
  const groups = everything(s);
  const apart = groups.group[a] !== groups.group[b];
  if (apart && (s.asked.dead || !isFed(groups, a) || !isFed(groups, b))) return null;
  const jRe = new Float64Array(s.network.nodes.length);
  jRe[a] = 1;
  jRe[b] = -1;
  const { re, im } = solve(s.factored, jRe, new Float64Array(s.network.nodes.length));
  return { re: re[a]! - re[b]!, im: im[a]! - im[b]! };
}

const firmNodes = new WeakMap<Settled, ReadonlySet<number>>();

/** Nodes that hang on a supply by metal and consumers: a meter does not move them by a thousandth. */
function firm(s: Settled): ReadonlySet<number> {
  const known = firmNodes.get(s);
  if (known) return known;
  const groups = currentPaths(s);
  const found = new Set<number>();
  for (let node = 0; node < s.network.nodes.length; node += 1) if (isFed(groups, node)) found.add(node);
  firmNodes.set(s, found);
  return found;
}

const allGroups = new WeakMap<object, Groups>();

function everything(s: Settled): Groups {
  const known = allGroups.get(s.network);
  if (known) return known;
  const groups = allPaths(s.network);
  allGroups.set(s.network, groups);
  return groups;
}
