import type { LogRole } from './logCsv.ts';
import type { SettingValues } from '../../src/foundation/settings/index.ts';
import type { UnitDescription } from '../../src/foundation/unit/index.ts';

/** What a box that is built otherwise than the forecast's is made of. SI; temperatures °C. Sizes are of the test's own making. */
export interface OtherBoxRecipe {
  /** Dry air, kg. */
  readonly air: number;
  /** Shelves and liner: J/K, and W/K to the air. */
  readonly fittings: readonly [number, number];
  /** Wall in three layers: W/K through the whole of it, J/K of all, W/K of the inner film. */
  readonly wall: readonly [number, number, number];
  /** Goods in three shells: J/K of all, W/K to the air, W/K between shells. */
  readonly goods: readonly [number, number, number];
  /** Air over the coil with a clean coil, kg/s; what is left with the fan off, as a share. */
  readonly flow: number;
  readonly still: number;
  /** Transfer units of a clean coil: effectiveness 1 − e^(−NTU). */
  readonly ntu: number;
  /** Coil metal J/K, and to the refrigerant W/K. */
  readonly coil: readonly [number, number];
  /** Frost at which the flow is halved, kg; the power it is blocked with. */
  readonly halved: number;
  readonly blocks: number;
  /** Refrigeration W at °C evaporating and °C around the condenser. */
  readonly capacity: readonly [number, number, number];
  /** Seconds before a start cools, and in which it comes up. */
  readonly start: readonly [number, number];
  /** Heater W, and the share that warms air instead of metal. */
  readonly heater: readonly [number, number];
  /** Metal to melting frost W/K with a whole layer; it loses hold as it melts by this power. */
  readonly melt: readonly [number, number];
  /** Always on, and by day (8 to 20 h), W. */
  readonly load: readonly [number, number];
  readonly fanWatts: number;
  /** Openings an hour in the business day, seconds each (median of a lognormal), kg/s of air while open. */
  readonly door: readonly [number, number, number];
  readonly doorHours: readonly [number, number];
  /** Warm goods at 8 h: share of all, K warmer, on such a share of days. */
  readonly delivery: readonly [number, number, number];
  /** Around the box: mean, swing over the day, spread of the weather, °C and K; relative humidity. */
  readonly weather: readonly [number, number, number, number];
  /** Share of the supply air that the control's probe hangs in, its lag s. */
  readonly probe: readonly [number, number];
  readonly coilProbeLag: number;
  /** The logger's: share of supply air, two lags in series s, offset K, noise K, step K. */
  readonly logger: readonly [number, number, number, number, number, number];
}

/** One box with what a technician has of it: description, settings, a log of some days with some columns, and the changes asked about. */
export interface OtherBox {
  readonly name: string;
  readonly recipe: OtherBoxRecipe;
  readonly unit: UnitDescription;
  readonly settings: SettingValues;
  readonly seed: number;
  readonly days: number;
  /** Seconds from row to row. */
  readonly every: number;
  readonly columns: readonly LogRole[];
  readonly changes: readonly SettingValues[];
}
