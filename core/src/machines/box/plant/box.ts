import {
  AIR_HEAT,
  FUSION,
  ICE_HEAT,
  LEWIS,
  VAPORISATION,
  ZERO_CELSIUS_K,
} from '../../../foundation/limits/index.ts';
import type { BoxParameters } from './boxParameters.ts';
import type { BoxDrive, BoxFlows, BoxState } from './boxState.ts';
import * as N from './boxWork.ts';
import { doorFlow } from './infiltration.ts';
import { saturatedRatio } from './moistAir.ts';
import * as S from './places.ts';

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
/** Moisture carried below this share of the air in a step: no exchange to speak of, and no division by it. */
const NOTHING_CARRIED = 1e-9;
/** Coldest surface that the table of saturated air is asked for, °C. */
const COLDEST = -60;

const ONE = N.ZONE_NUMBERS;
const TWO = N.ZONE_NUMBERS + N.ZONE_STRIDE;

/**
 * One step of `dt` seconds. Air and moisture go exponentially towards where the flows of the step lead them, and every other node is given
 * exactly what they took: so heat and water are conserved to rounding, whatever the step. Written over arrays and local numbers: nothing is allocated in a step.
 */
export function stepBox(
  p: BoxParameters,
  state: BoxState,
  d: BoxDrive,
  dt: number,
  flows: BoxFlows,
  work: N.BoxWork,
): void {
  const k = N.numbersOf(work, p, dt);
  const s = state.at;
  const air = s[S.AIR]!;
  const ratio = s[S.RATIO]!;
  const wall = s[S.WALL]!;
  const fast = s[S.PRODUCT_FAST]!;
  const slow = s[S.PRODUCT_SLOW]!;
  const t1 = s[S.ZONE_ONE]!;
  const frost1 = s[S.ZONE_ONE + 1]!;
  const t2 = s[S.ZONE_TWO]!;
  const frost2 = s[S.ZONE_TWO + 1]!;
  const { ambient, ambientRatio } = d;

  // What moves air: leaks, the door, the fan; full fins let little through, each zone by its own frost.
  let exchange = k[N.LEAK]!;
  if (d.doorOpen) exchange += doorFlow(p.door, [air, ratio], [ambient, ambientRatio], d.fan);
  const still = k[N.STILL_SHARE]!;
  const airShare = d.fan ? still + (1 - still) * d.fanFactor : still;
  const filled1 = frost1 / k[ONE + 2]!;
  const filled2 = frost2 / k[TWO + 2]!;
  const g1 = (k[ONE + 1]! * airShare) / (1 + filled1 * filled1 * FROST_BLOCKS);
  const g2 = (k[TWO + 1]! * airShare) / (1 + filled2 * filled2 * FROST_BLOCKS);

  // Air: towards the temperature at which its flows cancel; its mean over the step is what the others see.
  const heaterHeat = d.heater ? k[N.HEATER_WATTS]! * d.heaterFactor : 0;
  const leak = k[N.HEATER_LEAK]!;
  const fanHeat = d.fan ? k[N.FAN_WATTS]! * d.fanFactor : 0;
  const airHeater = d.airHeater ? k[N.AIR_HEATER_WATTS]! : 0;
  const inner = fanHeat + k[N.LOAD_WATTS]! + heaterHeat * leak + airHeater;
  const gDoor = exchange * AIR_HEAT;
  const wallToAir = k[N.WALL_TO_AIR]!;
  const productToAir = k[N.PRODUCT_TO_AIR]!;
  const g = wallToAir + productToAir + g1 + g2 + gDoor;
  const towards = (wallToAir * wall + productToAir * fast + g1 * t1 + g2 * t2 + gDoor * ambient + inner) / g;
  const lump = k[N.AIR_LUMP]!;
  const nextAir = towards + (air - towards) * Math.exp((-g * dt) / lump);
  // What an exponential approach took over the step is exactly what changed: mean = towards + (from − end) / share.
  const mean = towards + ((air - nextAir) * lump) / (g * dt);

  // Moisture: in with the door's air, out to what is colder than its dew point; frost and water give back only what they hold.
  const touch1 = frost1 > 0 && t1 > 0 ? 0 : t1;
  const touch2 = frost2 > 0 && t2 > 0 ? 0 : t2;
  const at1 = saturatedRatio(touch1 > COLDEST ? touch1 : COLDEST);
  const at2 = saturatedRatio(touch2 > COLDEST ? touch2 : COLDEST);
  let rate1 = g1 / (AIR_HEAT * LEWIS);
  let rate2 = g2 / (AIR_HEAT * LEWIS);
  if (at1 > ratio) {
    const held = frost1 + s[S.ZONE_ONE + 2]!;
    const most = rate1 * (at1 - ratio) * dt;
    if (held <= 0) rate1 = 0;
    else if (most > held * 0.5) rate1 = (rate1 * held * 0.5) / most;
  }
  if (at2 > ratio) {
    const held = frost2 + s[S.ZONE_TWO + 2]!;
    const most = rate2 * (at2 - ratio) * dt;
    if (held <= 0) rate2 = 0;
    else if (most > held * 0.5) rate2 = (rate2 * held * 0.5) / most;
  }
  const mass = k[N.MASS]!;
  const moisture = k[N.MOISTURE]!;
  const total = exchange + rate1 + rate2;
  const carried = (total * dt) / mass;
  let nextRatio = ratio + (moisture * dt) / mass;
  let meanRatio = ratio;
  if (carried >= NOTHING_CARRIED) {
    const wet = (exchange * ambientRatio + rate1 * at1 + rate2 * at2 + moisture) / total;
    nextRatio = wet + (ratio - wet) * Math.exp(-carried);
    meanRatio = wet + (ratio - nextRatio) / carried;
  }
  const vapourIn = exchange * (ambientRatio - meanRatio) * dt + moisture * dt;

  // Refrigeration. Capacity falls by 3.2 % a kelvin of evaporating and 1 % a kelvin of condensing temperature (common practice); the refrigerant evaporates at one
  // temperature, at which what the zones give is what the machine can take, and a zone colder than that gives nothing. Power as a share of Carnot.
  const up = s[S.UP]! + ((d.compressor ? 1 : 0) - s[S.UP]!) * (d.compressor ? k[N.RISING]! : k[N.FALLING]!);
  const condensing = ambient + k[N.CONDENSER_APPROACH]! + d.condenserRise;
  const share = d.hotGas ? 0 : up * d.capacityFactor;
  let cooling1 = 0;
  let cooling2 = 0;
  let evaporating = (t1 + t2) / 2;
  if (share >= 1e-3) {
    const left = 1 - CAPACITY_PER_K_CONDENSING * (condensing - k[N.RATED_CONDENSING]!);
    const full = share * k[N.CAPACITY]! * (left > LEAST_CAPACITY_SHARE ? left : LEAST_CAPACITY_SHARE);
    const slope = CAPACITY_PER_K_EVAPORATING * full;
    const rated = k[N.RATED_EVAPORATING]!;
    const least = full - slope * rated;
    const k1 = k[ONE + 4]!;
    const k2 = k[TWO + 4]!;
    evaporating = (k1 * t1 + k2 * t2 - least) / (k1 + k2 + slope);
    if (t1 < evaporating) evaporating = (k2 * t2 - least) / (k2 + slope);
    else if (t2 < evaporating) evaporating = (k1 * t1 - least) / (k1 + slope);
    const lowest = rated - LOWEST_BELOW_RATED_K;
    if (evaporating < lowest) evaporating = lowest;
    if (t1 > evaporating) cooling1 = k1 * (t1 - evaporating);
    if (t2 > evaporating) cooling2 = k2 * (t2 - evaporating);
  }
  const cooling = cooling1 + cooling2;
  const f = flows.at;
  if (d.compressor) {
    const lift = condensing - evaporating;
    const cop =
      (k[N.EFFICIENCY]! * (evaporating + ZERO_CELSIUS_K)) / (lift > LEAST_LIFT_K ? lift : LEAST_LIFT_K);
    const idling = k[N.CAPACITY]! * IDLING_SHARE;
    f[S.COMPRESSOR_JOULES]! +=
      ((cooling > idling ? cooling : idling) / (cop > LEAST_COP ? cop : LEAST_COP)) * dt;
  }
  const toCoil = heaterHeat * (1 - leak) + (d.hotGas && d.compressor ? k[N.HOT_GAS_WATTS]! * up : 0);

  const z = work.zone;
  z[N.ZONE_HEAT] = (g1 * (mean - t1) + toCoil * k[ONE + 5]! - cooling1) * dt;
  z[N.ZONE_VAPOUR] = rate1 * (meanRatio - at1) * dt;
  stepZone(k, ONE, s, S.ZONE_ONE, z, dt);
  let drained = z[N.ZONE_DRAINED]!;
  z[N.ZONE_HEAT] = (g2 * (mean - t2) + toCoil * k[TWO + 5]! - cooling2) * dt;
  z[N.ZONE_VAPOUR] = rate2 * (meanRatio - at2) * dt;
  stepZone(k, TWO, s, S.ZONE_TWO, z, dt);
  drained += z[N.ZONE_DRAINED]!;

  const fromAmbient = k[N.WALL_TO_AMBIENT]! * (ambient - wall) * dt;
  const between = k[N.PRODUCT_INSIDE]! * (fast - slow) * dt;
  s[S.WALL] = wall + (fromAmbient + wallToAir * (mean - wall) * dt) / k[N.WALL_HEAT]!;
  s[S.PRODUCT_FAST] = fast + (productToAir * (mean - fast) * dt - between) / k[N.FAST_HEAT]!;
  s[S.PRODUCT_SLOW] = slow + between / k[N.SLOW_HEAT]!;
  s[S.AIR] = nextAir;
  s[S.RATIO] = nextRatio > 0 ? nextRatio : 0;
  s[S.UP] = up;
  s[S.PROBE]! += (nextAir - s[S.PROBE]!) * k[N.PROBE_SHARE]!;
  s[S.COIL_PROBE]! += (s[S.ZONE_ONE]! - s[S.COIL_PROBE]!) * k[N.COIL_PROBE_SHARE]!;

  f[S.FLOW_HEAT]! +=
    fromAmbient + gDoor * (ambient - mean) * dt + (inner + toCoil - cooling) * dt + vapourIn * VAPORISATION;
  f[S.FLOW_WATER]! += vapourIn - drained;
  f[S.FLOW_DRAINED]! += drained;
  f[S.OTHER_JOULES]! += (fanHeat + heaterHeat + airHeater) * dt;
}

/**
 * A zone in a step, under the heat and vapour that come to it. Frost melts at 0 °C; held water freezes below; a share of the water drains. `k` and `from` are the numbers
 * of the zone, `s` and `at` its state, `z` what comes to it and what drains.
 */
function stepZone(
  k: Float64Array,
  from: number,
  s: Float64Array,
  at: number,
  z: Float64Array,
  dt: number,
): void {
  const vapour = z[N.ZONE_VAPOUR]!;
  const before = s[at]!;
  const metal = k[from]!;
  let frost = s[at + 1]!;
  let held = s[at + 2]!;
  // What the vapour brings: as ice below zero, as water above; given back in the same way, from the other where one is not enough.
  let ice = 0;
  if (before < 0 || (vapour < 0 && held < -vapour)) ice = vapour > -frost ? vapour : -frost;
  const water = vapour - ice;
  frost += ice;
  held += water;
  if (held < 0) held = 0;
  let joules =
    z[N.ZONE_HEAT]! +
    ice * (VAPORISATION + FUSION - (before < 0 ? ICE_HEAT * before : 0)) +
    water * VAPORISATION;
  if (before > 0 && frost > 0) {
    const most = (k[from + 3]! * before * dt) / FUSION;
    const melt = most < frost ? most : frost;
    frost -= melt;
    held += melt;
    joules -= melt * FUSION;
  } else if (before < 0 && held > 0) {
    const most = (k[from + 3]! * -before * dt) / FUSION;
    const freeze = most < held ? most : held;
    held -= freeze;
    frost += freeze;
    // The ice begins at 0 °C and is then part of the cold lump.
    joules += freeze * (FUSION - ICE_HEAT * before);
  }
  // Below zero the frost warms with the metal, above it stays at 0 °C.
  const lump = metal + ICE_HEAT * frost;
  let after = before + joules / (before < 0 ? lump : metal);
  if (before < 0 && after > 0) after = (after * lump) / metal;
  else if (before >= 0 && after < 0) after = (after * metal) / lump;
  const drained = after > -0.5 ? held * k[N.DRAIN_SHARE]! : 0;
  s[at] = after;
  s[at + 1] = frost;
  s[at + 2] = held - drained;
  z[N.ZONE_DRAINED] = drained;
}
