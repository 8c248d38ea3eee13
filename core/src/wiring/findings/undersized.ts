import { wireIds } from '../circuit/index.ts';
import type { Network } from '../solver/index.ts';
import { finding, type WiringFinding } from './finding.ts';
import { gaugeAmps } from './gauge.ts';

/** wireUndersized: a wire's gauge carries less than the fuse before it lets through. */
export function wireUndersized(network: Network): readonly WiringFinding[] {
  const before = fuseBefore(network);
  const ids = wireIds(network.circuit.wires);
  return network.circuit.wires.flatMap((wire, i) => {
    const gauge = gaugeAmps(wire.gauge);
    const { a, b } = network.branches[i]!;
    const fuse = Math.max(before.get(a) ?? 0, before.get(b) ?? 0);
    if (!gauge || fuse === 0 || gauge.amps >= fuse) return [];
    return [
      finding(
        'wireUndersized',
        null,
        [ids[i]!],
        `Wire ${ids[i]} of ${gauge.words} carries ${gauge.amps} A; the fuse before it lets ${fuse} A through. The local code decides the size.`,
        { amps: gauge.amps, fuseAmps: fuse },
      ),
    ];
  });
}

/**
 * The fuse whose amps may flow at each node: carried from the live supplies through wires, contacts, switches and loads, taken anew at
 * each fuse; a smaller fuse further on protects what comes after it. Nodes before the first fuse have none.
 */
export function fuseBefore(network: Network): ReadonlyMap<number, number> {
  const live = network.sources.filter((s) => s.re !== 0 || s.im !== 0).map((s) => s.node);
  const supplies = new Set(network.sources.map((s) => s.node));
  const around: { readonly to: number; readonly branch: number }[][] = network.nodes.map(() => []);
  network.branches.forEach((branch, i) => {
    if (branch.kind === 'coupling') return;
    around[branch.a]!.push({ to: branch.b, branch: i });
    around[branch.b]!.push({ to: branch.a, branch: i });
  });
  const amps = new Map<number, number>(live.map((node) => [node, Infinity]));
  const spread = (from: readonly number[], settled: ReadonlySet<number>, throughLoads: boolean) => {
    const queue = [...from];
    for (let at = 0; at < queue.length; at += 1)
      for (const { to, branch } of around[queue[at]!]!) {
        const { kind, owner } = network.branches[branch]!;
        if (!throughLoads && (kind === 'consumer' || kind === 'probe')) continue;
        if (supplies.has(to) || settled.has(to)) continue;
        const part = kind === 'fuse' ? network.parts[owner]!.part : null;
        const here = amps.get(queue[at]!)!;
        const limit = part?.kind === 'fuse' ? Math.min(part.amps, here) : here;
        if ((amps.get(to) ?? 0) >= limit) continue;
        amps.set(to, limit);
        queue.push(to);
      }
  };
  // First by metal from the live side; then on through loads into the returns, which never change what metal has settled.
  spread(live, new Set(), false);
  const metal = new Set(amps.keys());
  spread([...metal], metal, true);
  return new Map([...amps].filter(([, limit]) => Number.isFinite(limit)));
}
