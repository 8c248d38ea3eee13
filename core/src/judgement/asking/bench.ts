import {
  displayOf,
  settingsOfCodes,
  type CodeValue,
  type CodeValues,
  type ControllerDefinition,
} from '../../controllers/definitions/index.ts';
import { valueIn, quantity } from '../../foundation/quantities/index.ts';
import { controlConfig, powerUp, tick, type Command, type ControlConfig } from '../../machines/box/index.ts';

/** What a probe can be held in, by everybody: °C. */
export const baths = { iceAndSalt: -12, iceWater: 0, room: 20, hand: 32, hotWater: 50 } as const;
export type Bath = keyof typeof baths;

/** How far a bath may be from what it should be, K (common practice: stirred ice water is sure, a room and a hand are not). */
export const bathStrays: Readonly<Record<Bath, number>> = {
  iceAndSalt: 4,
  iceWater: 0.4,
  room: 4,
  hand: 2.5,
  hotWater: 8,
};

/** Something a hand does, s after the power came. */
export interface HandAct {
  readonly at: number;
  readonly does:
    | { readonly kind: 'air' | 'coil'; readonly bath: Bath }
    | { readonly kind: 'defrost' }
    | { readonly kind: 'door'; readonly open: boolean }
    /** The contact of the alarm input, bridged or opened. */
    | { readonly kind: 'input'; readonly closed: boolean }
    /** One wire of the air probe is pulled, or put back. */
    | { readonly kind: 'wire'; readonly pulled: boolean };
}

/** One trial: codes that are keyed, where the probes hang when the power comes, and what hands do then. */
export interface Trial {
  readonly keyed: readonly { readonly code: string; readonly value: CodeValue }[];
  readonly acts: readonly HandAct[];
}

/** What can be heard or seen to be on. */
export const seen = ['compressor', 'defrost', 'fan', 'stage2', 'alarm', 'doorAlarm', 'inputAlarm'] as const;
export type Seen = (typeof seen)[number];

/** What a technician sees of a trial: since when each is on or off, s, and what the display reads at the end of each minute, in its own unit. */
export interface Sight {
  readonly changes: Readonly<Record<Seen, readonly { readonly t: number; readonly on: boolean }[]>>;
  /** The air as the display has it, by the second. */
  readonly reading: Float32Array;
}

/** A control under one meaning, with values by code. Null where its codes make no control. */
export function benchConfig(
  definition: ControllerDefinition,
  codes: CodeValues,
): { readonly config: ControlConfig; readonly fahrenheit: boolean } | null {
  const display = displayOf(definition, codes);
  const config = controlConfig(settingsOfCodes(definition, codes, display));
  return typeof config === 'string' ? null : { config, fahrenheit: display.unit === 'degF' };
}

/**
 * Runs a trial for so many seconds; the probe follows what it is put into by its lag.
 *
 * @param stray how far every bath is off, as a share of how far it may be: 0 as it should be, −1 and 1 as cold and as warm as it may be
 */
export function runTrial(
  { config, fahrenheit }: NonNullable<ReturnType<typeof benchConfig>>,
  trial: Trial,
  seconds: number,
  stray = 0,
): Sight {
  const degreesOf = (bath: Bath) => baths[bath] + stray * bathStrays[bath];
  const state = powerUp(config.setpoint);
  const reading = new Float32Array(seconds);
  const changes: Record<Seen, { t: number; on: boolean }[]> = {
    compressor: [],
    defrost: [],
    fan: [],
    stage2: [],
    alarm: [],
    doorAlarm: [],
    inputAlarm: [],
  };
  const inputs = {
    air: 20,
    coil: config.probes.coilPresent ? 20 : (null as number | null),
    coil2: null,
    doorOpen: false,
    alarmInput: false,
    timeOfDay: 0,
    commands: [] as readonly Command[],
  };
  const towards = { air: 20, coil: 20 };
  const acts = trial.acts.toSorted((a, b) => a.at - b.at);
  let next = 0;
  let felt = 20;
  let pulled = false;
  for (let t = 0; t < seconds; t += 1) {
    let told: readonly Command[] = [];
    while (next < acts.length && acts[next]!.at <= t) {
      const { at, does } = acts[next]!;
      next += 1;
      if (does.kind === 'defrost') told = [{ does: 'startDefrost' }];
      else if (does.kind === 'door') inputs.doorOpen = does.open;
      else if (does.kind === 'input') inputs.alarmInput = does.closed;
      else if (does.kind === 'wire') pulled = does.pulled;
      else {
        towards[does.kind] = degreesOf(does.bath);
        // It hangs there already when the power comes.
        if (at === 0 && does.kind === 'air') felt = towards.air;
        if (at === 0 && does.kind === 'coil' && inputs.coil !== null) inputs.coil = towards.coil;
      }
    }
    felt += (towards.air - felt) / PROBE_LAG;
    inputs.air = pulled ? Number.NaN : felt;
    if (inputs.coil !== null) inputs.coil += (towards.coil - inputs.coil) / PROBE_LAG;
    inputs.timeOfDay = t % 86_400;
    inputs.commands = told;
    const out = tick(config, state, inputs, () => undefined);
    const now = { ...out, doorAlarm: state.causes.door, inputAlarm: state.causes.input };
    for (const what of seen) {
      const list = changes[what];
      if (now[what] !== (list.at(-1)?.on ?? false)) list.push({ t, on: now[what] });
    }
    reading[t] = fahrenheit ? valueIn(quantity(state.air.value, 'degC'), 'degF') : state.air.value;
  }
  return { changes, reading };
}

/** A probe in stirred water follows by this, s (common practice: a naked probe in water takes ten to twenty seconds). */
const PROBE_LAG = 12;
