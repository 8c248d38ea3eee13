import { contactEnds, nameOf, type LoadPart } from '../circuit/index.ts';
import { isEnergised } from '../report/index.ts';
import { groupsOf, isFed, type Groups, type Network, type Placed, type Settled } from '../solver/index.ts';
import { finding, type WiringFinding } from './finding.ts';

/** A settled state with its metal paths. */
export interface StateView {
  readonly settled: Settled;
  readonly groups: Groups;
}

const loadsOf = (network: Network) =>
  network.parts.filter((p): p is Placed<LoadPart> => p.part.kind === 'load');

/** floatingLoad: a terminal of a load that hangs on a supply in no state. */
export function floatingLoad(
  network: Network,
  views: readonly StateView[],
  excused: (node: number) => boolean,
): readonly WiringFinding[] {
  return loadsOf(network).flatMap(({ part, nodes }) => {
    const floating = part.terminals.filter(
      (_, i) => !excused(nodes[i]!) && !views.some(({ groups }) => isFed(groups, nodes[i]!)),
    );
    if (floating.length === 0) return [];
    return [
      finding(
        'floatingLoad',
        null,
        [part.id],
        `Terminal ${floating.join(' and ')} of ${nameOf(part)} hangs on no supply in any state.`,
      ),
    ];
  });
}

/** alwaysOn and neverOn: a load whose contact changes nothing. */
export function neverOrAlways(
  network: Network,
  views: readonly StateView[],
  excused: (node: number) => boolean,
): readonly WiringFinding[] {
  const driven = drivenLoads(network);
  return loadsOf(network).flatMap(({ part, index, nodes }) => {
    const on = views.filter(({ settled }) => isEnergised(settled, index)).length;
    if (on === 0 && nodes.some(excused)) return [];
    if (on === 0) return [finding('neverOn', null, [part.id], `${nameOf(part)} is energised in no state.`)];
    if (on < views.length || !driven.has(index)) return [];
    return [
      finding(
        'alwaysOn',
        null,
        [part.id],
        `${nameOf(part)} is energised in every state, though a contact is there to switch it.`,
      ),
    ];
  });
}

const rolesOfOutput: ReadonlyMap<string, readonly string[]> = new Map([
  ['compressor', ['compressor', 'solenoid']],
  ['defrost', ['defrostHeater', 'solenoid']],
  ['fan', ['evaporatorFan']],
  ['condenserFan', ['condenserFan']],
  ['stage2', ['heater', 'compressor', 'solenoid', 'pump', 'other']],
  ['alarm', ['alarm', 'light']],
]);

/**
 * Loads that a driven contact, or a contactor's pole, is there to switch: the load's terminal lies on the contact's own side, where no
 * supply comes by wire alone. Where both sides are wired to a supply (a bridged contact), the role has to match the output.
 */
export function drivenLoads(network: Network): ReadonlySet<number> {
  const wired = groupsOf(network, (_, kind) => kind === 'wire' || kind === 'fuse' || kind === 'switch');
  const found = new Set<number>();
  for (const { part, nodes, branch, count } of network.parts) {
    const sides =
      part.kind === 'contact'
        ? contactSides(part.terminals, nodes, contactEnds(part).com)
        : part.kind === 'contactor'
          ? network.branches.slice(branch + 1, branch + count).flatMap((b) => [b.a, b.b])
          : [];
    const roles = part.kind === 'contact' ? (rolesOfOutput.get(part.drivenBy) ?? []) : [];
    for (const side of sides)
      for (const load of loadsOf(network)) {
        if (!load.nodes.some((node) => wired.group[node] === wired.group[side])) continue;
        if (!isFed(wired, side) || roles.includes(load.part.role)) found.add(load.index);
      }
  }
  return found;
}

function contactSides(
  terminals: readonly string[],
  nodes: readonly number[],
  com: string,
): readonly number[] {
  const at = terminals.indexOf(com);
  return [...nodes.filter((_, i) => i !== at), nodes[at]!];
}
