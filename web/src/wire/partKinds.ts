import type { Part } from '@brine/core/wiring/circuit';

/** A field of a part's form. */
export interface PartField {
  readonly id: 'amps' | 'watts' | 'ratedVolts' | 'coilVolts' | 'lockedRotorAmps';
  readonly label: string;
  readonly needed: boolean;
}

/** What a person may add to a circuit as found, in the trade's words. */
export interface PartKindChoice {
  readonly id: string;
  readonly name: string;
  readonly base: string;
  readonly fields: readonly PartField[];
  /** Taken where neither watts nor amps are known. */
  readonly usualWatts?: number;
  readonly build: (
    id: string,
    name: string,
    numbers: Readonly<Partial<Record<PartField['id'], number>>>,
  ) => Part;
}

const amps: PartField = { id: 'amps', label: 'Amps', needed: true };
const plateAmps: PartField = { id: 'amps', label: 'Amps, from the plate', needed: false };
const watts: PartField = { id: 'watts', label: 'Watts', needed: false };
const volts: PartField = { id: 'ratedVolts', label: 'Volts', needed: true };
const locked: PartField = { id: 'lockedRotorAmps', label: 'Locked rotor amps', needed: false };

const resistive: ReadonlySet<string> = new Set(['defrostHeater', 'heater', 'light']);

const load = (id: string, name: string, role: string, base: string, usualWatts: number): PartKindChoice => ({
  id,
  name,
  base,
  usualWatts,
  fields: resistive.has(role) ? [watts, volts, plateAmps] : [watts, volts, plateAmps, locked],
  build: (partId, words, n) => ({
    id: partId,
    kind: 'load',
    role,
    name: words,
    terminals: ['1', '2'],
    watts: n.watts ?? (n.amps === undefined ? usualWatts : n.amps * n.ratedVolts!),
    ratedVolts: n.ratedVolts!,
    ...(n.amps === undefined || resistive.has(role) ? {} : { amps: n.amps }),
    ...(n.lockedRotorAmps === undefined ? {} : { lockedRotorAmps: n.lockedRotorAmps }),
  }),
});
const everyState = ['off', 'cooling', 'defrost', 'heating'];

/** Kinds in the order they are met in a cabinet; loads with the watts that are usual for them (common practice). */
export const partKinds: readonly PartKindChoice[] = [
  {
    id: 'fuse',
    name: 'Fuse or breaker',
    base: 'F',
    fields: [amps],
    build: (id, name, n) => ({ id, kind: 'fuse', name, terminals: ['a', 'b'], amps: n.amps! }),
  },
  {
    id: 'thermostat',
    name: 'Old thermostat or contact, comes out',
    base: 'ST',
    fields: [],
    build: (id, name) => ({
      id,
      kind: 'contact',
      name,
      terminals: ['com', 'no'],
      drivenBy: 'compressor',
      old: true,
    }),
  },
  {
    id: 'timer',
    name: 'Old defrost timer, comes out',
    base: 'TM',
    fields: [],
    build: (id, name) => ({
      id,
      kind: 'contact',
      name,
      terminals: ['com', 'no', 'nc'],
      drivenBy: 'defrost',
      old: true,
    }),
  },
  {
    id: 'safety',
    name: 'Safety switch (pressure, overload, limit, float)',
    base: 'S',
    fields: [],
    build: (id, name) => ({
      id,
      kind: 'switch',
      name,
      terminals: ['a', 'b'],
      closedIn: everyState,
      safety: true,
    }),
  },
  {
    id: 'switch',
    name: 'Switch, closed while the unit works',
    base: 'SW',
    fields: [],
    build: (id, name) => ({
      id,
      kind: 'switch',
      name,
      terminals: ['a', 'b'],
      closedIn: ['cooling', 'defrost', 'heating'],
    }),
  },
  load('compressor', 'Compressor', 'compressor', 'M', 500),
  load('evaporatorFan', 'Evaporator fan', 'evaporatorFan', 'M', 40),
  load('condenserFan', 'Condenser fan', 'condenserFan', 'M', 60),
  load('defrostHeater', 'Defrost heater', 'defrostHeater', 'H', 800),
  load('solenoid', 'Solenoid valve', 'solenoid', 'Y', 12),
  load('light', 'Light', 'light', 'LT', 20),
  load('heater', 'Heater', 'heater', 'H', 300),
  {
    id: 'contactor',
    name: 'Contactor, one pole',
    base: 'CC',
    fields: [{ id: 'coilVolts', label: 'Coil volts', needed: true }],
    build: (id, name, n) => ({
      id,
      kind: 'contactor',
      name,
      coil: ['A1', 'A2'],
      coilVolts: n.coilVolts!,
      coilOhms: Math.round(n.coilVolts! ** 2 / 8),
      poles: [['1', '2']],
    }),
  },
  {
    id: 'junction',
    name: 'Splice or terminal strip',
    base: 'X',
    fields: [],
    build: (id, name) => ({ id, kind: 'junction', name, terminals: ['1'] }),
  },
];

/** The first free id of a base: M1, M2, … */
export function freePartId(base: string, taken: readonly string[]): string {
  for (let n = 1; ; n += 1) if (!taken.includes(`${base}${n}`)) return `${base}${n}`;
}
