import type { ControllerDefinition, Relay } from '../../controllers/definitions/index.ts';
import type { ContactorPart, LoadPart } from '../circuit/index.ts';
import { motorRoles } from '../circuit/index.ts';

/** The output that works a load of a role; null for one that no control works. `output` on a load says otherwise. */
export function outputOfRole(role: string): string | null {
  switch (role) {
    case 'compressor':
    case 'solenoid':
      return 'compressor';
    case 'defrostHeater':
      return 'defrost';
    case 'evaporatorFan':
      return 'fan';
    case 'condenserFan':
      return 'condenserFan';
    case 'heater':
      return 'stage2';
    case 'alarm':
      return 'alarm';
    default:
      return null;
  }
}

/** The output a load belongs to in a circuit. */
export function outputOf(load: LoadPart): string | null {
  return typeof load['output'] === 'string' ? load['output'] : outputOfRole(load.role);
}

/** The relay of a control that drives an output. */
export function relayFor(definition: ControllerDefinition, output: string): Relay | undefined {
  const relay = definition.relays?.find((one) => one.drives === output);
  // A control of one relay cycles condenser fans with it.
  return relay ?? (output === 'condenserFan' ? relayFor(definition, 'compressor') : undefined);
}

/** What a set of loads asks of a contact: the running amps, the amps at the start, and whether a motor is among them. */
export interface Demand {
  readonly amps: number;
  readonly lockedRotorAmps: number | null;
  readonly motor: boolean;
}

/** Amps of a load as a contact in its line carries them: plate amps, else watts over volts (√3 between for three phases). */
export function loadAmps(load: Pick<LoadPart, 'watts' | 'ratedVolts' | 'amps'>, phases = 1): number {
  return load.amps ?? load.watts / (load.ratedVolts * (phases === 3 ? Math.sqrt(3) : 1));
}

/** Adds up what a contact switches; locked rotor amps of the largest motor on top of what already runs. */
export function demandOf(consumers: readonly (LoadPart | ContactorPart)[]): Demand {
  let amps = 0;
  let motor = false;
  let surge = 0;
  for (const consumer of consumers) {
    if (consumer.kind === 'contactor') {
      amps += consumer.coilVolts / consumer.coilOhms;
      continue;
    }
    const own = loadAmps(consumer, consumer.terminals.length === 3 ? 3 : 1);
    amps += own;
    if (motorRoles.has(consumer.role)) motor = true;
    if (consumer.lockedRotorAmps !== undefined) surge = Math.max(surge, consumer.lockedRotorAmps - own);
  }
  return { amps, lockedRotorAmps: surge > 0 ? amps + surge : null, motor };
}

/** What a relay lacks for a demand, in words with both figures; null where it is strong enough or its ratings are not known. */
export function tooWeak(relay: Relay, demand: Demand): string | null {
  const { resistiveAmps, motorFullLoadAmps, motorLockedRotorAmps } = (relay.ratings ?? {}) as Record<
    string,
    number | undefined
  >;
  const amps = (value: number) => `${value.toFixed(value < 10 ? 1 : 0)} A`;
  if (resistiveAmps !== undefined && demand.amps > resistiveAmps)
    return `${amps(demand.amps)} on a contact for ${amps(resistiveAmps)}`;
  if (demand.motor && motorFullLoadAmps !== undefined && demand.amps > motorFullLoadAmps)
    return `a motor of ${amps(demand.amps)} on a contact for ${amps(motorFullLoadAmps)} of motor`;
  if (
    demand.lockedRotorAmps !== null &&
    motorLockedRotorAmps !== undefined &&
    demand.lockedRotorAmps > motorLockedRotorAmps
  )
    return `${amps(demand.lockedRotorAmps)} at the start on a contact for ${amps(motorLockedRotorAmps)} locked rotor`;
  return null;
}

/** Contactor frames of the trade by amps per pole (common practice); the coil takes about 8 VA. */
const frames = [20, 25, 30, 40, 50, 60] as const;
export const COIL_VA = 8;

/** The contactor frame for a demand, with a quarter in hand. */
export function contactorFrame(demand: Demand): number {
  return frames.find((frame) => frame >= demand.amps * 1.25) ?? frames.at(-1)!;
}
