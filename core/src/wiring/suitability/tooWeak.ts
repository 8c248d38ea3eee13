import type { Relay } from '../../controllers/definitions/index.ts';
import type { Demand } from './demand.ts';
import { overRating } from './overRating.ts';

/** What a relay lacks for a demand, in words with both figures; null where it is strong enough or its ratings are not known. */
export function tooWeak(relay: Relay, demand: Demand): string | null {
  const over = overRating(relay.ratings ?? {}, demand);
  if (!over) return null;
  const amps = (value: number) => `${value.toFixed(value < 10 ? 1 : 0)} A`;
  switch (over.kind) {
    case 'resistive':
      return `${amps(over.amps)} on a contact for ${amps(over.limit)}`;
    case 'motor':
      return `a motor of ${amps(over.amps)} on a contact for ${amps(over.limit)} of motor`;
    case 'lockedRotor':
      return `${amps(over.amps)} at the start on a contact for ${amps(over.limit)} locked rotor`;
  }
}
