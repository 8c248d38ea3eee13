import { baseValue, isQuantity } from '../../quantities/index.ts';
import type { UnitDescription } from '../unit.ts';
import { usualFacts, type Facts } from './facts.ts';

/** Salt of sea water that shellfish live in, g/kg (common practice). */
const SEA_SALT = 33;

/** Air outdoors swings by so much on a usual day, K. */
const SWING_K = 10;

/**
 * The facts of a unit: what was measured, else what the unit's own description says (the air around a tank is its ambient, a condenser's warmest air outdoors too, live shellfish live
 * in sea water), else what is usual.
 */
export function factsOfUnit(unit: UnitDescription): Facts {
  const told: Partial<Record<keyof Facts, number>> = {
    salinity: unit.goods === 'liveShellfish' ? SEA_SALT : 0,
    ...(isQuantity(unit.ambient) && around(baseValue(unit.ambient))),
  };
  return { ...usualFacts, ...told, ...unit.facts };
}

/** What an ambient says of the air around a tank and of a condenser's day. */
const around = (ambient: number) => ({
  roomAir: ambient,
  outdoorHigh: ambient,
  outdoorLow: ambient - SWING_K,
});
