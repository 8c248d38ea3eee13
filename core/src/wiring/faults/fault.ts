import { nameOf, wireIds, type Circuit } from '../circuit/index.ts';
import { endWords } from '../circuit/index.ts';

/** One thing broken, in the words of the readings format. `pair` stands only where no single fault fits. */
export type Fault =
  | { readonly kind: 'none' }
  | { readonly kind: 'openWire'; readonly wire: string }
  | {
      readonly kind:
        | 'blownFuse'
        | 'openLoad'
        | 'openCoil'
        | 'weldedContact'
        | 'contactNeverCloses'
        | 'deadControl'
        | 'shortedLoad';
      readonly part: string;
    }
  | { readonly kind: 'openSupply'; readonly supply: string }
  | { readonly kind: 'lowSupply'; readonly supply: string; readonly share: number }
  | { readonly kind: 'swappedWires'; readonly wires: readonly [string, string] }
  | {
      readonly kind: 'wrongTerminal';
      readonly wire: string;
      readonly to: string;
      readonly end: 'from' | 'to';
    }
  | { readonly kind: 'pair'; readonly faults: readonly [Fault, Fault] };

export type FaultKind = Fault['kind'];

/** Kinds that come after the others where they explain the readings equally well: they happen less often, or need a hand to happen. */
export const laterKinds: ReadonlySet<FaultKind> = new Set<FaultKind>([
  'swappedWires',
  'wrongTerminal',
  'shortedLoad',
  'lowSupply',
  'pair',
]);

/** Shares of its volts at which a weak supply is tried. */
const lowShares = [0.9, 0.85, 0.8, 0.7, 0.6, 0.5, 0.35] as const;

/** Every single fault of the first kinds: `none` first, then wires, then parts, then supplies, in file order. */
export function firstFaults(circuit: Circuit): readonly Fault[] {
  const ids = wireIds(circuit.wires);
  const wires = ids
    .filter((_, i) => !circuit.wires[i]!.internal)
    .map((wire): Fault => ({ kind: 'openWire', wire }));
  const parts = circuit.parts.flatMap((part): readonly Fault[] => {
    switch (part.kind) {
      case 'fuse':
        return [{ kind: 'blownFuse', part: part.id }];
      case 'load':
        return [{ kind: 'openLoad', part: part.id }];
      case 'contactor':
        return [
          { kind: 'openCoil', part: part.id },
          { kind: 'weldedContact', part: part.id },
          { kind: 'contactNeverCloses', part: part.id },
        ];
      case 'contact':
        return [
          { kind: 'weldedContact', part: part.id },
          { kind: 'contactNeverCloses', part: part.id },
        ];
      case 'control':
        return [{ kind: 'deadControl', part: part.id }];
      default:
        return [];
    }
  });
  const supplies = circuit.supplies
    .filter((s) => s.id !== 'PE')
    .map((s): Fault => ({ kind: 'openSupply', supply: s.id }));
  return [{ kind: 'none' }, ...wires, ...parts, ...supplies];
}

/** Every single fault of the later kinds. Swaps and moves that change nothing are left out. */
export function laterFaults(circuit: Circuit, ends: readonly string[]): readonly Fault[] {
  const ids = wireIds(circuit.wires);
  const movable = circuit.wires
    .map((wire, i) => ({ wire, id: ids[i]! }))
    .filter(({ wire }) => !wire.internal);
  const swaps: Fault[] = [];
  for (const [i, one] of movable.entries())
    for (const other of movable.slice(i + 1)) {
      const same = one.wire.from === other.wire.from || one.wire.to === other.wire.to;
      const loops = one.wire.from === other.wire.to || other.wire.from === one.wire.to;
      if (!same && !loops) swaps.push({ kind: 'swappedWires', wires: [one.id, other.id] });
    }
  const moves = movable.flatMap(({ wire, id }) =>
    (['to', 'from'] as const).flatMap((end) =>
      ends
        .filter((at) => at !== wire.from && at !== wire.to)
        .map((to): Fault => ({ kind: 'wrongTerminal', wire: id, to, end })),
    ),
  );
  const shorted = circuit.parts
    .filter((p) => p.kind === 'load')
    .map((p): Fault => ({ kind: 'shortedLoad', part: p.id }));
  const low = circuit.supplies
    .filter((s) => s.volts !== 0)
    .flatMap((s) => lowShares.map((share): Fault => ({ kind: 'lowSupply', supply: s.id, share })));
  return [...shorted, ...low, ...swaps, ...moves];
}

/** A fault in a sentence, with the names of the circuit. */
export function faultWords(circuit: Circuit, fault: Fault): string {
  const part = (id: string) => {
    const found = circuit.parts.find((p) => p.id === id);
    return found ? nameOf(found) : id;
  };
  const wire = (id: string) => {
    const found = circuit.wires[wireIds(circuit.wires).indexOf(id)];
    return found
      ? `${found.label ? `${found.label}, ` : ''}${endWords(circuit, found.from)} to ${endWords(circuit, found.to)}`
      : id;
  };
  switch (fault.kind) {
    case 'none':
      return 'Nothing is broken: the wiring reads as it should.';
    case 'openWire':
      return `Wire ${wire(fault.wire)} is missing, broken or loose at a terminal.`;
    case 'blownFuse':
      return `${part(fault.part)} is blown. Find out why before a new one goes in.`;
    case 'openLoad':
      return `${part(fault.part)} is open inside.`;
    case 'shortedLoad':
      return `${part(fault.part)} is shorted inside.`;
    case 'openCoil':
      return `The coil of ${part(fault.part)} is open.`;
    case 'weldedContact':
      return `${part(fault.part)} is welded: it stays closed whatever drives it.`;
    case 'contactNeverCloses':
      return `${part(fault.part)} never closes, though it is driven.`;
    case 'deadControl':
      return `${part(fault.part)} has its supply and drives nothing.`;
    case 'openSupply':
      return `${fault.supply} is lost before the cabinet.`;
    case 'lowSupply':
      return `${fault.supply} has only about ${Math.round(fault.share * 100)} % of its volts.`;
    case 'swappedWires':
      return `Wires ${wire(fault.wires[0])} and ${wire(fault.wires[1])} are swapped at one end.`;
    case 'wrongTerminal':
      return `Wire ${wire(fault.wire)} sits on ${endWords(circuit, fault.to)} instead.`;
    case 'pair':
      return fault.faults.map((f) => faultWords(circuit, f)).join(' And: ');
  }
}

/** Ids of the wires a fault is about. */
export function wiresOfFault(fault: Fault): readonly string[] {
  switch (fault.kind) {
    case 'openWire':
    case 'wrongTerminal':
      return [fault.wire];
    case 'swappedWires':
      return fault.wires;
    case 'pair':
      return fault.faults.flatMap(wiresOfFault);
    default:
      return [];
  }
}
