import type { Circuit } from '../circuit/index.ts';
import { energisedParts } from '../report/index.ts';
import { isSettled, networkOf, statesOf } from '../solver/index.ts';

/**
 * The states of a plan carry the names of the circuit as found, since switches know them by name. An output is on where one of its loads
 * worked before; a fan relay follows the compressor, which is how its wiring is proven whatever the program will do.
 */
export function planStates(
  found: Circuit,
  works: ReadonlyMap<string, readonly string[]>,
): Readonly<Record<string, readonly string[]>> {
  const network = networkOf(found);
  const settled = new Map(
    statesOf(network)
      .filter(isSettled)
      .map((s) => [s.asked.state, energisedParts(s)] as const),
  );
  const entries = Object.entries(found.states).map(([state, before]) => {
    const on = settled.get(state) ?? new Set<string>();
    const outputs = [...works].flatMap(([output, parts]) => {
      if (before.includes(output)) return [output];
      if (output === 'fan') return before.includes('compressor') ? [output] : [];
      if (works.size > 0 && before.length > 0 && parts.some((id) => on.has(id))) return [output];
      return [];
    });
    return [state, outputs] as const;
  });
  return Object.fromEntries(entries);
}
