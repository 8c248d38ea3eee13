import { AIR_HEAT, FUSION, ICE_HEAT, VAPORISATION } from '../src/foundation/limits/index.ts';
import type { BoxParameters } from '../src/machines/box/plant/boxParameters.ts';
import type { BoxState } from '../src/machines/box/plant/boxState.ts';

/** Water in a box, kg: vapour, frost and held water. */
export function storedWater(p: BoxParameters, s: BoxState): number {
  return p.airMass * s.ratio + s.zones.reduce((sum, z) => sum + z.frost + z.water, 0);
}

/** Heat stored in a box, J, against everything at 0 °C with its water liquid. Counted from the state alone, apart from the step. */
export function storedHeat(p: BoxParameters, s: BoxState): number {
  const mass = p.airMass;
  const zones = s.zones.reduce((sum, z, i) => {
    const ice = z.frost * (ICE_HEAT * Math.min(z.temperature, 0) - FUSION);
    return sum + p.zones[i]!.heat * z.temperature + ice;
  }, 0);
  return (
    (mass * AIR_HEAT + p.fittings) * s.air +
    mass * s.ratio * VAPORISATION +
    p.wallHeat * s.wall +
    p.productFast * s.productFast +
    p.productSlow * s.productSlow +
    zones
  );
}
