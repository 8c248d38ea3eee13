import { AIR_HEAT } from '../../../foundation/limits/index.ts';
import type { BoxParameters } from './boxParameters.ts';

/** Where each number of a prepared box stands. */
export const MASS = 0;
export const AIR_LUMP = 1;
export const LEAK = 2;
export const STILL_SHARE = 3;
export const WALL_TO_AIR = 4;
export const PRODUCT_TO_AIR = 5;
export const FAN_WATTS = 6;
export const LOAD_WATTS = 7;
export const HEATER_WATTS = 8;
export const HEATER_LEAK = 9;
export const AIR_HEATER_WATTS = 10;
export const MOISTURE = 11;
export const RISING = 12;
export const FALLING = 13;
export const PROBE_SHARE = 14;
export const COIL_PROBE_SHARE = 15;
export const DRAIN_SHARE = 16;
export const CAPACITY = 17;
export const RATED_EVAPORATING = 18;
export const RATED_CONDENSING = 19;
export const CONDENSER_APPROACH = 20;
export const EFFICIENCY = 21;
export const HOT_GAS_WATTS = 22;
export const WALL_TO_AMBIENT = 23;
export const WALL_HEAT = 24;
export const PRODUCT_INSIDE = 25;
export const FAST_HEAT = 26;
export const SLOW_HEAT = 27;
/** A zone has six in a row from here: heat, to air, full, to frost, to refrigerant, share of the heater. */
export const ZONE_NUMBERS = 28;
export const ZONE_STRIDE = 6;
const LENGTH = ZONE_NUMBERS + 2 * ZONE_STRIDE;

/** Time in which the refrigerant comes to rest after a stop, s. */
const STOPPING = 5;

/** What a step hands to a zone and gets from it: heat and vapour that come to it, J and kg; water that drains, kg. */
export const ZONE_HEAT = 0;
export const ZONE_VAPOUR = 1;
export const ZONE_DRAINED = 2;

/**
 * The numbers of a run: the box and the step in one array, and what is handed from one part of a step to the next. Made once by whoever runs it; two runs
 * side by side have one each. Numbers given from function to function would be boxed, and a month has 2.6 million steps.
 */
export interface BoxWork {
  of: BoxParameters | null;
  dt: number;
  readonly numbers: Float64Array;
  readonly zone: Float64Array;
}

/** Working numbers for one run. */
export const boxWork = (): BoxWork => ({
  of: null,
  dt: 0,
  numbers: new Float64Array(LENGTH),
  zone: new Float64Array(3),
});

/** The numbers of a box and a step, written anew only where either changed. */
export function numbersOf(work: BoxWork, p: BoxParameters, dt: number): Float64Array {
  if (work.of !== p || work.dt !== dt) prepare(work, p, dt);
  return work.numbers;
}

function prepare(work: BoxWork, p: BoxParameters, dt: number): void {
  const gone = (time: number) => 1 - Math.exp(-dt / time);
  work.of = p;
  work.dt = dt;
  work.numbers.set([
    p.airMass,
    p.airMass * AIR_HEAT + p.fittings,
    p.leak,
    p.stillShare,
    p.wallToAir,
    p.productToAir,
    p.fanWatts,
    p.loadWatts,
    p.heaterWatts,
    p.heaterLeak,
    p.airHeaterWatts,
    p.moisture,
    gone(p.startUp),
    gone(STOPPING),
    gone(p.probeLag),
    gone(p.coilProbeLag),
    gone(p.drainTime),
    p.capacity,
    p.ratedEvaporating,
    p.ratedCondensing,
    p.condenserApproach,
    p.efficiency,
    p.hotGasWatts,
    p.wallToAmbient,
    p.wallHeat,
    p.productInside,
    p.productFast,
    p.productSlow,
    ...p.zones.flatMap((z) => [z.heat, z.toAir, z.full, z.toFrost, z.toRefrigerant, z.share]),
  ]);
}
