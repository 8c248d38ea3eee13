import { terminalsOf, wireIds, type Circuit } from '../circuit/index.ts';
import type { Network } from '../solver/index.ts';
import { DEAD, placeKey, type Place } from './place.ts';

/** Every place worth a probe: across each part, each wire dead, each terminal against each supply, the clamp on each consumer. */
export function placesOf(network: Network): readonly Place[] {
  const { circuit } = network;
  const states = Object.keys(circuit.states);
  const across = circuit.parts.flatMap((part): (readonly [string, string])[] => {
    const t = terminalsOf(part).map((name) => `${part.id}.${name}`);
    switch (part.kind) {
      case 'junction':
        return [];
      case 'probe':
        return [[t[0]!, t[1]!], farEnds(circuit, t[0]!, t[1]!)];
      case 'control':
        return [[t[0]!, t[1]!]];
      case 'contactor':
        return Array.from({ length: t.length / 2 }, (_, i) => [t[2 * i]!, t[2 * i + 1]!] as const);
      case 'load':
        return t.length === 3
          ? [
              [t[0]!, t[1]!],
              [t[1]!, t[2]!],
              [t[0]!, t[2]!],
            ]
          : [[t[0]!, t[1]!]];
      default:
        return t.slice(1).map((other) => [t[0]!, other] as const);
    }
  });
  const supplies = circuit.supplies.filter((s) => s.id !== 'PE').map((s) => s.id);
  const terminals = circuit.parts
    .filter((part) => part.kind !== 'probe')
    .flatMap((part) =>
      // Terminals of a control beyond its supply belong to probes and inputs: low voltage, not read against mains.
      (part.kind === 'control' ? part.terminals.slice(0, 2) : terminalsOf(part)).map(
        (name) => `${part.id}.${name}`,
      ),
    );
  const toSupplies = terminals.flatMap((t) => supplies.map((s) => [t, s] as const));
  const wires = circuit.wires.filter((wire) => !wire.internal).map((wire) => [wire.from, wire.to] as const);
  const consumers = circuit.parts.filter(
    (p) => p.kind === 'load' || p.kind === 'contactor' || p.kind === 'control',
  );
  const places: Place[] = [
    ...[...across, ...wires, ...toSupplies].map(([from, to]) => ({ state: DEAD, from, to })),
    ...states.flatMap((state) => [
      ...[...across, ...toSupplies].map(([from, to]) => ({ state, from, to })),
      ...consumers.map((p) => ({ state, through: p.id })),
    ]),
  ];
  const seen = new Set<string>();
  return places.filter((place) => {
    const key = placeKey(place);
    if (seen.has(key)) return false;
    seen.add(key);
    return true;
  });
}

/** True where a circuit has the state of a place and the part or both points its meter is put at. */
export function placeStands(network: Network, place: Place): boolean {
  const { circuit, nodeOf } = network;
  const known = place.state === DEAD || Object.hasOwn(circuit.states, place.state);
  if ('through' in place) return known && circuit.parts.some((part) => part.id === place.through);
  return known && nodeOf.has(place.from) && nodeOf.has(place.to);
}

/** Ids of the wires that end where the leads or the clamp of a place are put. */
export function wiresAtPlace(circuit: Circuit, place: Place): readonly string[] {
  const touches = (end: string) =>
    'through' in place ? end.startsWith(`${place.through}.`) : end === place.from || end === place.to;
  const ids = wireIds(circuit.wires);
  return ids.filter((_, i) => touches(circuit.wires[i]!.from) || touches(circuit.wires[i]!.to));
}

/** Where the two leads of a probe end: there the whole run is measured. */
function farEnds(circuit: Circuit, a: string, b: string): readonly [string, string] {
  const far = (end: string) => {
    const wire = circuit.wires.find((w) => w.from === end || w.to === end);
    return wire ? (wire.from === end ? wire.to : wire.from) : end;
  };
  return [far(a), far(b)];
}
