import {
  branchAmps,
  LIVE_VOLTS,
  openVolts,
  SUPPLY_OHMS,
  voltsToEarth,
  type Settled,
} from '../solver/index.ts';
import { amps, figure, finding, volts, type WiringFinding } from './finding.ts';

/** Share of the largest voltage between two supplies by which a supply's node may move before it is a short circuit. */
const SHORT_SHARE = 0.1;
/** Amps in the earth conductor that are no longer leakage. */
const EARTH_AMPS = 0.005;

/** shortCircuit: before any fuse opens, a supply's node is dragged away from its own potential. */
export function shortCircuit(s: Settled): readonly WiringFinding[] {
  const { sources } = s.network;
  const largest = Math.max(
    0,
    ...sources.flatMap((a) => sources.map((b) => Math.hypot(a.re - b.re, a.im - b.im))),
  );
  const moved = sources
    .map((source) => ({
      id: source.id,
      by: Math.hypot(s.before.re[source.node]! - source.re, s.before.im[source.node]! - source.im),
    }))
    .filter(({ by }) => by > SHORT_SHARE * largest);
  if (moved.length === 0) return [];
  const worst = moved.reduce((a, b) => (b.by > a.by ? b : a));
  return [
    finding(
      'shortCircuit',
      s.asked.state,
      moved.map(({ id }) => id),
      `${moved.map(({ id }) => id).join(' and ')} ${moved.length > 1 ? 'are' : 'is'} shorted in state ${s.asked.state}: ${worst.id} is dragged ${volts(worst.by)} off. Nothing is energised before that wire is found.`,
      { volts: figure(worst.by) },
    ),
  ];
}

/** neutralThroughEarth: current comes back through the protective earth. */
export function neutralThroughEarth(s: Settled): readonly WiringFinding[] {
  const earth = s.network.sources.find((source) => source.id === 'PE');
  if (!earth) return [];
  const current = Math.hypot(s.re[earth.node]! - earth.re, s.im[earth.node]! - earth.im) / SUPPLY_OHMS;
  if (current <= EARTH_AMPS) return [];
  const parts = s.network.circuit.wires.flatMap((wire) =>
    wire.from === 'PE' ? [wire.to] : wire.to === 'PE' ? [wire.from] : [],
  );
  return [
    finding(
      'neutralThroughEarth',
      s.asked.state,
      [...new Set(parts.map((end) => end.slice(0, end.lastIndexOf('.'))).filter((id) => id !== ''))],
      `${amps(current)} comes back through the earth conductor in state ${s.asked.state}. Cabinet or earth is never a neutral: take the return to the neutral.`,
      { amps: figure(current) },
    ),
  ];
}

/** fuseBlows: a fuse over its amps; `amps` is the current that opened it. */
export function fuseBlows(s: Settled): readonly WiringFinding[] {
  return s.blown.map((blown) => {
    const { part } = s.network.parts[blown.part]!;
    const rated = part.kind === 'fuse' ? part.amps : 0;
    return finding(
      'fuseBlows',
      s.asked.state,
      [part.id],
      `${part.id} of ${rated} A blows at ${amps(blown.amps)} in state ${s.asked.state}.`,
      { amps: figure(blown.amps), ratedAmps: rated },
    );
  });
}

/** probeOnMains: a probe lead is live, to earth or to its other lead. */
export function probeOnMains(s: Settled): readonly WiringFinding[] {
  return s.network.parts.flatMap(({ part, nodes }) => {
    if (part.kind !== 'probe') return [];
    const worst = Math.max(...leadVolts(s, nodes));
    if (worst <= LIVE_VOLTS) return [];
    return [
      finding(
        'probeOnMains',
        s.asked.state,
        [part.id],
        `Probe ${part.id} has ${volts(worst)} on a lead. Probe terminals take no mains: the input is gone, and the lead in the box is live.`,
        { volts: figure(worst) },
      ),
    ];
  });
}

/** Volts of each lead of a probe: to earth or to its other lead, whichever is more. */
export function leadVolts(s: Settled, nodes: readonly number[]): readonly number[] {
  const across = openVolts(s, nodes[0]!, nodes[1]!);
  return nodes.map((node) => Math.max(voltsToEarth(s, node), across));
}

/** backFeed: two loads in series carry a current between two supplies, through a point that hangs on no supply itself. */
export function backFeed(
  s: Settled,
  fed: (node: number) => boolean,
  group: Int32Array,
): readonly WiringFinding[] {
  const loads = s.network.parts.filter(({ part }) => part.kind === 'load');
  const meeting = new Map<number, { readonly id: string; readonly amps: number }[]>();
  for (const { index, nodes, branch, count } of loads)
    for (const node of new Set(nodes)) {
      if (fed(node)) continue;
      let current = 0;
      for (let i = branch; i < branch + count; i += 1) {
        const { a, b } = s.network.branches[i]!;
        if (a === node || b === node) current = Math.max(current, branchAmps(s, i));
      }
      if (current <= BACK_FEED_AMPS) continue;
      const at = group[node]!;
      meeting.set(at, [...(meeting.get(at) ?? []), { id: s.network.parts[index]!.part.id, amps: current }]);
    }
  return [...meeting.values()]
    .filter((list) => new Set(list.map((l) => l.id)).size > 1)
    .map((list) => {
      const most = Math.max(...list.map((l) => l.amps));
      return finding(
        'backFeed',
        s.asked.state,
        list.map((l) => l.id),
        `${list.map((l) => l.id).join(' and ')} stand in series in state ${s.asked.state}: ${amps(most)} goes through both. The point where they meet has lost its supply or neutral.`,
        { amps: figure(most) },
      );
    });
}

/** Amps through two loads in series that are more than a leak. */
const BACK_FEED_AMPS = 0.01;
