import { terminalsOf, type Circuit, type Part } from '../circuit/index.ts';

/** A step along a wire or through a part, from terminal to terminal. */
export interface Step {
  readonly from: string;
  readonly to: string;
  /** Index of the wire, or −1 for a step through a part. */
  readonly wire: number;
  readonly part: Part | null;
}

/** A circuit as a map of ends: what leads where. */
export interface Trace {
  readonly circuit: Circuit;
  readonly partAt: ReadonlyMap<string, Part>;
  readonly steps: ReadonlyMap<string, readonly Step[]>;
}

/** Parts that a conductor simply runs through. */
const through: ReadonlySet<Part['kind']> = new Set(['switch', 'fuse', 'junction']);

/** Every end with the steps that leave it: along wires, and through switches, fuses and splices. */
export function traceOf(circuit: Circuit): Trace {
  const partAt = new Map<string, Part>();
  const steps = new Map<string, Step[]>();
  const add = (step: Step) => {
    steps.set(step.from, [...(steps.get(step.from) ?? []), step]);
    steps.set(step.to, [...(steps.get(step.to) ?? []), { ...step, from: step.to, to: step.from }]);
  };
  for (const part of circuit.parts) {
    const ends = terminalsOf(part).map((t) => `${part.id}.${t}`);
    for (const end of ends) partAt.set(end, part);
    if (through.has(part.kind))
      for (const other of ends.slice(1)) add({ from: ends[0]!, to: other, wire: -1, part });
  }
  circuit.wires.forEach((wire, i) => add({ from: wire.from, to: wire.to, wire: i, part: null }));
  return { circuit, partAt, steps };
}

/** A way from one end to another. */
export type Path = readonly Step[];

/** The shortest way from an end to one that is wanted; steps that are not allowed are not taken, and nothing is passed beyond a wanted end. */
export function pathTo(
  trace: Trace,
  from: string,
  wanted: (end: string) => boolean,
  allowed: (step: Step) => boolean = () => true,
): Path | null {
  const came = new Map<string, Step | null>([[from, null]]);
  const queue = [from];
  for (let i = 0; i < queue.length; i += 1) {
    const here = queue[i]!;
    if (here !== from && wanted(here)) return back(came, here);
    for (const step of trace.steps.get(here) ?? []) {
      if (came.has(step.to) || !allowed(step)) continue;
      came.set(step.to, step);
      queue.push(step.to);
    }
  }
  return null;
}

function back(came: ReadonlyMap<string, Step | null>, end: string): Path {
  const path: Step[] = [];
  let at = end;
  for (let step = came.get(at); step; step = came.get(at)) {
    path.unshift(step);
    at = step.from;
  }
  return path;
}

/** Number of wires that end on a terminal. */
export function wiresOn(trace: Trace, end: string): number {
  return (trace.steps.get(end) ?? []).filter((step) => step.wire >= 0).length;
}
