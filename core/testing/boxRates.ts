import { AIR_HEAT, FUSION, ICE_HEAT, LEWIS, VAPORISATION } from '../src/foundation/limits/index.ts';
import {
  doorFlow,
  humidityRatio,
  type BoxDrive,
  type BoxParameters,
  type BoxState,
} from '../src/machines/box/index.ts';

/**
 * The box written a second time, as rates: what `docs/control.md` says of it in continuous time, for a solver that chooses its own steps. Order: air, ratio, wall,
 * product fast and slow, share of capacity, probe, coil probe, then temperature, frost and water of each zone.
 */
export function boxRates(p: BoxParameters, d: BoxDrive): (t: number, y: readonly number[]) => number[] {
  const conditions = d.ambient + p.condenserApproach + d.condenserRise;
  return (_, y) => {
    const [air, ratio, wall, fast, slow, up, probe, coilProbe] = y as unknown as readonly [
      number,
      number,
      number,
      number,
      number,
      number,
      number,
      number,
    ];
    const blown = p.stillShare + (1 - p.stillShare) * (d.fan ? d.fanFactor : 0);
    const exchange =
      p.leak + (d.doorOpen ? doorFlow(p.door, [air, ratio], [d.ambient, d.ambientRatio], d.fan) : 0);
    const heater = d.heater ? p.heaterWatts * d.heaterFactor : 0;
    const gas = d.hotGas && d.compressor ? p.hotGasWatts * up : 0;
    const zones = p.zones.map((z, i) => {
      const [t, rawFrost, rawWater] = y.slice(8 + 3 * i, 11 + 3 * i) as [number, number, number];
      const frost = Math.max(0, rawFrost);
      const water = Math.max(0, rawWater);
      const g = (z.toAir * blown) / (1 + 1.2 * (frost / z.full) ** 2);
      const surface = humidityRatio(frost > GONE && t > 0 ? 0 : t, 1);
      // What gives vapour back holds some; the last gram of it fades, so that the rate has no step.
      const held = Math.min(1, (frost + water) / GONE);
      const vapour = (g / (AIR_HEAT * LEWIS)) * (ratio - surface) * (surface > ratio ? held : 1);
      return { z, t, frost, water, g, vapour };
    });
    const cold = evaporation(p, conditions, d.hotGas ? 0 : up * d.capacityFactor, zones[0]!.t, zones[1]!.t);
    const gDoor = exchange * AIR_HEAT;
    const toAir =
      p.wallToAir * (wall - air) +
      p.productToAir * (fast - air) +
      gDoor * (d.ambient - air) +
      zones.reduce((sum, zone) => sum + zone.g * (zone.t - air), 0) +
      (d.fan ? p.fanWatts * d.fanFactor : 0) +
      p.loadWatts +
      heater * p.heaterLeak +
      (d.airHeater ? p.airHeaterWatts : 0);
    const toVapour =
      exchange * (d.ambientRatio - ratio) + p.moisture - zones.reduce((sum, zone) => sum + zone.vapour, 0);
    const inside = p.productInside * (fast - slow);
    return [
      toAir / (p.airMass * AIR_HEAT + p.fittings),
      toVapour / p.airMass,
      (p.wallToAmbient * (d.ambient - wall) + p.wallToAir * (air - wall)) / p.wallHeat,
      (p.productToAir * (air - fast) - inside) / p.productFast,
      inside / p.productSlow,
      ((d.compressor ? 1 : 0) - up) / (d.compressor ? p.startUp : 5),
      (air - probe) / p.probeLag,
      (zones[0]!.t - coilProbe) / p.coilProbeLag,
      ...zones.flatMap(({ z, t, frost, water, g, vapour }, i) => {
        const brought = g * (air - t) + (heater * (1 - p.heaterLeak) + gas) * z.share - cold[i]!;
        const below = t < 0;
        const asIce = below || (vapour < 0 && water < GONE);
        const melt = !below && frost > 0 ? ((z.toFrost * t) / FUSION) * Math.min(1, frost / GONE) : 0;
        const freeze = below && water > 0 ? ((z.toFrost * -t) / FUSION) * Math.min(1, water / GONE) : 0;
        const latent =
          vapour * (VAPORISATION + (asIce ? FUSION - ICE_HEAT * Math.min(t, 0) : 0)) -
          melt * FUSION +
          freeze * (FUSION - ICE_HEAT * t);
        const drain = t > -0.5 ? water / p.drainTime : 0;
        return [
          (brought + latent) / (z.heat + (below ? ICE_HEAT * frost : 0)),
          (asIce ? vapour : 0) - melt + freeze,
          (asIce ? 0 : vapour) + melt - freeze - drain,
        ];
      }),
    ];
  };
}

/** A gram: below it frost and water fade instead of ending between two instants. */
const GONE = 1e-4;

/** Heat the refrigerant takes from each zone, W: found by bisection of the evaporating temperature, where the box solves a line. */
function evaporation(
  p: BoxParameters,
  condensing: number,
  share: number,
  t1: number,
  t2: number,
): readonly [number, number] {
  if (share < 1e-3) return [0, 0];
  const full = share * p.capacity * Math.max(0.2, 1 - 0.01 * (condensing - p.ratedCondensing));
  const given = (e: number): readonly [number, number] => [
    Math.max(0, p.zones[0].toRefrigerant * (t1 - e)),
    Math.max(0, p.zones[1].toRefrigerant * (t2 - e)),
  ];
  let [low, high] = [p.ratedEvaporating - 30, Math.max(t1, t2)];
  for (let i = 0; i < 60; i += 1) {
    const e = (low + high) / 2;
    const [a, b] = given(e);
    if (a + b > full * (1 + 0.032 * (e - p.ratedEvaporating))) low = e;
    else high = e;
  }
  return given((low + high) / 2);
}

/** The state as the rates read it. */
export function asVector(s: BoxState): number[] {
  return [
    s.air,
    s.ratio,
    s.wall,
    s.productFast,
    s.productSlow,
    s.up,
    s.probe,
    s.coilProbe,
    ...s.zones.flatMap((z) => [z.temperature, z.frost, z.water]),
  ];
}
