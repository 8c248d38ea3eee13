import { DEAD, type Place } from '../readings/index.ts';

/** What readings are to be chosen from; every list runs over the places, faults by number. */
export interface CoverTask {
  readonly places: readonly Place[];
  /** The faults each place would show. */
  readonly catches: readonly ReadonlySet<number>[];
  /** Places that are read in any case. */
  readonly musts: readonly number[];
  /** What each place is worth beside the number of faults it shows. */
  readonly worth: readonly number[];
  /** Faults that have to show dead. */
  readonly ofTheWork: ReadonlySet<number>;
}

/** A small set of places that together show every fault any of them shows: greedy, dead ones first, then what became superfluous out again. */
export function cover({ places, catches, musts, worth, ofTheWork }: CoverTask): readonly number[] {
  const picked = [...musts];
  // What a live reading would show counts only once the dead ones are chosen.
  const caught = new Set<number>();
  for (const dead of [true, false]) {
    if (!dead) for (const f of musts.flatMap((p) => [...catches[p]!])) caught.add(f);
    const mine = places.map((_, i) => i).filter((i) => (places[i]!.state === DEAD) === dead);
    for (;;) {
      let best = -1;
      let most = 0;
      for (const i of mine) {
        let gain = 0;
        for (const f of catches[i]!) if (!caught.has(f) && (!dead || ofTheWork.has(f))) gain += 1;
        const value = gain * worth[i]!;
        if (value > most) [most, best] = [value, i];
      }
      if (best < 0) break;
      picked.push(best);
      for (const f of catches[best]!) caught.add(f);
    }
  }
  // A live reading that others make superfluous is a risk not taken; a dead one gives way only to dead ones, since what it shows has to be
  // known before anything is energised.
  const isDead = (p: number) => places[p]!.state === DEAD;
  let kept = [...picked];
  for (const candidate of [...picked].sort((a, b) => Number(isDead(a)) - Number(isDead(b)))) {
    if (musts.includes(candidate)) continue;
    const rest = kept.filter((p) => p !== candidate);
    const any = new Set(rest.flatMap((p) => [...catches[p]!]));
    const dead = new Set(rest.filter(isDead).flatMap((p) => [...catches[p]!]));
    const still = (f: number) => (isDead(candidate) && ofTheWork.has(f) ? dead : any).has(f);
    if ([...catches[candidate]!].every(still)) kept = rest;
  }
  return kept;
}
