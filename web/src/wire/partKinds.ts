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
  readonly build: (
    id: string,
    name: string,
    numbers: Readonly<Partial<Record<PartField['id'], number>>>,
  ) => Part;
}

const amps: PartField = { id: 'amps', label: 'Amps', needed: true };
const plateAmps: PartField = { id: 'amps', label: 'Amps, from the plate', needed: false };
const watts: PartField = { id: 'watts', label: 'Watts', needed: true };
const volts: PartField = { id: 'ratedVolts', label: 'Volts', needed: true };
const locked: PartField = { id: 'lockedRotorAmps', label: 'Locked rotor amps', needed: false };

const load = (id: string, name: string, role: string, base: string): PartKindChoice => ({
  id,
  name,
  base,
  fields:
    role === 'defrostHeater' || role === 'heater' || role === 'light'
      ? [watts, volts]
      : [watts, volts, plateAmps, locked],
  build: (partId, words, n) => ({
    id: partId,
    kind: 'load',
    role,
    name: words,
    terminals: ['1', '2'],
    watts: n.watts!,
    ratedVolts: n.ratedVolts!,
    ...(n.amps === undefined ? {} : { amps: n.amps }),
    ...(n.lockedRotorAmps === undefined ? {} : { lockedRotorAmps: n.lockedRotorAmps }),
  }),
});
const everyState = ['off', 'cooling', 'defrost', 'heating'];

/** Kinds in the order they are met in a cabinet. */
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
  load('compressor', 'Compressor', 'compressor', 'M'),
  load('evaporatorFan', 'Evaporator fan', 'evaporatorFan', 'M'),
  load('condenserFan', 'Condenser fan', 'condenserFan', 'M'),
  load('defrostHeater', 'Defrost heater', 'defrostHeater', 'H'),
  load('solenoid', 'Solenoid valve', 'solenoid', 'Y'),
  load('light', 'Light', 'light', 'LT'),
  load('heater', 'Heater', 'heater', 'H'),
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
