import type { ContactRatings } from '../circuit/index.ts';

/** A rating that is passed: which, what it allows, and what the contact would have to carry or make. */
export interface OverRating {
  readonly kind: 'resistive' | 'motor' | 'lockedRotor';
  readonly limit: number;
  readonly amps: number;
}

/**
 * The one rule for a contact and its ratings, in A: what runs is held against the resistive rating, with a motor behind it against the
 * motor's full load rating, and the start against the locked rotor rating. A rating the plate does not give (undefined) is not held
 * against anything; `lockedRotorAmps` null says that the start is not known. Null where nothing is passed; exactly the rating is
 * allowed (common practice).
 */
export function overRating(
  { resistiveAmps, motorFullLoadAmps, motorLockedRotorAmps }: ContactRatings,
  { amps, motor, lockedRotorAmps }: { amps: number; motor: boolean; lockedRotorAmps: number | null },
): OverRating | null {
  if (resistiveAmps !== undefined && amps > resistiveAmps)
    return { kind: 'resistive', limit: resistiveAmps, amps };
  if (motor && motorFullLoadAmps !== undefined && amps > motorFullLoadAmps)
    return { kind: 'motor', limit: motorFullLoadAmps, amps };
  if (
    lockedRotorAmps !== null &&
    motorLockedRotorAmps !== undefined &&
    lockedRotorAmps > motorLockedRotorAmps
  )
    return { kind: 'lockedRotor', limit: motorLockedRotorAmps, amps: lockedRotorAmps };
  return null;
}
