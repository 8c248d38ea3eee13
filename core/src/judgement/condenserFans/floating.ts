import type { CondenserConfig } from '../../machines/condenser/index.ts';
import { runCondenser, type CondenserRun } from '../../machines/condenser/index.ts';

/** A set point that stands or floats, and what the day cost. °C, K and kWh. */
export interface FloatTrial {
  /** Null: the set point stands where it is. */
  readonly difference: number | null;
  readonly fanKWh: number;
  readonly compressorKWh: number;
  readonly totalKWh: number;
  readonly lowest: number;
  readonly highest: number;
  readonly starvedMinutes: number;
}

export const triedDifferences: readonly number[] = [3, 4, 5, 6, 8, 10, 12, 15];

/** The fans overshoot a floor on the way down; so much is kept above what the valve needs, K. Common practice. */
const FLOOR_MARGIN = 2;
/** A starved valve for so long in a day is no reason against, min. */
const STARVED_ALLOWED = 10;

/** The set point as it stands, then floating by each difference, never below what the valve needs; the liquid is colder than it condenses by the subcooling. */
export function floatVariants(run: CondenserRun): readonly (readonly [number | null, CondenserConfig])[] {
  const { config, plant } = run;
  const floor = Math.max(
    config.setpointMin ?? -Infinity,
    plant.lowestCondensing - plant.subcooling + FLOOR_MARGIN,
  );
  const top = Math.max(floor, config.setpointMax ?? config.setpoint);
  const fixed: readonly [null, CondenserConfig] = [null, { ...config, floatingDifference: null }];
  return [
    fixed,
    ...triedDifferences.map(
      (difference) =>
        [
          difference,
          { ...config, floatingDifference: difference, setpointMin: floor, setpointMax: top },
        ] as const,
    ),
  ];
}

/** A day of one of them. */
export function tryFloat(run: CondenserRun, difference: number | null, config: CondenserConfig): FloatTrial {
  const { figures } = runCondenser({ ...run, config }, 0)!;
  return {
    difference,
    fanKWh: figures.fanKWh,
    compressorKWh: figures.compressorKWh,
    totalKWh: figures.totalKWh,
    lowest: figures.liquid.min,
    highest: figures.liquid.max,
    starvedMinutes: figures.starvedMinutes,
  };
}

/** Days within this share of the least energy cost the same: the quieter one is taken. */
const ALIKE = 0.01;

/**
 * Least energy of fans and compressors together among what does not starve the valve (ten minutes a day are allowed, or as long as it starves as it stands). Of days that cost the same
 * within 1 % the one whose fans do least.
 */
export function bestFloat(trials: readonly FloatTrial[]): FloatTrial | null {
  const fixed = trials.find((t) => t.difference === null);
  const allowed = trials.filter(
    (t) => t.starvedMinutes <= Math.max(STARVED_ALLOWED, fixed?.starvedMinutes ?? 0),
  );
  const least = Math.min(...allowed.map((t) => t.totalKWh));
  return (
    allowed.filter((t) => t.totalKWh <= least * (1 + ALIKE)).toSorted((a, b) => a.fanKWh - b.fanKWh)[0] ??
    null
  );
}
