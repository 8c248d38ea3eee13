import { SECONDS_PER_DAY } from '../../../foundation/limits/index.ts';
import { condenserAtRest, type CondenserInputs } from '../control/condenserState.ts';
import { fanSetpoint } from '../control/fanDemand.ts';
import { tickCondenser } from '../control/tickCondenser.ts';
import type { CondenserConfig } from '../control/condenserConfig.ts';
import type { ControlEvent } from '../../box/index.ts';
import { loadShare } from './load.ts';
import { outdoorAt, type OutdoorDay } from './outdoorDay.ts';
import { noFlows, restingCondenser, stepCondenser, type CondenserPlant } from './plant.ts';
import { RunCount, type CondenserFigures } from './runFigures.ts';

/** A condenser's day to be run. Hours. */
export interface CondenserRun {
  readonly config: CondenserConfig;
  readonly plant: CondenserPlant;
  readonly outdoor: OutdoorDay;
  readonly hours: number;
  readonly warmUpHours: number;
  /** The regulating probe is open, the overload input stands, the contact for quiet running is closed: from here to there, hours of the run. */
  readonly probeOpen?: readonly [number, number];
  readonly overload?: readonly [number, number];
  readonly quietContact?: readonly [number, number];
  /** The regulating probe reads so much too warm, K. */
  readonly probeDrift?: number;
}

/** A sample: °C, shares; which fans run. */
export interface CondenserSample {
  readonly t: number;
  readonly outdoor: number;
  readonly condensing: number;
  readonly liquid: number;
  readonly setpoint: number;
  readonly output: number;
  readonly compressors: number;
  readonly fans: readonly boolean[];
  readonly alarm: boolean;
  readonly quiet: boolean;
}

export interface CondenserRunResult {
  readonly events: readonly ControlEvent[];
  readonly figures: CondenserFigures;
  readonly series: readonly CondenserSample[];
}

/** A half is closed off below this distance under the set point with the fans off, and opened again at the set point, K. */
const SPLIT_BELOW = 1;

/**
 * Runs a condenser and its fans' control second by second, from midnight on. `sampleEvery` seconds a sample, 0 for none. `progress` is told the share done and stops the run
 * by false: then null.
 */
export function runCondenser(
  run: CondenserRun,
  sampleEvery = 0,
  progress?: (share: number) => boolean,
): CondenserRunResult | null {
  const { config, plant } = run;
  const from = -Math.round(run.warmUpHours * 3600);
  const to = Math.round(run.hours * 3600);
  const atStart = outdoorAt(run.outdoor, (from + 10 * SECONDS_PER_DAY) % SECONDS_PER_DAY);
  const state = restingCondenser(atStart);
  const fans = condenserAtRest(config);
  const count = new RunCount(plant);
  const events: ControlEvent[] = [];
  const series: CondenserSample[] = [];
  let now = from;
  const emit = (event: ControlEvent) => {
    if (now >= 0) events.push({ ...event, t: now });
  };
  const inputs: CondenserInputs = {
    liquid: atStart,
    backup: null,
    outdoor: null,
    compressor: false,
    quiet: false,
    overload: false,
    timeOfDay: 0,
  };
  let flows = noFlows();
  const byDrive = config.method !== 'onOff';
  const always = (config.fansFitted - config.fanCount) / config.fansFitted;
  const within = (span: readonly [number, number] | undefined) =>
    span !== undefined && now >= span[0] * 3600 && now < span[1] * 3600;
  for (; now < to; now += 1) {
    const ofDay = (((now % SECONDS_PER_DAY) + SECONDS_PER_DAY) % SECONDS_PER_DAY) | 0;
    if (now === 0) {
      flows = noFlows();
      count.begin(fans, state);
    }
    const outdoor = outdoorAt(run.outdoor, ofDay);
    inputs.liquid = within(run.probeOpen) ? Number.NaN : state.liquid + (run.probeDrift ?? 0);
    inputs.overload = within(run.overload);
    inputs.quiet = within(run.quietContact);
    inputs.backup = config.backupProbe ? state.liquid : null;
    inputs.outdoor = outdoor;
    inputs.compressor = state.running > 0;
    inputs.timeOfDay = ofDay;
    const output = tickCondenser(config, fans, inputs, emit);
    const setpoint = fanSetpoint(config, outdoor);
    if (config.split)
      state.halved =
        output === 0 && (state.halved ? state.liquid < setpoint : state.liquid < setpoint - SPLIT_BELOW);
    const load = plant.capacity * loadShare(outdoor, ofDay);
    stepCondenser(plant, state, flows, { outdoor, load, flow: output, byDrive, always });
    if (now >= 0) count.add(state, output, setpoint);
    if (now >= 0 && sampleEvery > 0 && now % sampleEvery === 0)
      series.push({
        t: now,
        outdoor,
        condensing: state.condensing,
        liquid: state.liquid,
        setpoint,
        output,
        compressors: state.running,
        fans: byDrive ? fans.fans.map(() => output > 0) : fans.fans.map((fan) => fan.on),
        alarm: Object.values(fans.causes).some(Boolean),
        quiet: isQuietNow(config, ofDay) || (config.quiet.source === 'input' && inputs.quiet),
      });
    if (progress && (now - from) % 3600 === 0 && !progress((now - from) / (to - from))) return null;
  }
  return { events, figures: count.figures(fans, flows, run.hours), series };
}

function isQuietNow({ quiet }: CondenserConfig, ofDay: number): boolean {
  if (quiet.source !== 'clock' || quiet.start === quiet.end) return false;
  return quiet.start < quiet.end
    ? ofDay >= quiet.start && ofDay < quiet.end
    : ofDay >= quiet.start || ofDay < quiet.end;
}
