import type { Quantity } from '../../foundation/quantities/index.ts';
import type { Network } from '../solver/index.ts';
import type { Bench } from './bench.ts';
import { groundsOf } from './ground.ts';
import { DEAD, meterUnitOf, placeKey, type MeterUnit, type Place } from './place.ts';
import { placesOf } from './places.ts';
import { OPEN_LINE, tolerance } from './tolerance.ts';

/** A fault, or a possible circuit, still in the race. */
export interface Suspect<What> {
  readonly fault: What;
  readonly bench: Bench;
  readonly weight: number;
}

/** Where to put the meter next, and what it will show under each suspect. */
export type NextReading<What> = Place & {
  readonly expect: readonly { readonly fault: What; readonly reads: Quantity }[];
  /** Expected information in bits. */
  readonly bits: number;
};

/** Bits below which a reading tells nothing. */
const NOTHING = 1e-3;
/** Bits by which a live reading must be better than a dead one. */
const DEAD_BONUS = 0.05;
/** Bits a reading through a winding counts less: its ohms are known only as whole or not. */
const WINDING_COST = 0.1;

/** The place whose reading is expected to tell most, dead before live where it tells as much; null when none tells anything. */
export function nextReading<What>(
  network: Network,
  suspects: readonly Suspect<What>[],
  taken: readonly Place[],
  places: readonly Place[] = placesOf(network),
): NextReading<What> | null {
  if (suspects.length < 2) return null;
  const done = new Set(taken.map(placeKey));
  const ground = groundsOf(network);
  let best: { readonly place: Place; readonly bits: number; readonly score: number } | null = null;
  for (const place of places) {
    if (done.has(placeKey(place)) || ground(place) === 'electronics') continue;
    const values = suspects.map((s) => s.bench.rely(place));
    const bits = information(meterUnitOf(place), values, suspects);
    if (bits < NOTHING) continue;
    const score =
      bits + (place.state === DEAD ? DEAD_BONUS : 0) - (ground(place) === 'winding' ? WINDING_COST : 0);
    if (!best || score > best.score + 1e-9) best = { place, bits, score };
  }
  if (!best) return null;
  const { place, bits } = best;
  const unit = meterUnitOf(place);
  return {
    ...place,
    expect: suspects.map((s) => ({
      fault: s.fault,
      reads: { value: shown(unit, s.bench.expect(place)), unit },
    })),
    bits: Math.round(bits * 1000) / 1000,
  };
}

/** Entropy in bits of the answer, for suspects gathered into values that a meter tells apart. */
export function information<What>(
  unit: MeterUnit,
  values: readonly number[],
  suspects: readonly Suspect<What>[],
): number {
  const order = values
    .map((value, i) => ({
      value: unit === 'ohm' && value >= OPEN_LINE ? OPEN_LINE * 1e3 : value,
      weight: suspects[i]!.weight,
    }))
    .filter(({ value }) => Number.isFinite(value))
    .sort((a, b) => a.value - b.value);
  const weights: number[] = [];
  let edge = -Infinity;
  for (const { value, weight } of order) {
    // A reading of one may stray by its tolerance, and so may that of the other.
    if (value - edge > tolerance(unit, value) + tolerance(unit, edge)) weights.push(0);
    weights[weights.length - 1]! += weight;
    edge = value;
  }
  const sum = weights.reduce((a, b) => a + b, 0);
  return sum === 0 ? 0 : -weights.reduce((h, w) => (w > 0 ? h + (w / sum) * Math.log2(w / sum) : h), 0);
}

/** As a meter shows it: an open line is 10 MΩ or more. */
function shown(unit: MeterUnit, value: number): number {
  if (!Number.isFinite(value)) return unit === 'ohm' ? 1e7 : 0;
  const digits = unit === 'A' ? 1e3 : 1e2;
  return Math.round(Math.min(value, 1e7) * digits) / digits;
}
