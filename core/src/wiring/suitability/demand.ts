import { ampsOf, motorRoles, type ContactorPart, type LoadPart } from '../circuit/index.ts';

/** What a set of loads asks of a contact: the running amps, the amps at the start, and whether a motor is among them. */
export interface Demand {
  readonly amps: number;
  readonly lockedRotorAmps: number | null;
  readonly motor: boolean;
}

/** Amps of a load as a contact in its line carries them: plate amps, else from watts and volts. */
function loadAmps(load: LoadPart): number {
  return load.amps ?? ampsOf(load.watts, load.ratedVolts, load.terminals.length === 3 ? 3 : 1).amps;
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
    const own = loadAmps(consumer);
    amps += own;
    if (motorRoles.has(consumer.role)) motor = true;
    if (consumer.lockedRotorAmps !== undefined) surge = Math.max(surge, consumer.lockedRotorAmps - own);
  }
  return { amps, lockedRotorAmps: surge > 0 ? amps + surge : null, motor };
}
