import type { ControlEvent } from '../box/index.ts';
import type { Figures } from './figures.ts';
import type { Scenario } from './scenario.ts';
import { UnitRun } from './unitRun.ts';

/** A sample of a run: temperatures °C, outputs, frost in kg. */
export interface Sample {
  readonly t: number;
  readonly air: number;
  readonly coil: number;
  readonly product: number;
  readonly frost: number;
  readonly compressor: boolean;
  readonly fan: boolean;
  readonly defrost: boolean;
  readonly phase: string;
  readonly stage2: boolean;
  readonly alarm: boolean;
  readonly door: boolean;
}

export interface Simulated {
  readonly events: readonly ControlEvent[];
  readonly figures: Figures;
  readonly series: readonly Sample[];
}

export interface SimulateOptions {
  /** A sample every so many seconds; 0: none. */
  readonly sampleEvery?: number;
  /**
   * Seconds the box goes at a stride while nothing is switched: 1 everywhere a run is shown, more where hundreds of variants are compared. The control ticks
   * every second all the same, on readings up to a stride old. Within 2 % of the 1 s run up to 5 s, which the step-size test holds it to.
   */
  readonly stride?: number;
  /** Told the share done, a hundred times a run; false stops it. */
  readonly progress?: (share: number) => boolean;
}

/** Runs a scenario second by second: the control, then the box under its outputs. Null where it was stopped. */
export function simulate(scenario: Scenario, options: SimulateOptions = {}): Simulated | null {
  const run = new UnitRun(scenario, Math.max(1, Math.round(options.stride ?? 1)));
  const total = scenario.warmUp + scenario.seconds;
  const every = options.sampleEvery ?? 0;
  const report = Math.max(1, Math.floor(total / 100));
  const series: Sample[] = [];
  const strides = every === 0 && !options.progress && (options.stride ?? 1) > 1;
  for (let t = 0; t < total; t += 1) {
    if (t === scenario.warmUp) run.beginCount();
    if (strides) {
      const passed = run.letQuietPass(
        t - scenario.warmUp,
        (t < scenario.warmUp ? scenario.warmUp : total) - t,
      );
      if (passed > 0) {
        t += passed - 1;
        continue;
      }
    }
    run.second(t - scenario.warmUp);
    const counted = t - scenario.warmUp;
    if (every > 0 && counted >= 0 && counted % every === 0) series.push(run.sample(counted));
    if (options.progress && t % report === 0 && !options.progress(t / total)) return null;
  }
  run.advance();
  return { events: run.events, figures: run.count.figures(run.flows), series };
}
