import { OPEN, type BranchKind, type Network } from './network.ts';
import type { Settled } from './settle.ts';

/** Nodes joined to groups: `group[node]` is equal for two nodes of one group. */
export interface Groups {
  readonly group: Int32Array;
  /** Groups that hold a supply's node. */
  readonly supplied: ReadonlySet<number>;
}

/** Siemens above which a branch is a closed contact or a wire; open ones have 1e-7. */
const MADE = 1;

/**
 * Groups of nodes joined by wires, closed contacts, closed switches and whole fuses: what “fed” means in the format.
 */
export function metalPaths(s: Settled): Groups {
  return groupsOf(
    s.network,
    (i, kind) => kind !== 'consumer' && kind !== 'coupling' && kind !== 'probe' && s.yRe[i]! > MADE,
  );
}

/** Groups joined by anything but what is open: a node outside every supplied group has no potential of its own. */
export function currentPaths(s: Settled): Groups {
  return groupsOf(
    s.network,
    (i, kind) => s.yRe[i]! > MADE || (isConsumer(kind) && Math.abs(s.yRe[i]!) > 2 * OPEN),
  );
}

const isConsumer = (kind: BranchKind) => kind === 'consumer' || kind === 'probe' || kind === 'coupling';

/** Groups joined by every branch there is, open ones too. */
export function allPaths(network: Network): Groups {
  return groupsOf(network, () => true);
}

/** Groups joined by the branches that pass. */
export function groupsOf(network: Network, passes: (branch: number, kind: BranchKind) => boolean): Groups {
  const group = Int32Array.from({ length: network.nodes.length }, (_, i) => i);
  const find = (node: number): number => {
    let at = node;
    while (group[at] !== at) {
      group[at] = group[group[at]!]!;
      at = group[at]!;
    }
    return at;
  };
  network.branches.forEach((branch, i) => {
    if (passes(i, branch.kind)) group[find(branch.a)] = find(branch.b);
  });
  for (let i = 0; i < group.length; i += 1) group[i] = find(i);
  return { group, supplied: new Set(network.sources.map((source) => group[source.node]!)) };
}

/** True where a node hangs on a supply by metal alone. */
export function isFed(groups: Groups, node: number): boolean {
  return groups.supplied.has(groups.group[node]!);
}
