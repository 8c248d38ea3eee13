/** Where the differential lies about the set point. */
export type Placement = 'setpointIsCutOut' | 'setpointIsMiddle' | 'setpointIsCutIn';

/** Share of the differential between the set point and the cut-out: none, half or all of it. */
const SHARES: Readonly<Record<Placement, number>> = {
  setpointIsCutOut: 0,
  setpointIsMiddle: 0.5,
  setpointIsCutIn: 1,
};

/** The share of the differential that lies between set point and cut-out. */
export const shareToCutOut = (placement: Placement): number => SHARES[placement];

/** A placement as a settings file has it; the set point is the cut-out where nothing else is said. */
export const placementOf = (value: unknown): Placement =>
  typeof value === 'string' && Object.hasOwn(SHARES, value) ? (value as Placement) : 'setpointIsCutOut';

/**
 * Where a stage stops and starts, °C: from its set point, its differential in K, where that lies, and whether it heats. Set 38 with 5 above
 * it, cooling: cut-out 38, cut-in 43; heating mirrors it.
 */
export function placeBand(
  setpoint: number,
  differential: number,
  placement: Placement,
  heats: boolean,
): { readonly cutOut: number; readonly cutIn: number } {
  const up = heats ? -differential : differential;
  const cutOut = setpoint - SHARES[placement] * up;
  return { cutOut, cutIn: cutOut + up };
}
