import type { Part, Wire } from './circuit.ts';

/** What becomes of a part's wires when it is taken off: those that go, and one that now leads past it. */
export interface WiresLeft {
  readonly gone: readonly string[];
  readonly joined: { readonly id: string; readonly wire: Wire } | null;
}

/** Parts that current passes through from one terminal to the other. */
const passes: ReadonlySet<Part['kind']> = new Set(['switch', 'fuse', 'contact', 'junction']);

/**
 * The wires of a part that is taken off, so that none is left hanging: a part in series with one wire on either side is led past, by the first of the two; all others go with it.
 */
export function wiresWithout(
  part: Part,
  wires: readonly { readonly id: string; readonly what: Wire }[],
): WiresLeft {
  const isHere = (end: string) => end.startsWith(`${part.id}.`);
  const mine = wires.filter(({ what }) => isHere(what.from) || isHere(what.to));
  const far = ({ what }: (typeof mine)[number]) => (isHere(what.from) ? what.to : what.from);
  const near = ({ what }: (typeof mine)[number]) => (isHere(what.from) ? what.from : what.to);
  const [first, second] = mine;
  const series =
    passes.has(part.kind) &&
    mine.length === 2 &&
    near(first!) !== near(second!) &&
    far(first!) !== far(second!) &&
    mine.every((wire) => !isHere(far(wire)));
  if (!series) return { gone: mine.map(({ id }) => id), joined: null };
  const wire = isHere(first!.what.to)
    ? { ...first!.what, to: far(second!) }
    : { ...first!.what, from: far(second!) };
  return { gone: [second!.id], joined: { id: first!.id, wire } };
}
