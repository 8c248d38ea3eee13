import { groupsOf, isFed, type Network, type Settled } from '../solver/index.ts';

/**
 * Nodes that hang behind a fuse which blew in some state: joined to its dead side by wires, whole fuses, switches and contacts, closed or not. That nothing comes there is
 * the fuse's doing and no fault of its own.
 */
export function behindBlown(network: Network, states: readonly Settled[]): (node: number) => boolean {
  const blown = new Set(states.flatMap(({ blown: list }) => list.map(({ part }) => part)));
  if (blown.size === 0) return () => false;
  const paths = groupsOf(network, (branch, kind) => {
    if (kind === 'fuse') return !blown.has(network.branches[branch]!.owner);
    return kind === 'wire' || kind === 'switch' || kind === 'make' || kind === 'break' || kind === 'pole';
  });
  const dead = new Set(
    network.parts
      .filter(({ index }) => blown.has(index))
      .flatMap(({ nodes }) => nodes.filter((node) => !isFed(paths, node)).map((node) => paths.group[node])),
  );
  return (node) => dead.has(paths.group[node]);
}
