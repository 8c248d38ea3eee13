import { bandOf, type ControlConfig } from '../../../machines/box/index.ts';

/** Where a stage switches, °C. */
export interface StageBand {
  readonly heat: boolean;
  readonly on: number;
  readonly off: number;
}

/** Both of a control, and how far apart. */
export interface TwoBands {
  readonly first: StageBand;
  readonly second: StageBand;
  /** Null where both act alike. K between where heating and where cooling begins, and what is left of it where each ends. */
  readonly apart: { readonly deadBand: number; readonly margin: number } | null;
}

/** Both bands of a control with two thermostat stages, °C; null where the second stage is none. */
export function twoBands(config: ControlConfig): TwoBands | null {
  const { stage, stage2 } = config;
  if (stage2.function !== 'thermostat') return null;
  const first = bandOf(stage, config.setpoint);
  const second = bandOf(stage2, stage2.setpoint ?? config.setpoint + stage2.offset);
  const bands = {
    first: { heat: stage.heat, on: first.cutIn, off: first.cutOut },
    second: { heat: stage2.heat, on: second.cutIn, off: second.cutOut },
  };
  // By two probes they regulate two places: nothing to keep apart.
  return { ...bands, apart: stage2.bySecond ? null : apartOf(bands.first, bands.second) };
}

/**
 * How far what heats and what cools stand apart, K. `deadBand`: from where heating begins up to where cooling begins. `margin`: the overshoot that may
 * follow a stop before the other one begins; 0 or less: one calls the other, they fight.
 */
export function apartOf(
  a: StageBand,
  b: StageBand,
): { readonly deadBand: number; readonly margin: number } | null {
  if (a.heat === b.heat) return null;
  const [heats, cools] = a.heat ? [a, b] : [b, a];
  return {
    deadBand: cools.on - heats.on,
    margin: Math.min(cools.on - heats.off, cools.off - heats.on),
  };
}
