import type { Circuit } from '../circuit/index.ts';
import {
  isSettled,
  metalPaths,
  networkOf,
  statesOf,
  isFed,
  type Network,
  type Settled,
} from '../solver/index.ts';
import {
  commonNotFed,
  contactOverload,
  controlOnSwitchedSide,
  heaterWithCompressor,
  wrongVoltage,
} from './parts.ts';
import { backFeed, fuseBlows, neutralThroughEarth, probeOnMains, shortCircuit } from './supplies.ts';
import { floatingLoad, neverOrAlways, type StateView } from './overStates.ts';
import { behindBlown } from './behindBlown.ts';
import { safetyBypassed } from './bypassed.ts';
import { wireUndersized } from './undersized.ts';
import type { WiringFinding } from './finding.ts';

/** Everything wrong with a circuit, errors first; with the circuit as found, also safety switches that got lost. */
export function wiringFindings(
  network: Network,
  states: readonly Settled[],
  asFound: Circuit | null = null,
): readonly WiringFinding[] {
  const views = states.map((settled): StateView => ({ settled, groups: metalPaths(settled) }));
  const excused = behindBlown(network, states);
  const found = [
    ...views.flatMap(stateFindings),
    ...floatingLoad(network, views, excused),
    ...neverOrAlways(network, views, excused),
    ...wireUndersized(network),
    ...(asFound ? safetyBypassed(network.circuit, asFound) : []),
  ];
  return [...found].sort((a, b) => Number(a.severity !== 'error') - Number(b.severity !== 'error'));
}

/** The same from a circuit alone; states that never come to rest are left out. */
export function findingsOf(circuit: Circuit, asFound: Circuit | null = null): readonly WiringFinding[] {
  const network = networkOf(circuit);
  return wiringFindings(network, statesOf(network).filter(isSettled), asFound);
}

function stateFindings({ settled, groups }: StateView): readonly WiringFinding[] {
  return [
    ...shortCircuit(settled),
    ...fuseBlows(settled),
    ...wrongVoltage(settled),
    ...neutralThroughEarth(settled),
    ...contactOverload(settled),
    ...heaterWithCompressor(settled),
    ...probeOnMains(settled),
    ...commonNotFed(settled, groups),
    ...controlOnSwitchedSide(settled),
    ...backFeed(settled, (node) => isFed(groups, node), groups.group),
  ];
}
