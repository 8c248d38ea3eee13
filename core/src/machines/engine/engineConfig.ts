import type { SettingValues } from '../../foundation/settings/index.ts';
import { controlConfig } from '../box/index.ts';
import { bandOf } from '../box/index.ts';
import { settingReader } from '../box/index.ts';

/** How a transport unit's engine is run. Seconds, °C, K. */
export interface EngineConfig {
  readonly runMode: 'continuous' | 'startStop';
  readonly setpoint: number;
  readonly setpointMin: number | null;
  readonly setpointMax: number | null;
  /** K from the set point at which cooling begins, and below it heating; both end at the set point, so that one never calls the other. */
  readonly band: number;
  readonly minOn: number;
  readonly minOff: number;
  readonly confirmTime: number;
  readonly autoStart: boolean;
}

/** Seconds from the last key until the engine may start by itself. */
export const AUTO_START_DELAY = 10;
/** Seconds a change waits for its confirmation where nothing is set (common practice). */
const USUAL_CONFIRM = 10;

/** Brings settings to what the engine is run by; a sentence where set point or differential is missing. */
export function engineOf(values: SettingValues): EngineConfig | string {
  const config = controlConfig(values);
  if (typeof config === 'string') return config;
  const { differential } = config.stage;
  const { cutIn } = bandOf({ ...config.stage, heat: false }, 0);
  const read = settingReader(values);
  return {
    runMode: read.word('transport.runMode', 'continuous') as EngineConfig['runMode'],
    setpoint: config.setpoint,
    setpointMin: config.setpointMin,
    setpointMax: config.setpointMax,
    // Where the set point is the cut-in there is no room above it: half the band is taken.
    band: Math.max(cutIn, differential / 2),
    minOn: config.compressor.minOn,
    minOff: config.compressor.minOff,
    confirmTime: read.amount('transport.confirmTime') ?? USUAL_CONFIRM,
    autoStart: values['transport.autoStart'] !== false,
  };
}
