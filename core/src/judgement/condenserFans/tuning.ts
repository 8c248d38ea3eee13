import type { CondenserConfig } from '../../machines/condenser/index.ts';
import { runCondenser, type CondenserRun } from '../../machines/condenser/index.ts';
import type { CondenserFigures } from '../../machines/condenser/index.ts';

/** More turns an hour than this, beside those that a start brings, is hunting: a drive that only follows the day has none. Common practice. */
const HUNTING_TURNS = 4;
/** Turns that belong to each start of a compressor: up, over, back, and down again. */
const TURNS_PER_START = 4;

/** A band and an integral time, and the hours they were tried over. K and s. */
export interface LoopTrial {
  readonly band: number;
  readonly integralTime: number;
  /** Least speed, share of full, and the kick at a start, s: a fan that moves more air at its least than the night needs can only come and go. */
  readonly speedMin: number;
  readonly kickTime: number;
  readonly turnsPerHour: number;
  readonly meanErrorK: number;
  readonly totalKWh: number;
  readonly hunts: boolean;
}

export const triedBands: readonly number[] = [1, 2, 3, 4, 6, 8, 10];
export const triedIntegralTimes: readonly number[] = [60, 120, 240, 480];

/** A least speed that many drives with suitable motors can still turn, share of full (common practice: ask the motor's plate). */
const SLOWEST = 0.05;

/**
 * What a loop is tried with: bands and, for PI, integral times, what is set now always among them; and for a drive the same bands with a slow least speed and no kick.
 */
export function loopVariants(config: CondenserConfig): readonly CondenserConfig[] {
  const integral = config.method === 'proportionalIntegral';
  const bands = [...new Set([...triedBands, config.differential])].filter((b) => b > 0).sort((a, b) => a - b);
  const times = integral
    ? [...new Set([...triedIntegralTimes, config.integralTime])].filter((t) => t > 0).sort((a, b) => a - b)
    : [config.integralTime];
  const asSet = bands.flatMap((differential) =>
    times.map((integralTime) => ({ ...config, differential, integralTime })),
  );
  if (config.method === 'onOff' || (config.speed.min <= SLOWEST && config.kickTime === 0)) return asSet;
  const slow = bands.map((differential) => ({
    ...config,
    differential,
    kickTime: 0,
    speed: { ...config.speed, min: Math.min(config.speed.min, SLOWEST) },
  }));
  return [...asSet, ...slow];
}

/** Runs one variant over the hours given and says whether it hunts. */
export function tryLoop(run: CondenserRun, config: CondenserConfig): LoopTrial {
  const { figures } = runCondenser({ ...run, config }, 0)!;
  return {
    band: config.differential,
    integralTime: config.integralTime,
    speedMin: config.speed.min,
    kickTime: config.kickTime,
    turnsPerHour: figures.turnsPerHour,
    meanErrorK: figures.meanErrorK,
    totalKWh: figures.totalKWh,
    hunts: huntsAt(figures),
  };
}

/** Hunting: turns beyond those that the starts of the compressors bring with them. */
export function huntsAt({ turnsPerHour, compressorStarts, hours }: CondenserFigures): boolean {
  return turnsPerHour - (TURNS_PER_START * compressorStarts) / hours > HUNTING_TURNS;
}

/** The trial to take: of those that do not hunt the ones within a tenth of a kelvin of the closest to the set point, and of these the calmest. Null where all hunt. */
export function bestLoop(trials: readonly LoopTrial[]): LoopTrial | null {
  const calm = trials.filter((t) => !t.hunts);
  if (calm.length === 0) return null;
  const least = Math.min(...calm.map((t) => t.meanErrorK));
  return calm
    .filter((t) => t.meanErrorK <= least + 0.1)
    .toSorted((a, b) => a.turnsPerHour - b.turnsPerHour)[0]!;
}
