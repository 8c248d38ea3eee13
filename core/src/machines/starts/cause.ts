import { SECONDS_PER_DAY } from '../../foundation/limits/index.ts';
import type { Command, ControlConfig, ControlInputs } from '../box/index.ts';

/** What hands, probes and power may do at once, besides that the breaker closes. */
export type StartCause =
  | 'boxWarm'
  | 'boxCold'
  | 'coilWarm'
  | 'probeOpens'
  | 'coilProbeOpens'
  | 'secondWarm'
  | 'secondProbeOpens'
  | 'doorOpens'
  | 'alarmInput'
  | 'defrostKey'
  | 'defrostDue'
  | 'defrostStopKey'
  | 'standbyKey';

/** One thing that each of these parts of the inputs may be; the first of each is what nobody thinks twice about. */
const alternatives: readonly (readonly (StartCause | null)[])[] = [
  [null, 'boxWarm', 'boxCold', 'probeOpens'],
  [null, 'coilWarm', 'coilProbeOpens'],
  [null, 'secondWarm', 'secondProbeOpens'],
  [null, 'doorOpens'],
  [null, 'alarmInput'],
  [null, 'defrostKey', 'defrostDue'],
  [null, 'defrostStopKey'],
  // Into standby and out again: no defrost at power-up then.
  [null, 'standbyKey'],
];

/** Far warmer and far colder than anything that is regulated, °C. */
const WARM = 90;
const COLD = -60;

/** Everything that may come together, what takes the fewest causes first. */
export function combinations({ stage2, defrost }: ControlConfig): readonly (readonly StartCause[])[] {
  const open = alternatives
    .filter((_, i) => i !== 2 || stage2.bySecond)
    .map((part) => part.filter((cause) => cause !== 'defrostDue' || isClockSet(defrost)));
  let all: readonly (readonly StartCause[])[] = [[]];
  for (const part of open)
    all = all.flatMap((some) => part.map((cause) => (cause === null ? some : [...some, cause])));
  return all.toSorted((a, b) => a.length - b.length);
}

const isClockSet = ({ initiation, clockTimes }: ControlConfig['defrost']) =>
  initiation === 'clock' && clockTimes.length > 0;

/**
 * Seconds at which a defrost is keyed, or the clock calls one: at once, and when the delay from power-up is over, since hot gas then starts the compressor without a call and a short defrost keyed at once would be over by
 * then.
 */
export const defrostMoments = ({ compressor, defrost }: ControlConfig): readonly number[] =>
  defrost.method === 'hotGas' && compressor.powerOnDelay > 0 ? [0, compressor.powerOnDelay] : [0];

/** Inputs under some causes, and what is keyed at the moment of the defrost. */
export function inputsUnder(
  config: ControlConfig,
  causes: readonly StartCause[],
  moment: number,
): { readonly inputs: ControlInputs; readonly keyed: readonly Command[] } {
  const has = (cause: StartCause) => causes.includes(cause);
  const air = has('probeOpens')
    ? Number.NaN
    : has('boxWarm')
      ? WARM
      : has('boxCold')
        ? COLD
        : restingAt(config);
  const coil = has('coilProbeOpens') ? Number.NaN : has('coilWarm') ? WARM : COLD;
  const second = has('secondProbeOpens') ? Number.NaN : has('secondWarm') ? WARM : COLD;
  return {
    inputs: {
      air,
      coil: config.probes.coilPresent ? coil : null,
      coil2: config.stage2.bySecond ? second : null,
      doorOpen: has('doorOpens'),
      alarmInput: has('alarmInput'),
      timeOfDay: has('defrostDue')
        ? (config.defrost.clockTimes[0]! - moment + SECONDS_PER_DAY) % SECONDS_PER_DAY
        : quietTime(config),
      commands: [],
    },
    keyed: has('defrostKey') ? [{ does: 'startDefrost' }] : [],
  };
}

/** A reading at which the first stage calls nothing. */
function restingAt({ setpoint, stage, probes }: ControlConfig): number {
  const calm = stage.heat ? setpoint + stage.differential : setpoint - stage.differential;
  return (calm - probes.airOffset) / (probes.airSlope || 1);
}

/** The time of day after which no clock is due for longest. */
function quietTime({ defrost }: ControlConfig): number {
  const times = [...defrost.clockTimes].sort((a, b) => a - b);
  const gapAfter = (i: number) => (times[i + 1] ?? times[0]! + SECONDS_PER_DAY) - times[i]!;
  const longest = times.reduce((best, _, i) => (gapAfter(i) > gapAfter(best) ? i : best), 0);
  return times.length === 0 ? 0 : (times[longest]! + 1) % SECONDS_PER_DAY;
}
