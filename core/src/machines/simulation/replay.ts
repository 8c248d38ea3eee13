import { SECONDS_PER_DAY } from '../../foundation/limits/index.ts';
import {
  condenserAtRest,
  tickCondenser,
  type CondenserConfig,
  type CondenserInputs,
} from '../condenser/index.ts';
import { powerUp, tick, type ControlConfig, type ControlEvent, type ControlInputs } from '../box/index.ts';
import type { LogRow } from './readLog.ts';

/** Sums over a run. */
export interface Totals {
  readonly compressorStarts: number;
  readonly compressorSeconds: number;
  readonly defrosts: number;
  readonly fanSeconds: number;
  readonly defrostSeconds: number;
  readonly alarms: number;
}

export interface Replayed {
  /** By time, then by kind. */
  readonly events: readonly ControlEvent[];
  readonly totals: Totals;
}

/**
 * Runs a control over the readings of a log, ticks 0 to `stop` − 1 (one second after the last row where absent). A reading holds until the next
 * row; the time of day goes on from each row's own. A condenser's fans run beside it, or alone where `config` is null: then the compressor is the logged one.
 */
export function replay(
  config: ControlConfig | null,
  rows: readonly LogRow[],
  stop = rows.at(-1)!.t + 1,
  condenser: CondenserConfig | null = null,
): Replayed {
  const state = powerUp(config?.setpoint ?? 0);
  const fans = condenser && condenserAtRest(condenser);
  const events: ControlEvent[] = [];
  const emit = (event: ControlEvent) => void events.push(event);
  const sums = { compressorSeconds: 0, fanSeconds: 0, defrostSeconds: 0 };
  const inputs: ControlInputs = {
    air: Number.NaN,
    coil: null,
    coil2: null,
    doorOpen: false,
    alarmInput: false,
    timeOfDay: 0,
    commands: [],
  };
  let next = 0;
  let row = rows[0]!;
  for (let t = 0; t < stop; t += 1) {
    inputs.commands = [];
    while (next < rows.length && rows[next]!.t <= t) {
      row = rows[next]!;
      next += 1;
      if (row.commands.length > 0) inputs.commands = [...inputs.commands, ...row.commands];
    }
    inputs.air = row.air;
    inputs.coil = row.coil;
    inputs.coil2 = row.coil2;
    inputs.doorOpen = row.door;
    inputs.alarmInput = row.input;
    inputs.timeOfDay = (row.timeOfDay + t - row.t) % SECONDS_PER_DAY;
    const out = config ? tick(config, state, inputs, emit) : state.out;
    if (condenser && fans)
      tickCondenser(
        condenser,
        fans,
        fanInputs(condenser, row, config ? out.compressor : row.compressor, inputs.timeOfDay),
        emit,
        resets(inputs),
      );
    if (out.compressor) sums.compressorSeconds += 1;
    if (out.fan) sums.fanSeconds += 1;
    if (state.phase === 'defrost') sums.defrostSeconds += 1;
  }
  const count = (kind: string, value: unknown) =>
    events.filter((e) => e.kind === kind && e.value === value).length;
  return {
    events: [...events].sort((a, b) => a.t - b.t || (a.kind < b.kind ? -1 : a.kind > b.kind ? 1 : 0)),
    totals: {
      compressorStarts: count('compressor', true),
      defrosts: count('phase', 'defrost'),
      alarms: count('alarm', true),
      ...sums,
    },
  };
}

const resets = (inputs: ControlInputs) => inputs.commands.some((command) => command.does === 'resetAlarms');

/** The one logged input is the overload where that is fitted, else what makes it quiet. */
function fanInputs(
  condenser: CondenserConfig,
  row: LogRow,
  compressor: boolean,
  timeOfDay: number,
): CondenserInputs {
  const { fitted } = condenser.overload;
  return {
    liquid: row.liquid,
    backup: null,
    outdoor: row.outdoor,
    compressor,
    quiet: !fitted && row.input,
    overload: fitted && row.input,
    timeOfDay,
  };
}
