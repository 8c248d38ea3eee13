import { type BoxDrive, type BoxFlows, type BoxState, places } from '../box/index.ts';
import { freezingPoint, waterHeat } from './seaWater.ts';

/** Cold surface to stirred water, W/(m²·K); a still tank has a third of it. From memory (free to forced convection in water). */
const STIRRED = 450;
/** A probe in a sealed pocket follows the water with this lag, s. */
const POCKET_LAG = 90;
/** Area of a tank's walls and lid from its volume: a box two to one to one. */
const areaOf = (litres: number) => 10 * (litres / 2000) ** (2 / 3);

/** What is measured of a tank: litres, g/kg, W/m²K, W, W, W, m², °C. */
export interface TankFacts {
  readonly waterLitres: number;
  readonly salinity: number;
  readonly tankInsulation: number;
  readonly chillerWatts: number;
  readonly heaterWatts: number;
  readonly pumpWatts: number;
  readonly chillerArea: number;
  readonly roomAir: number;
}

/** A tank of water with a drop-in chiller and a heater. W, W/K, J/K, °C. */
export interface Tank {
  readonly heat: number;
  readonly conductance: number;
  readonly chiller: number;
  readonly heater: number;
  readonly pump: number;
  readonly air: number;
  readonly freezing: number;
  /** How much colder than the water the chiller's surface is while it runs, K. */
  readonly surfaceBelow: number;
}

/** The tank that the facts describe. */
export function tankOf(f: TankFacts): Tank {
  return {
    heat: waterHeat(f.waterLitres, f.salinity),
    conductance: f.tankInsulation * areaOf(f.waterLitres),
    chiller: f.chillerWatts,
    heater: f.heaterWatts,
    pump: f.pumpWatts,
    air: f.roomAir,
    freezing: freezingPoint(f.salinity),
    surfaceBelow: f.chillerWatts / (STIRRED * f.chillerArea),
  };
}

/** Where the water would end, °C, with so much heat going in, W (cooling is negative). */
export const endsAt = (tank: Tank, watts: number): number =>
  tank.air + (tank.pump + watts) / tank.conductance;

/** Seconds from one temperature to another with so much heat going in; Infinity where it never gets there. Closed form of a lump. */
export function secondsBetween(tank: Tank, from: number, to: number, watts: number): number {
  const end = endsAt(tank, watts);
  const ratio = (from - end) / (to - end);
  return ratio >= 1 ? (tank.heat / tank.conductance) * Math.log(ratio) : Infinity;
}

/** What a small chiller draws: a third of what it takes out (common practice). */
const DRAWN = 1 / 3;

/**
 * One step of a tank: the water goes exponentially towards where chiller, heater, pump and room lead it, so any step is exact under one drive. Kept in a box's
 * state, the water as its air and as what stands in it, so that the same control, the same figures and the same pictures work on it.
 */
export function stepTank(tank: Tank, state: BoxState, d: BoxDrive, dt: number, flows: BoxFlows): void {
  const s = state.at;
  const chills = d.compressor ? tank.chiller * d.capacityFactor : 0;
  const heats = d.airHeater ? tank.heater * d.heaterFactor : 0;
  const end = d.ambient + (tank.pump + heats - chills) / tank.conductance;
  const before = s[places.AIR]!;
  const water = end + (before - end) * Math.exp((-tank.conductance * dt) / tank.heat);
  s[places.AIR] = water;
  s[places.WALL] = water;
  s[places.PRODUCT_FAST] = water;
  s[places.PRODUCT_SLOW] = water;
  s[places.ZONE_ONE] = chills > 0 ? water - (tank.surfaceBelow * chills) / tank.chiller : water;
  s[places.COIL_PROBE] = s[places.ZONE_ONE]!;
  s[places.PROBE]! += (water - s[places.PROBE]!) * (1 - Math.exp(-dt / POCKET_LAG));
  flows.at[places.FLOW_HEAT]! += tank.heat * (water - before);
  if (d.compressor) flows.at[places.COMPRESSOR_JOULES]! += tank.chiller * DRAWN * dt;
  flows.at[places.OTHER_JOULES]! += (heats + tank.pump) * dt;
}

/** Warm or cold water poured in: a share of what is there, of so many °C. */
export function pourInto(state: BoxState, share: number, celsius: number): void {
  const water = (state.air + share * celsius) / (1 + share);
  state.air = water;
  state.productFast = water;
  state.productSlow = water;
}
