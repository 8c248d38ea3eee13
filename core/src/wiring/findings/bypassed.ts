import { nameOf, type Circuit, type LoadPart } from '../circuit/index.ts';
import { isEnergised } from '../report/index.ts';
import { isSettled, networkOf, settle, type Network, type Settled } from '../solver/index.ts';
import { statesOf } from '../solver/index.ts';
import { finding, type WiringFinding } from './finding.ts';

/** Safety switches by id whose opening takes a load out, in some state in which it works: found by opening them one by one. */
export function safetiesOf(
  network: Network,
  states: readonly Settled[],
): ReadonlyMap<string, ReadonlySet<string>> {
  const found = new Map<string, Set<string>>();
  const safeties = network.parts.filter(({ part }) => part.kind === 'switch' && part.safety);
  const loads = network.parts.filter(({ part }) => part.kind === 'load');
  for (const { part } of loads) found.set(part.id, new Set());
  for (const state of states)
    for (const safety of safeties) {
      const opened = settle(network, { ...state.asked, openSwitches: new Set([safety.index]) });
      for (const load of loads)
        if (isEnergised(state, load.index) && (!isSettled(opened) || !isEnergised(opened, load.index)))
          found.get(load.part.id)!.add(safety.part.id);
    }
  return found;
}

/** safetyBypassed: a load that a safety switch could stop as found, and that it cannot stop in the plan. */
export function safetyBypassed(plan: Circuit, found: Circuit): readonly WiringFinding[] {
  const before = safetiesOf(...withStates(found));
  const [network, states] = withStates(plan);
  const after = safetiesOf(network, states);
  return [...before].flatMap(([id, switches]) => {
    const load = matching(plan, found, id);
    if (!load || switches.size === 0) return [];
    const kept = after.get(load.id) ?? new Set();
    const works = states.some((s) =>
      isEnergised(
        s,
        network.parts.findIndex((p) => p.part === load),
      ),
    );
    // A load that never works needs nothing to stop it; other findings speak of that.
    if (!works) return [];
    const missing = [...switches].filter((s) => !kept.has(s));
    // A switch under another name counts as the one it replaces.
    const replaced = [...kept].filter((s) => !switches.has(s)).length;
    const gone = missing.slice(replaced);
    if (gone.length === 0) return [];
    const names = gone.map((s) => nameOf(found.parts.find((p) => p.id === s)!));
    return [
      finding(
        'safetyBypassed',
        null,
        [load.id, ...gone],
        `${names.join(' and ')} no longer stop${names.length > 1 ? '' : 's'} ${nameOf(load)}. Safety switches stay in series: nothing replaces or bridges them.`,
      ),
    ];
  });
}

function withStates(circuit: Circuit): [Network, readonly Settled[]] {
  const network = networkOf(circuit);
  return [network, statesOf(network).filter(isSettled)];
}

/** The load of the plan that was this one: by id, else the only one of its role. */
function matching(plan: Circuit, found: Circuit, id: string): LoadPart | undefined {
  const loads = plan.parts.filter((p): p is LoadPart => p.kind === 'load');
  const was = found.parts.find((p): p is LoadPart => p.kind === 'load' && p.id === id);
  const alike = loads.filter((p) => p.role === was?.role);
  return loads.find((p) => p.id === id) ?? (alike.length === 1 ? alike[0] : undefined);
}
