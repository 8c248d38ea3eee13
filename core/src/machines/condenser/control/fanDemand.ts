import { EPSILON } from '../../../foundation/limits/index.ts';
import type { CondenserConfig } from './condenserConfig.ts';
import type { CondenserState } from './condenserState.ts';

const clamp = (x: number, low: number, high: number) => Math.min(high, Math.max(low, x));

/** The set point in force: floating on the outdoor temperature within its limits; a failed outdoor probe floats to the highest. */
export function fanSetpoint(config: CondenserConfig, outdoor: number | null): number {
  if (config.floatingDifference === null) return config.setpoint;
  const { setpointMin, setpointMax } = config;
  if (outdoor === null || outdoor !== outdoor) return setpointMax ?? config.setpoint;
  return clamp(outdoor + config.floatingDifference, setpointMin ?? -Infinity, setpointMax ?? Infinity);
}

/**
 * Demand of the fans, 0 to 1, at an error e = T − S. Proportional: e/D. Proportional-integral: e/D + I, where I += e/(D·Ti) each second before the output, but
 * not where e would drive it deeper into saturation. Neutral zone: held within ± the zone, full or none outside it, the ramps do the rest. D = 0: on beyond S.
 * On-off is the share of the fans that are to run.
 */
export function fanDemand(config: CondenserConfig, state: CondenserState, error: number): number {
  const { differential, method, integralTime, neutralZone } = config;
  if (method === 'onOff') return fansWanted(config, state, error) / config.fanCount;
  if (method === 'neutralZone') {
    if (error > neutralZone + EPSILON) return 1;
    return error < -neutralZone - EPSILON ? 0 : demandOfOutput(config, state.ramped);
  }
  if (differential === 0) return error > EPSILON ? 1 : 0;
  const proportional = error / differential;
  if (method === 'proportional') return clamp(proportional, 0, 1);
  if (integralTime > 0) {
    const grown = state.integral + error / (differential * integralTime);
    const sum = proportional + grown;
    const deeper = (sum > 1 && error > 0) || (sum < 0 && error < 0);
    if (!deeper) state.integral = grown;
  }
  return clamp(proportional + state.integral, 0, 1);
}

/** The demand that keeps an output where the ramps have brought it. */
function demandOfOutput({ speed }: CondenserConfig, output: number): number {
  if (output <= 0) return 0;
  return speed.max > speed.min ? clamp((output - speed.min) / (speed.max - speed.min), 0, 1) : 1;
}

/** Of n fans, fan k cuts in at S + k·D/n and out at S + (k − 1)·D/n: how many are to run. */
function fansWanted(
  { differential, fanCount }: CondenserConfig,
  state: CondenserState,
  error: number,
): number {
  let running = state.fans.filter((fan) => fan.on).length;
  if (differential === 0) return error > EPSILON ? fanCount : 0;
  const step = differential / fanCount;
  while (running < fanCount && error >= (running + 1) * step - EPSILON) running += 1;
  while (running > 0 && error <= (running - 1) * step + EPSILON) running -= 1;
  return running;
}
