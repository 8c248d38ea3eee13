import { AIR_HEAT, FUSION, ICE_HEAT, KELVIN, LEWIS, VAPORISATION } from './constants.ts';
import { doorFlow, type Doorway } from './infiltration.ts';
import { saturatedRatio } from './moistAir.ts';

/** One of the two zones of a coil: where the probe sits, and the last to clear. */
export interface ZoneParameters {
  /** Heat capacity of the metal, J/K. */
  readonly heat: number;
  /** Coil to air with a clean coil and the fan running, W/K. */
  readonly toAir: number;
  /** Frost that fills the fins, kg. */
  readonly full: number;
  /** Metal to melting frost, W/K. */
  readonly toFrost: number;
  /** Metal to refrigerant, W/K. */
  readonly toRefrigerant: number;
  /** Share of the heater's and hot gas' heat. */
  readonly share: number;
}

/** What a box is made of. Everything in SI; temperatures °C. */
export interface BoxParameters {
  /** Dry air in the box, kg: taken as constant, so that heat and water close. */
  readonly airMass: number;
  /** Fittings that follow the air at once, J/K. */
  readonly fittings: number;
  readonly wallHeat: number;
  readonly wallToAir: number;
  readonly wallToAmbient: number;
  readonly productFast: number;
  readonly productSlow: number;
  readonly productToAir: number;
  readonly productInside: number;
  readonly zones: readonly [ZoneParameters, ZoneParameters];
  /** Coil to air with the fan off, as a share. */
  readonly stillShare: number;
  readonly fanWatts: number;
  /** Lights and respiration, W. */
  readonly loadWatts: number;
  /** Moisture that goods and people give off, kg/s. */
  readonly moisture: number;
  readonly heaterWatts: number;
  /** Share of the heater that warms the air instead of the coil. */
  readonly heaterLeak: number;
  readonly hotGasWatts: number;
  /** A heating stage into the air, W. */
  readonly airHeaterWatts: number;
  /** Refrigeration at `ratedEvaporating` and `ratedCondensing`, W. */
  readonly capacity: number;
  readonly ratedEvaporating: number;
  readonly ratedCondensing: number;
  /** Condensing above ambient, K. */
  readonly condenserApproach: number;
  /** Share of Carnot. */
  readonly efficiency: number;
  /** Time in which capacity comes up after a start, s. */
  readonly startUp: number;
  readonly drainTime: number;
  readonly probeLag: number;
  readonly coilProbeLag: number;
  readonly door: Doorway;
  /** Leaks with the door shut, kg/s. */
  readonly leak: number;
}

/** A zone as it stands: metal temperature, frost and held water in kg. */
export interface ZoneState {
  temperature: number;
  frost: number;
  water: number;
}

/** The box as it stands. Changed in place by {@link stepBox}. */
export interface BoxState {
  air: number;
  ratio: number;
  wall: number;
  productFast: number;
  productSlow: number;
  zones: [ZoneState, ZoneState];
  /** Share of capacity that has come up, 0 to 1. */
  up: number;
  probe: number;
  coilProbe: number;
}

/** What drives the box in a step. The factors stand at 1 where nothing is broken. */
export interface BoxDrive {
  compressor: boolean;
  heater: boolean;
  hotGas: boolean;
  fan: boolean;
  airHeater: boolean;
  doorOpen: boolean;
  ambient: number;
  ambientRatio: number;
  capacityFactor: number;
  condenserRise: number;
  heaterFactor: number;
  fanFactor: number;
}

/** Heat and water over the boundary in a step: J and kg, in is positive. Compressor work stays outside; it is told apart. */
export interface BoxFlows {
  heat: number;
  water: number;
  compressorJoules: number;
  otherJoules: number;
  meltDrained: number;
}

/** A box at one temperature, dry coil, air at 85 % of saturation over the coil's own temperature. */
export function restingBox(temperature: number): BoxState {
  return {
    air: temperature,
    ratio: saturatedRatio(temperature) * 0.85,
    wall: temperature,
    productFast: temperature,
    productSlow: temperature,
    zones: [
      { temperature, frost: 0, water: 0 },
      { temperature, frost: 0, water: 0 },
    ],
    up: 0,
    probe: temperature,
    coilProbe: temperature,
  };
}

/** Share of a clean coil's conductance that frost leaves: full fins let little air through (common practice: a tenth at twice the filling). */
const clear = (frost: number, full: number) => 1 / (1 + (frost / full) ** 2 * 1.2);

/**
 * One step of `dt` seconds. Air and moisture go exponentially towards where the flows of the step lead them, and every other node is given
 * exactly what they took: so heat and water are conserved to rounding, whatever the step.
 */
export function stepBox(p: BoxParameters, s: BoxState, d: BoxDrive, dt: number, flows: BoxFlows): void {
  const mass = p.airMass;
  const exchange =
    p.leak + (d.doorOpen ? doorFlow(p.door, [s.air, s.ratio], [d.ambient, d.ambientRatio], d.fan) : 0);
  const wind = d.fan ? d.fanFactor : 0;
  const airShare = p.stillShare + (1 - p.stillShare) * wind;
  const [one, two] = s.zones;
  const [first, second] = p.zones;
  const g1 = first.toAir * airShare * clear(one.frost, first.full);
  const g2 = second.toAir * airShare * clear(two.frost, second.full);

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
  const air = approach(s.air, pull / g, (g * dt) / airHeat);
  const mean = air.mean;

  // Moisture: in with the door's air, out to what is colder than its dew point; frost and water give back only what they hold.
  const m1 = transfer(g1, one, s.ratio, dt);
  const m2 = transfer(g2, two, s.ratio, dt);
  const total = exchange + m1.rate + m2.rate;
  const wet = exchange * d.ambientRatio + m1.rate * m1.at + m2.rate * m2.at + p.moisture;
  const vapour =
    total > 0
      ? approach(s.ratio, wet / total, (total * dt) / mass)
      : { end: s.ratio + (p.moisture * dt) / mass, mean: s.ratio };
  const took1 = m1.rate * (vapour.mean - m1.at) * dt;
  const took2 = m2.rate * (vapour.mean - m2.at) * dt;
  const infWater = exchange * (d.ambientRatio - vapour.mean) * dt + p.moisture * dt;

  // Refrigeration: less with a colder coil and a hotter condenser; power as a share of Carnot.
  s.up += ((d.compressor ? 1 : 0) - s.up) * (1 - Math.exp(-dt / (d.compressor ? p.startUp : 5)));
  const condensing = d.ambient + p.condenserApproach + d.condenserRise;
  const share = d.hotGas ? 0 : s.up * d.capacityFactor;
  const cold = refrigerate(p, one.temperature, two.temperature, condensing, share);
  const cooling = cold.first + cold.second;
  const cop = (p.efficiency * (cold.evaporating + KELVIN)) / Math.max(8, condensing - cold.evaporating);
  if (d.compressor)
    flows.compressorJoules += (Math.max(cooling, p.capacity * 0.25) / Math.max(cop, 0.8)) * dt;
  const toCoil = heaterHeat * (1 - p.heaterLeak) + (d.hotGas && d.compressor ? p.hotGasWatts * s.up : 0);

  const gIn = g1 * (mean - one.temperature) * dt;
  const gIn2 = g2 * (mean - two.temperature) * dt;
  const drained =
    stepZone(first, one, gIn + (toCoil * first.share - cold.first) * dt, took1, p.drainTime, dt) +
    stepZone(second, two, gIn2 + (toCoil * second.share - cold.second) * dt, took2, p.drainTime, dt);

  const fromAmbient = p.wallToAmbient * (d.ambient - s.wall) * dt;
  s.wall += (fromAmbient + p.wallToAir * (mean - s.wall) * dt) / p.wallHeat;
  const between = p.productInside * (s.productFast - s.productSlow) * dt;
  s.productFast += (p.productToAir * (mean - s.productFast) * dt - between) / p.productFast;
  s.productSlow += between / p.productSlow;
  s.air = air.end;
  s.ratio = Math.max(0, vapour.end);
  s.probe += (s.air - s.probe) * (1 - Math.exp(-dt / p.probeLag));
  s.coilProbe += (one.temperature - s.coilProbe) * (1 - Math.exp(-dt / p.coilProbeLag));

  flows.heat +=
    fromAmbient + gInf * (d.ambient - mean) * dt + (inner + toCoil - cooling) * dt + infWater * VAPORISATION;
  flows.water += infWater - drained;
  flows.meltDrained += drained;
  flows.otherJoules += (fanHeat + heaterHeat + (d.airHeater ? p.airHeaterWatts : 0)) * dt;
}

/**
 * Heat the refrigerant takes from the zones, W: it evaporates at one temperature, at which what the zones give is what the machine can take. Capacity falls by
 * 3.2 % a kelvin of evaporating and 1 % a kelvin of condensing temperature (common practice). A zone colder than that gives nothing.
 */
function refrigerate(
  p: BoxParameters,
  t1: number,
  t2: number,
  condensing: number,
  share: number,
): { readonly first: number; readonly second: number; readonly evaporating: number } {
  const mean = (t1 + t2) / 2;
  if (share < 1e-3) return { first: 0, second: 0, evaporating: mean };
  const full = share * p.capacity * Math.max(0.2, 1 - 0.01 * (condensing - p.ratedCondensing));
  const slope = 0.032 * full;
  const least = full - slope * p.ratedEvaporating;
  const k1 = p.zones[0].toRefrigerant;
  const k2 = p.zones[1].toRefrigerant;
  let evaporating = (k1 * t1 + k2 * t2 - least) / (k1 + k2 + slope);
  if (t1 < evaporating) evaporating = (k2 * t2 - least) / (k2 + slope);
  else if (t2 < evaporating) evaporating = (k1 * t1 - least) / (k1 + slope);
  evaporating = Math.max(evaporating, p.ratedEvaporating - 30);
  return {
    first: Math.max(0, k1 * (t1 - evaporating)),
    second: Math.max(0, k2 * (t2 - evaporating)),
    evaporating,
  };
}

/** An exponential approach: where it ends, and its mean over the step. */
function approach(
  from: number,
  towards: number,
  ratio: number,
): { readonly end: number; readonly mean: number } {
  if (ratio < 1e-9) return { end: from, mean: from };
  const left = Math.exp(-ratio);
  return { end: towards + (from - towards) * left, mean: towards + ((from - towards) * (1 - left)) / ratio };
}

/** Mass transfer between air and a zone by the Lewis relation; a dry zone gives nothing back, a wet one no more than it holds. */
function transfer(
  g: number,
  zone: ZoneState,
  ratio: number,
  dt: number,
): { readonly rate: number; readonly at: number } {
  const at = saturatedRatio(Math.max(zone.frost > 0 ? Math.min(zone.temperature, 0) : zone.temperature, -60));
  let rate = g / (AIR_HEAT * LEWIS);
  if (at > ratio) {
    const held = zone.frost + zone.water;
    const most = rate * (at - ratio) * dt;
    if (held <= 0) rate = 0;
    else if (most > held * 0.5) rate *= (held * 0.5) / most;
  }
  return { rate, at };
}

/** A zone in a step: heat in J, vapour taken in kg. Returns the water that drained. Frost melts at 0 °C; held water freezes below. */
function stepZone(
  p: ZoneParameters,
  z: ZoneState,
  heat: number,
  vapour: number,
  drainTime: number,
  dt: number,
): number {
  const cold = z.temperature < 0;
  // What the vapour brings: as ice below zero, as water above; given back in the same way, from the other where one is not enough.
  const asIce = cold || (vapour < 0 && z.water < -vapour);
  const ice = asIce ? Math.max(vapour, -z.frost) : 0;
  const water = vapour - ice;
  z.frost += ice;
  z.water = Math.max(0, z.water + water);
  let joules =
    heat + ice * (VAPORISATION + FUSION - ICE_HEAT * Math.min(z.temperature, 0)) + water * VAPORISATION;
  if (z.temperature > 0 && z.frost > 0) {
    const melt = Math.min(z.frost, (p.toFrost * z.temperature * dt) / FUSION);
    z.frost -= melt;
    z.water += melt;
    joules -= melt * FUSION;
  } else if (z.temperature < 0 && z.water > 0) {
    const freeze = Math.min(z.water, (p.toFrost * -z.temperature * dt) / FUSION);
    z.water -= freeze;
    z.frost += freeze;
    // The ice begins at 0 °C and is then part of the cold lump.
    joules += freeze * (FUSION - ICE_HEAT * z.temperature);
  }
  z.temperature = warmed(p, z, joules);
  if (z.temperature <= -0.5 || z.water <= 0) return 0;
  const drained = z.water * (1 - Math.exp(-dt / drainTime));
  z.water -= drained;
  return drained;
}

/** The zone's temperature after so much heat: below zero the frost warms with the metal, above it stays at 0 °C. */
function warmed(p: ZoneParameters, z: ZoneState, joules: number): number {
  const lump = p.heat + ICE_HEAT * z.frost;
  const own = z.temperature < 0 ? lump : p.heat;
  const next = z.temperature + joules / own;
  if (z.temperature < 0 && next > 0) return (next * lump) / p.heat;
  if (z.temperature >= 0 && next < 0) return (next * p.heat) / lump;
  return next;
}
