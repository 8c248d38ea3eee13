import type { Doorway } from './infiltration.ts';

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
