import { wireIds, type Circuit, type Wire } from '../circuit/index.ts';

/** A circuit with the wires that are on, and those that are still to be made. */
export interface PartlyWired {
  readonly circuit: Circuit;
  readonly missing: readonly { readonly id: string; readonly wire: Wire }[];
}

/** A plan with only the wires that are done: by their ids, as the format counts them. What a device has inside is there with it. */
export function partlyWired(plan: Circuit, done: ReadonlySet<string>): PartlyWired {
  const ids = wireIds(plan.wires);
  const isDone = (wire: Wire, i: number) => wire.internal === true || done.has(ids[i]!);
  return {
    circuit: { ...plan, wires: plan.wires.filter(isDone) },
    missing: plan.wires.flatMap((wire, i) => (isDone(wire, i) ? [] : [{ id: ids[i]!, wire }])),
  };
}
