import type { Quantity } from '../../foundation/quantities/index.ts';

/** The state in which supplies are off and nothing is driven. */
export const DEAD = 'dead';

/** Where a meter is put: two points, or the clamp around a part's line. `state` is the state asked for. */
export type Place =
  | { readonly state: string; readonly from: string; readonly to: string }
  | { readonly state: string; readonly through: string };

/** A reading as typed. */
export type Reading = Place & { readonly reads: Quantity };

/** What a place is read in. */
export type MeterUnit = 'V' | 'A' | 'ohm';

/** Volts live, ohms dead, amps with the clamp. */
export function meterUnitOf(place: Place): MeterUnit {
  if ('through' in place) return 'A';
  return place.state === DEAD ? 'ohm' : 'V';
}

/** Equal for equal places, whichever lead is where. */
export function placeKey(place: Place): string {
  if ('through' in place) return `${place.state}|${place.through}`;
  return `${place.state}|${[place.from, place.to].sort().join('|')}`;
}

/** What is wrong with a place that came over the wire, in a sentence; null where nothing is. */
export function placeProblem(place: unknown): string | null {
  if (typeof place !== 'object' || place === null || Array.isArray(place))
    return 'expected a place for the meter';
  const f = place as Readonly<Record<string, unknown>>;
  const ends = (['state', 'from', 'to', 'through'] as const).filter((end) => f[end] !== undefined);
  const named = ends.every(
    (end) => typeof f[end] === 'string' && f[end] !== '' && f[end].length <= LONGEST_END,
  );
  return named && ['state,from,to', 'state,through'].includes(ends.join())
    ? null
    : 'expected state with from and to, or with through';
}

/** Longest name of an end, in characters. */
const LONGEST_END = 120;
