import { AIR_HEAT, FUSION, ICE_HEAT, LEWIS, VAPORISATION } from '@brine/core/foundation/limits';
import { doorFlow, saturatedRatio, type BoxDrive, type BoxParameters } from '@brine/core/machines/box';

/** A gram: below it frost and water fade instead of ending between two instants, so that the rates have no step. */
const GONE = 1e-4;

/**
 * The rates of a box as fast as the model's own step: the table of saturated air, the evaporating temperature solved on its line, no list made on the way. For a solver that
 * is to be given every advantage. Order as in `core/testing/boxRates.ts`.
 */
export function fastRates(p: BoxParameters, d: BoxDrive): (t: number, y: readonly number[]) => number[] {
  const [one, two] = p.zones;
  const condensing = d.ambient + p.condenserApproach + d.condenserRise;
  const left = Math.max(0.2, 1 - 0.01 * (condensing - p.ratedCondensing));
  const heater = d.heater ? p.heaterWatts * d.heaterFactor : 0;
  const inner =
    (d.fan ? p.fanWatts * d.fanFactor : 0) +
    p.loadWatts +
    heater * p.heaterLeak +
    (d.airHeater ? p.airHeaterWatts : 0);
  const blown = p.stillShare + (1 - p.stillShare) * (d.fan ? d.fanFactor : 0);
  const toCoil = heater * (1 - p.heaterLeak);
  const [k1, k2] = [one.toRefrigerant, two.toRefrigerant];
  const lump = p.airMass * AIR_HEAT + p.fittings;
  return (_, y) => {
    const air = y[0]!;
    const ratio = y[1]!;
    const up = y[5]!;
    const t1 = y[8]!;
    const t2 = y[11]!;
    const f1 = y[9]! > 0 ? y[9]! : 0;
    const f2 = y[12]! > 0 ? y[12]! : 0;
    const w1 = y[10]! > 0 ? y[10]! : 0;
    const w2 = y[13]! > 0 ? y[13]! : 0;
    const exchange =
      p.leak + (d.doorOpen ? doorFlow(p.door, [air, ratio], [d.ambient, d.ambientRatio], d.fan) : 0);
    const g1 = (one.toAir * blown) / (1 + 1.2 * (f1 / one.full) ** 2);
    const g2 = (two.toAir * blown) / (1 + 1.2 * (f2 / two.full) ** 2);
    const at1 = saturatedRatio(f1 > GONE && t1 > 0 ? 0 : t1);
    const at2 = saturatedRatio(f2 > GONE && t2 > 0 ? 0 : t2);
    const v1 = (g1 / (AIR_HEAT * LEWIS)) * (ratio - at1) * (at1 > ratio ? Math.min(1, (f1 + w1) / GONE) : 1);
    const v2 = (g2 / (AIR_HEAT * LEWIS)) * (ratio - at2) * (at2 > ratio ? Math.min(1, (f2 + w2) / GONE) : 1);
    const share = d.hotGas ? 0 : up * d.capacityFactor;
    let c1 = 0;
    let c2 = 0;
    if (share >= 1e-3) {
      const full = share * p.capacity * left;
      const slope = 0.032 * full;
      const least = full - slope * p.ratedEvaporating;
      let e = (k1 * t1 + k2 * t2 - least) / (k1 + k2 + slope);
      if (t1 < e) e = (k2 * t2 - least) / (k2 + slope);
      else if (t2 < e) e = (k1 * t1 - least) / (k1 + slope);
      if (e < p.ratedEvaporating - 30) e = p.ratedEvaporating - 30;
      c1 = t1 > e ? k1 * (t1 - e) : 0;
      c2 = t2 > e ? k2 * (t2 - e) : 0;
    }
    const gas = toCoil + (d.hotGas && d.compressor ? p.hotGasWatts * up : 0);
    const inside = p.productInside * (y[3]! - y[4]!);
    const out = new Array<number>(14);
    out[0] =
      (p.wallToAir * (y[2]! - air) +
        p.productToAir * (y[3]! - air) +
        exchange * AIR_HEAT * (d.ambient - air) +
        g1 * (t1 - air) +
        g2 * (t2 - air) +
        inner) /
      lump;
    out[1] = (exchange * (d.ambientRatio - ratio) + p.moisture - v1 - v2) / p.airMass;
    out[2] = (p.wallToAmbient * (d.ambient - y[2]!) + p.wallToAir * (air - y[2]!)) / p.wallHeat;
    out[3] = (p.productToAir * (air - y[3]!) - inside) / p.productFast;
    out[4] = inside / p.productSlow;
    out[5] = ((d.compressor ? 1 : 0) - up) / (d.compressor ? p.startUp : 5);
    out[6] = (air - y[6]!) / p.probeLag;
    out[7] = (t1 - y[7]!) / p.coilProbeLag;
    zone(out, 8, one, t1, f1, w1, g1 * (air - t1) + gas * one.share - c1, v1, p.drainTime);
    zone(out, 11, two, t2, f2, w2, g2 * (air - t2) + gas * two.share - c2, v2, p.drainTime);
    return out;
  };
}

function zone(
  out: number[],
  at: number,
  z: BoxParameters['zones'][number],
  t: number,
  frost: number,
  water: number,
  brought: number,
  vapour: number,
  drainTime: number,
): void {
  const below = t < 0;
  const asIce = below || (vapour < 0 && water < GONE);
  const melt = !below && frost > 0 ? ((z.toFrost * t) / FUSION) * Math.min(1, frost / GONE) : 0;
  const freeze = below && water > 0 ? ((z.toFrost * -t) / FUSION) * Math.min(1, water / GONE) : 0;
  const latent =
    vapour * (VAPORISATION + (asIce ? FUSION - ICE_HEAT * Math.min(t, 0) : 0)) -
    melt * FUSION +
    freeze * (FUSION - ICE_HEAT * t);
  const drain = t > -0.5 ? water / drainTime : 0;
  out[at] = (brought + latent) / (z.heat + (below ? ICE_HEAT * frost : 0));
  out[at + 1] = (asIce ? vapour : 0) - melt + freeze;
  out[at + 2] = (asIce ? 0 : vapour) + melt - freeze - drain;
}
