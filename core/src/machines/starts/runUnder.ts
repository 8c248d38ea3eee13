import { SECONDS_PER_DAY } from '../../foundation/limits/index.ts';
import { powerUp, tick, type Command, type ControlConfig } from '../box/index.ts';
import { inputsUnder, type StartCause } from './cause.ts';

/** Outputs of a control that may start something. */
export const startOutputs = ['compressor', 'defrost', 'fan', 'stage2', 'alarm'] as const;
export type StartOutput = (typeof startOutputs)[number];

/** What comes together, and when a defrost is keyed or called by the clock, in seconds after the power. */
export interface Together {
  readonly by: readonly StartCause[];
  readonly defrostAt: number;
}

/** Runs a control from power-up under some causes, second by second, until all its outputs were on or the time is over: the first second at which each output is on. */
export function runUnder(
  config: ControlConfig,
  { by, defrostAt }: Together,
  limit: number,
): ReadonlyMap<StartOutput, number> {
  const { inputs, keyed } = inputsUnder(config, by, defrostAt);
  const standby = by.includes('standbyKey');
  const stops = by.includes('defrostStopKey');
  const state = powerUp(config.setpoint);
  const begins = inputs.timeOfDay;
  const outputs = new Map<StartOutput, number>();
  for (let t = 0; t <= limit && outputs.size < startOutputs.length; t += 1) {
    inputs.commands = [
      ...(standby && t < 2 ? STANDBY[t]! : []),
      ...(t === defrostAt ? keyed : []),
      ...(stops && state.phase === 'defrost' ? STOP : []),
    ];
    inputs.timeOfDay = (begins + t) % SECONDS_PER_DAY;
    const out = tick(config, state, inputs, quiet);
    for (const output of startOutputs) if (out[output] && !outputs.has(output)) outputs.set(output, t);
  }
  return outputs;
}

const quiet = () => undefined;
const STOP: readonly Command[] = [{ does: 'stopDefrost' }];
const STANDBY: readonly (readonly Command[])[] = [[{ does: 'standbyOn' }], [{ does: 'standbyOff' }]];
