import { cover } from './cover.ts';
import { partOfEnd, wireIds, type Circuit } from '../circuit/index.ts';
import { Bench } from '../readings/index.ts';
import { DEAD, meterUnitOf, placeKey, type MeterUnit, type Place } from '../readings/index.ts';
import { misfitOf, tolerance } from '../readings/index.ts';
import { breakNetwork } from '../faults/index.ts';
import { firstFaults, laterFaults, type Fault } from '../faults/index.ts';
import { placesOf } from '../readings/index.ts';
import { groundsOf, isWholeWinding, type Ground } from '../readings/index.ts';
import { networkOf, type Network } from '../solver/index.ts';

/** One reading of the proof: where, what it must show, how far off is still right, and how many faults it would catch. */
export interface MeterRow {
  readonly place: Place;
  readonly unit: MeterUnit;
  readonly expected: number;
  readonly tolerance: number;
  readonly catches: number;
  /** What a reading in ohms rests on; a winding is judged as whole or not, no finer. */
  readonly ground: Ground;
}

/** The readings that prove a circuit, dead ones first, and the faults that no reading in the cabinet can show. */
export interface Proof {
  readonly rows: readonly MeterRow[];
  readonly unseen: readonly Fault[];
  readonly faults: number;
}

/** Tolerances by which a fault must move a reading before the reading counts as catching it. */
const CLEAR = 2;

/**
 * The fewest readings, dead before live, such that every single fault of the first kinds, and every pair of wires swapped between two
 * terminals, moves at least one of them clear of its tolerance. What the work can have got wrong shows dead already; what was not touched may
 * show live. The supply of each control is always among them, and the clamp on each compressor and defrost heater. Greedy cover, dead places first, then what later ones made
 * superfluous taken out again; so it is few, not provably the fewest.
 */
export function proofOf(circuit: Circuit, network: Network = networkOf(circuit)): Proof {
  const sound = new Bench({ network, effect: {} });
  const ground = groundsOf(network);
  const places = placesOf(network).filter(
    (place) =>
      (Number.isFinite(sound.rely(place)) || place.state === DEAD) && ground(place) !== 'electronics',
  );
  const touched = new Set(wireIds(circuit.wires).filter((_, i) => circuit.wires[i]!.change !== 'kept'));
  const faults = [
    ...firstFaults(circuit).filter((f) => f.kind !== 'none'),
    ...laterFaults(circuit, []).filter(
      // Wires nobody touched cannot have been swapped.
      (f) => f.kind === 'swappedWires' && f.wires.every((id) => touched.has(id)),
    ),
  ];
  const catches = places.map(() => new Set<number>());
  const expected = places.map((place) => sound.rely(place));
  const grounds = places.map(ground);
  const handy = places.map((place, p) =>
    grounds[p] === 'winding' && expected[p]! > 5000 ? UNHANDY : handiness(circuit, place, expected[p]!),
  );
  for (const [f, fault] of faults.entries()) {
    const broken = breakNetwork(network, fault);
    if (!broken) continue;
    const bench = new Bench(broken);
    for (const [p, place] of places.entries())
      if (shows(meterUnitOf(place), grounds[p]!, expected[p]!, bench.rely(place))) catches[p]!.add(f);
  }
  const musts = new Set([...controlSupplies(circuit), ...largeLoads(circuit, sound)].map(placeKey));
  const picked = cover({
    places,
    catches,
    musts: places.flatMap((place, i) => (musts.has(placeKey(place)) ? [i] : [])),
    worth: handy,
    ofTheWork: new Set(faults.flatMap((fault, f) => (isOfTheWork(fault, touched) ? [f] : []))),
  });
  const caught = new Set(picked.flatMap((p) => [...catches[p]!]));
  const order = [DEAD, ...Object.keys(circuit.states)];
  const rows = picked
    .map((p): MeterRow => {
      const unit = meterUnitOf(places[p]!);
      return {
        place: places[p]!,
        unit,
        expected: expected[p]!,
        tolerance: tolerance(unit, Math.min(expected[p]!, 1e7)),
        catches: catches[p]!.size,
        ground: grounds[p]!,
      };
    })
    .sort(
      (a, b) =>
        order.indexOf(a.place.state) - order.indexOf(b.place.state) ||
        Number('through' in a.place) - Number('through' in b.place),
    );
  return {
    rows,
    unseen: faults.filter((f, i) => !caught.has(i) && f.kind !== 'swappedWires'),
    faults: faults.length,
  };
}

/** The supply of each control, in the first state: where every live reading begins. */
function controlSupplies(circuit: Circuit): readonly Place[] {
  const state = Object.keys(circuit.states)[0]!;
  return circuit.parts.flatMap((part) =>
    part.kind === 'control'
      ? [{ state, from: `${part.id}.${part.terminals[0]}`, to: `${part.id}.${part.terminals[1]}` }]
      : [],
  );
}

/** The clamp on each compressor and defrost heater in the first state in which it works: what they draw is asked in any case. */
function largeLoads(circuit: Circuit, sound: Bench): readonly Place[] {
  return circuit.parts.flatMap((part) => {
    if (part.kind !== 'load' || (part.role !== 'compressor' && part.role !== 'defrostHeater')) return [];
    const places = Object.keys(circuit.states).map((state) => ({ state, through: part.id }));
    return places.filter((place) => sound.expect(place) >= CLAMP_LEAST).slice(0, 1);
  });
}

/** True for what the work itself can have got wrong, a wire that was touched: it is to be found dead, before anything is energised. */
function isOfTheWork(fault: Fault, touched: ReadonlySet<string>): boolean {
  return fault.kind === 'openWire' ? touched.has(fault.wire) : fault.kind === 'swappedWires';
}

/** True where a fault moves a reading clear of what is right. */
function shows(unit: MeterUnit, ground: Ground, expected: number, faulty: number): boolean {
  if (unit === 'ohm' && ground === 'winding') return !isWholeWinding(expected, faulty);
  return misfitOf(unit, expected, faulty) > CLEAR;
}

/** Worth of a place where leads are rarely put, against one where they always are. */
const UNHANDY = 0.45;
/** Worth of the clamp: it touches nothing live. */
const CLAMP = 1.15;
/** Amps from which a clamp meter is to be believed. */
const CLAMP_LEAST = 0.5;

/** Full worth over a part's own two ends, and at a contact or a pole against a supply: where a technician puts the leads anyway. */
function handiness(circuit: Circuit, place: Place, expected: number): number {
  if ('through' in place) return expected >= CLAMP_LEAST ? CLAMP : UNHANDY;
  const [a, b] = [partOfEnd(circuit, place.from), partOfEnd(circuit, place.to)];
  if (a && a === b) return a.kind !== 'fuse' && a.kind !== 'switch' && a.kind !== 'contact' ? 1 : UNHANDY;
  const one = a ?? b;
  return (!a || !b) && (one?.kind === 'contact' || one?.kind === 'contactor') ? 1 : UNHANDY;
}
