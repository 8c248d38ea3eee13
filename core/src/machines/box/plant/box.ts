import {
  AIR_HEAT,
  FUSION,
  ICE_HEAT,
  LEWIS,
  VAPORISATION,
  ZERO_CELSIUS_K,
} from '../../../foundation/limits/index.ts';
import type { BoxParameters, ZoneParameters } from './boxParameters.ts';
import type { BoxDrive, BoxFlows, BoxState, ZoneState } from './boxState.ts';
import { decaysOf, type BoxWork, type Decays, type ZoneFlow } from './boxWork.ts';
import { doorFlow } from './infiltration.ts';
import { saturatedRatio } from './moistAir.ts';

/** A coil full of frost (filling 1) lets through 1/(1 + this) of the air of a clean one (common practice: a fifth at twice the filling). */
const FROST_BLOCKS = 1.2;
/** Capacity a kelvin of evaporating temperature, share of the rated one (common practice: 3 to 4 %). */
const CAPACITY_PER_K_EVAPORATING = 0.032;
/** Capacity lost a kelvin of condensing temperature, share (common practice: about 1 %). */
const CAPACITY_PER_K_CONDENSING = 0.01;
/** Share of the capacity that the hottest condenser leaves. Ours: keeps the estimate physical far off the rating. */
const LEAST_CAPACITY_SHARE = 0.2;
/** The refrigerant never evaporates colder than this below the rating, K. Ours: where a real machine would have tripped. */
const LOWEST_BELOW_RATED_K = 30;
/** Least lift and coefficient of performance that power is computed with, K and –. Ours: a compressor never runs for nothing. */
const LEAST_LIFT_K = 8;
const LEAST_COP = 0.8;
/** Power of an unloaded compressor: that of this share of its capacity. Common practice: a quarter. */
const IDLING_SHARE = 0.25;

/**
 * One step of `dt` seconds. Air and moisture go exponentially towards where the flows of the step lead them, and every other node is given
 * exactly what they took: so heat and water are conserved to rounding, whatever the step.
 */
export function stepBox(
  p: BoxParameters,
  s: BoxState,
  d: BoxDrive,
  dt: number,
  flows: BoxFlows,
  work: BoxWork,
): void {
  const decay = decaysOf(work, p, dt);
  const { flow1, flow2, cycle } = work;
  const mass = p.airMass;
  const exchange =
    p.leak + (d.doorOpen ? doorFlow(p.door, [s.air, s.ratio], [d.ambient, d.ambientRatio], d.fan) : 0);
  const wind = d.fan ? d.fanFactor : 0;
  const airShare = p.stillShare + (1 - p.stillShare) * wind;
  const one = s.zones[0];
  const two = s.zones[1];
  const first = p.zones[0];
  const second = p.zones[1];
  touch(first, one, flow1);
  touch(second, two, flow2);
  const g1 = flow1.toAir * airShare;
  const g2 = flow2.toAir * airShare;

  // Air: towards the temperature at which its flows cancel; its mean over the step is what the others see.
  const heaterHeat = d.heater ? p.heaterWatts * d.heaterFactor : 0;
  const fanHeat = d.fan ? p.fanWatts * d.fanFactor : 0;
  const inner = fanHeat + p.loadWatts + heaterHeat * p.heaterLeak + (d.airHeater ? p.airHeaterWatts : 0);
  const gInf = exchange * AIR_HEAT;
  const g = p.wallToAir + p.productToAir + g1 + g2 + gInf;
  const pull =
    p.wallToAir * s.wall +
    p.productToAir * s.productFast +
    g1 * one.temperature +
    g2 * two.temperature +
    gInf * d.ambient +
    inner;
  const airHeat = mass * AIR_HEAT + p.fittings;
  // What an exponential approach took over the step is exactly what changed: mean = towards + (from − end) / share.
  const towards = pull / g;
  const air = towards + (s.air - towards) * Math.exp((-g * dt) / airHeat);
  const mean = towards + ((s.air - air) * airHeat) / (g * dt);

  // Moisture: in with the door's air, out to what is colder than its dew point; frost and water give back only what they hold.
  const rate1 = transferRate(g1, one, flow1.ratio - s.ratio, dt);
  const rate2 = transferRate(g2, two, flow2.ratio - s.ratio, dt);
  const total = exchange + rate1 + rate2;
  const wet = (exchange * d.ambientRatio + rate1 * flow1.ratio + rate2 * flow2.ratio + p.moisture) / total;
  const carried = (total * dt) / mass;
  const still = carried < 1e-9;
  const ratio = still ? s.ratio + (p.moisture * dt) / mass : wet + (s.ratio - wet) * Math.exp(-carried);
  const meanRatio = still ? s.ratio : wet + (s.ratio - ratio) / carried;
  flow1.vapour = rate1 * (meanRatio - flow1.ratio) * dt;
  flow2.vapour = rate2 * (meanRatio - flow2.ratio) * dt;
  const infWater = exchange * (d.ambientRatio - meanRatio) * dt + p.moisture * dt;

  // Refrigeration: less with a colder coil and a hotter condenser; power as a share of Carnot.
  s.up += ((d.compressor ? 1 : 0) - s.up) * (d.compressor ? decay.rising : decay.falling);
  cycle.condensing = d.ambient + p.condenserApproach + d.condenserRise;
  cycle.share = d.hotGas ? 0 : s.up * d.capacityFactor;
  refrigerate(p, one, two, work);
  const cooling = flow1.cooling + flow2.cooling;
  const lift = cycle.condensing - cycle.evaporating;
  const cop =
    (p.efficiency * (cycle.evaporating + ZERO_CELSIUS_K)) / (lift > LEAST_LIFT_K ? lift : LEAST_LIFT_K);
  if (d.compressor)
    flows.compressorJoules +=
      (Math.max(cooling, p.capacity * IDLING_SHARE) / (cop > LEAST_COP ? cop : LEAST_COP)) * dt;
  const toCoil = heaterHeat * (1 - p.heaterLeak) + (d.hotGas && d.compressor ? p.hotGasWatts * s.up : 0);

  flow1.heat = (g1 * (mean - one.temperature) + toCoil * first.share - flow1.cooling) * dt;
  flow2.heat = (g2 * (mean - two.temperature) + toCoil * second.share - flow2.cooling) * dt;
  stepZone(first, one, flow1, decay, dt);
  stepZone(second, two, flow2, decay, dt);
  const drained = flow1.drained + flow2.drained;

  const fromAmbient = p.wallToAmbient * (d.ambient - s.wall) * dt;
  s.wall += (fromAmbient + p.wallToAir * (mean - s.wall) * dt) / p.wallHeat;
  const between = p.productInside * (s.productFast - s.productSlow) * dt;
  s.productFast += (p.productToAir * (mean - s.productFast) * dt - between) / p.productFast;
  s.productSlow += between / p.productSlow;
  s.air = air;
  s.ratio = ratio > 0 ? ratio : 0;
  s.probe += (s.air - s.probe) * decay.probe;
  s.coilProbe += (one.temperature - s.coilProbe) * decay.coilProbe;

  flows.heat +=
    fromAmbient + gInf * (d.ambient - mean) * dt + (inner + toCoil - cooling) * dt + infWater * VAPORISATION;
  flows.water += infWater - drained;
  flows.meltDrained += drained;
  flows.otherJoules += (fanHeat + heaterHeat + (d.airHeater ? p.airHeaterWatts : 0)) * dt;
}

/**
 * How a zone touches the air: its conductance with the frost it has (full fins let little air through; common practice: a tenth at twice the filling),
 * and the humidity ratio at its surface, where frost is never above 0 °C.
 */
function touch(p: ZoneParameters, zone: ZoneState, flow: ZoneFlow): void {
  const filling = zone.frost / p.full;
  flow.toAir = p.toAir / (1 + filling * filling * FROST_BLOCKS);
  const t = zone.frost > 0 && zone.temperature > 0 ? 0 : zone.temperature;
  flow.ratio = saturatedRatio(t > -60 ? t : -60);
}

/**
 * Heat the refrigerant takes from the zones, W: it evaporates at one temperature, at which what the zones give is what the machine can take. Capacity falls by
 * 3.2 % a kelvin of evaporating and 1 % a kelvin of condensing temperature (common practice). A zone colder than that gives nothing.
 */
function refrigerate(p: BoxParameters, one: ZoneState, two: ZoneState, work: BoxWork): void {
  const { flow1, flow2, cycle } = work;
  const t1 = one.temperature;
  const t2 = two.temperature;
  flow1.cooling = 0;
  flow2.cooling = 0;
  cycle.evaporating = (t1 + t2) / 2;
  if (cycle.share < 1e-3) return;
  const full =
    cycle.share *
    p.capacity *
    Math.max(LEAST_CAPACITY_SHARE, 1 - CAPACITY_PER_K_CONDENSING * (cycle.condensing - p.ratedCondensing));
  const slope = CAPACITY_PER_K_EVAPORATING * full;
  const least = full - slope * p.ratedEvaporating;
  const k1 = p.zones[0].toRefrigerant;
  const k2 = p.zones[1].toRefrigerant;
  let evaporating = (k1 * t1 + k2 * t2 - least) / (k1 + k2 + slope);
  if (t1 < evaporating) evaporating = (k2 * t2 - least) / (k2 + slope);
  else if (t2 < evaporating) evaporating = (k1 * t1 - least) / (k1 + slope);
  const lowest = p.ratedEvaporating - LOWEST_BELOW_RATED_K;
  if (evaporating < lowest) evaporating = lowest;
  if (t1 > evaporating) flow1.cooling = k1 * (t1 - evaporating);
  if (t2 > evaporating) flow2.cooling = k2 * (t2 - evaporating);
  cycle.evaporating = evaporating;
}

/** Mass transfer between air and a zone by the Lewis relation, kg/s; a dry zone gives nothing back, a wet one no more than it holds. */
function transferRate(g: number, zone: ZoneState, excess: number, dt: number): number {
  const rate = g / (AIR_HEAT * LEWIS);
  if (excess <= 0) return rate;
  const held = zone.frost + zone.water;
  if (held <= 0) return 0;
  const most = rate * excess * dt;
  return most > held * 0.5 ? (rate * held * 0.5) / most : rate;
}

/** A zone in a step, under the heat and vapour that flow to it. Frost melts at 0 °C; held water freezes below; a share of the water drains. */
function stepZone(p: ZoneParameters, z: ZoneState, flow: ZoneFlow, decay: Decays, dt: number): void {
  const { vapour } = flow;
  const before = z.temperature;
  // What the vapour brings: as ice below zero, as water above; given back in the same way, from the other where one is not enough.
  const asIce = before < 0 || (vapour < 0 && z.water < -vapour);
  const ice = asIce ? (vapour > -z.frost ? vapour : -z.frost) : 0;
  const water = vapour - ice;
  let frost = z.frost + ice;
  let held = z.water + water;
  if (held < 0) held = 0;
  let joules =
    flow.heat + ice * (VAPORISATION + FUSION - (before < 0 ? ICE_HEAT * before : 0)) + water * VAPORISATION;
  if (before > 0 && frost > 0) {
    const most = (p.toFrost * before * dt) / FUSION;
    const melt = most < frost ? most : frost;
    frost -= melt;
    held += melt;
    joules -= melt * FUSION;
  } else if (before < 0 && held > 0) {
    const most = (p.toFrost * -before * dt) / FUSION;
    const freeze = most < held ? most : held;
    held -= freeze;
    frost += freeze;
    // The ice begins at 0 °C and is then part of the cold lump.
    joules += freeze * (FUSION - ICE_HEAT * before);
  }
  // Below zero the frost warms with the metal, above it stays at 0 °C.
  const lump = p.heat + ICE_HEAT * frost;
  let after = before + joules / (before < 0 ? lump : p.heat);
  if (before < 0 && after > 0) after = (after * lump) / p.heat;
  else if (before >= 0 && after < 0) after = (after * p.heat) / lump;
  const drained = after > -0.5 ? held * decay.drain : 0;
  z.temperature = after;
  z.frost = frost;
  z.water = held - drained;
  flow.drained = drained;
}
