import { isFileProblem } from '../src/foundation/files/index.ts';
import {
  readCircuit,
  type Circuit,
  type Part,
  type SupplyLine,
  type Wire,
} from '../src/wiring/circuit/index.ts';
import { typicalConversion, typicalConversions } from '../src/wiring/typical/index.ts';

/** 120 V against a neutral, with earth. */
export const single: readonly SupplyLine[] = [
  { id: 'L1', volts: 120, degrees: 0 },
  { id: 'N', volts: 0 },
  { id: 'PE', volts: 0 },
];
/** 120/240 V split phase. */
export const split: readonly SupplyLine[] = [
  { id: 'L1', volts: 120, degrees: 0 },
  { id: 'L2', volts: 120, degrees: 180 },
  { id: 'N', volts: 0 },
  { id: 'PE', volts: 0 },
];
/** 208Y/120 V. */
export const threePhase: readonly SupplyLine[] = [
  { id: 'L1', volts: 120, degrees: 0 },
  { id: 'L2', volts: 120, degrees: -120 },
  { id: 'L3', volts: 120, degrees: 120 },
  { id: 'N', volts: 0 },
  { id: 'PE', volts: 0 },
];
export const battery: readonly SupplyLine[] = [
  { id: 'B+', volts: 12, kind: 'dc' },
  { id: 'B-', volts: 0, kind: 'dc' },
];

export const fuse = (id: string, amps: number): Part => ({ id, kind: 'fuse', terminals: ['a', 'b'], amps });
export const contact = (id: string, drivenBy: string, more: object = {}): Part => ({
  id,
  kind: 'contact',
  terminals: ['com', 'no'],
  drivenBy,
  ...more,
});
export const switchPart = (id: string, closedIn: readonly string[], safety = false): Part => ({
  id,
  kind: 'switch',
  terminals: ['a', 'b'],
  closedIn,
  safety,
});
export const load = (
  id: string,
  role: string,
  watts: number,
  ratedVolts: number,
  more: object = {},
): Part => ({
  id,
  kind: 'load',
  role,
  terminals: ['1', '2'],
  watts,
  ratedVolts,
  ...more,
});
export const control = (id: string, owns: readonly string[], ratedVolts = 120): Part => ({
  id,
  kind: 'control',
  terminals: ['line', 'common'],
  ohms: ratedVolts ** 2 / 5,
  ratedVolts,
  owns,
});

/** `'L1-F1.a'` becomes a wire; blanks part several. */
export function wires(text: string): readonly Wire[] {
  return text
    .trim()
    .split(/\s+/)
    .filter((pair) => pair !== '')
    .map((pair) => {
      const [from, to] = pair.split('>') as [string, string];
      return { from, to };
    });
}

/** A circuit that has gone through the reader, as every circuit of the application has. */
export function circuit(
  supplies: readonly SupplyLine[],
  parts: readonly Part[],
  runs: string | readonly Wire[],
  states: Readonly<Record<string, readonly string[]>> = {
    off: [],
    cooling: ['compressor', 'fan'],
    defrost: ['defrost'],
  },
): Circuit {
  const read = readCircuit({
    format: 'brine-dial/circuit@1',
    supplies,
    parts,
    wires: typeof runs === 'string' ? wires(runs) : runs,
    states,
  });
  if (isFileProblem(read)) throw new Error(`${read.field}: ${read.message}`);
  return read;
}

/** A freezer on 120 V: one control, compressor, fan and heater; jumpers on the commons. Sound. */
export function freezer(): Circuit {
  return circuit(
    single,
    [
      fuse('F1', 25),
      control('U1', ['K1', 'K2', 'K3']),
      contact('K1', 'compressor', { ratings: { resistiveAmps: 16, motorFullLoadAmps: 12 } }),
      contact('K2', 'fan', { ratings: { resistiveAmps: 5, motorFullLoadAmps: 2 } }),
      contact('K3', 'defrost', { ratings: { resistiveAmps: 16 } }),
      switchPart('HP', ['off', 'cooling', 'defrost'], true),
      switchPart('HL', ['off', 'cooling', 'defrost'], true),
      load('M1', 'compressor', 900, 120),
      load('M2', 'evaporatorFan', 80, 120),
      load('H1', 'defrostHeater', 1100, 120),
    ],
    `L1>F1.a F1.b>U1.line U1.common>N U1.line>K1.com K1.com>K2.com K2.com>K3.com
     K1.no>HP.a HP.b>M1.1 M1.2>N K2.no>M2.1 M2.2>N K3.no>HL.a HL.b>H1.1 H1.2>N`,
  );
}

/** Two-wire thermostat and a compressor on 120 V, with an always-on fan. */
export function reachIn(): Circuit {
  return circuit(
    single,
    [
      fuse('F1', 15),
      contact('ST', 'compressor'),
      switchPart('OL', ['off', 'cooling'], true),
      load('M1', 'compressor', 500, 120),
      load('M2', 'evaporatorFan', 40, 120),
    ],
    'L1>F1.a F1.b>ST.com ST.no>OL.a OL.b>M1.1 M1.2>N F1.b>M2.1 M2.2>N',
    { off: [], cooling: ['compressor'] },
  );
}

/** 240 V split phase with a contactor for the compressor, a heater over a change-over relay, and a fan. */
export function splitPhase(): Circuit {
  return circuit(
    split,
    [
      fuse('F1', 30),
      fuse('F2', 30),
      control('U1', ['K1', 'K2', 'K3'], 240),
      contact('K1', 'compressor'),
      contact('K2', 'defrost', { terminals: ['com', 'no', 'nc'] }),
      contact('K3', 'fan'),
      {
        id: 'C1',
        kind: 'contactor',
        coil: ['A1', 'A2'],
        coilOhms: 6000,
        coilVolts: 240,
        poles: [
          ['1', '2'],
          ['3', '4'],
        ],
      },
      load('M1', 'compressor', 3600, 240),
      load('H1', 'defrostHeater', 2600, 240),
      load('M2', 'evaporatorFan', 150, 240),
    ],
    `L1>F1.a L2>F2.a F1.b>U1.line F2.b>U1.common U1.line>K1.com F1.b>K2.com K1.com>K3.com
     K1.no>C1.A1 C1.A2>F2.b F1.b>C1.1 F2.b>C1.3 C1.2>M1.1 C1.4>M1.2
     K2.no>H1.1 H1.2>F2.b K3.no>M2.1 M2.2>F2.b`,
  );
}

/** 208 V: a three-phase compressor on a contactor, heater on two phases, a 24 V control on a transformer. */
export function threePhaseFreezer(): Circuit {
  return circuit(
    threePhase,
    [
      fuse('F1', 40),
      fuse('F2', 40),
      fuse('F3', 40),
      fuse('F4', 15),
      {
        id: 'T1',
        kind: 'transformer',
        primary: ['H1', 'H2'],
        secondary: ['X1', 'X2'],
        ratedVolts: 208,
        secondaryVolts: 24,
        va: 40,
      },
      {
        id: 'U1',
        kind: 'control',
        terminals: ['line', 'common'],
        ohms: 115,
        ratedVolts: 24,
        owns: ['K1', 'K2'],
      },
      contact('K1', 'compressor'),
      contact('K2', 'defrost'),
      {
        id: 'C1',
        kind: 'contactor',
        coil: ['A1', 'A2'],
        coilOhms: 72,
        coilVolts: 24,
        poles: [
          ['1', '2'],
          ['3', '4'],
          ['5', '6'],
        ],
      },
      load('M1', 'compressor', 5200, 208, { terminals: ['U', 'V', 'W'] }),
      load('H1', 'defrostHeater', 2400, 208),
    ],
    `L1>F1.a L2>F2.a L3>F3.a F1.b>F4.a F4.b>T1.H1 F2.b>T1.H2 T1.X1>U1.line T1.X2>U1.common
     T1.X1>K1.com K1.no>C1.A1 C1.A2>T1.X2 F4.b>K2.com K2.no>H1.1 H1.2>F2.b
     F1.b>C1.1 F2.b>C1.3 F3.b>C1.5 C1.2>M1.U C1.4>M1.V C1.6>M1.W`,
    { off: [], cooling: ['compressor'], defrost: ['defrost'] },
  );
}

/** A 12 V vehicle fridge. */
export function vehicleFridge(): Circuit {
  return circuit(
    battery,
    [
      fuse('F1', 15),
      { id: 'U1', kind: 'control', terminals: ['+', '-'], ohms: 240, ratedVolts: 12, owns: ['K1', 'K2'] },
      contact('K1', 'compressor'),
      contact('K2', 'fan'),
      load('M1', 'compressor', 54, 12),
      load('M2', 'evaporatorFan', 4, 12),
    ],
    'B+>F1.a F1.b>U1.+ U1.->B- U1.+>K1.com K1.com>K2.com K1.no>M1.1 M1.2>B- K2.no>M2.1 M2.2>B-',
    { off: [], cooling: ['compressor', 'fan'] },
  );
}

/** A circuit with one wire taken out, by id. */
export function withoutWire(from: Circuit, id: string): Circuit {
  const rest = from.wires.filter((wire) => `${wire.from}-${wire.to}` !== id);
  if (rest.length === from.wires.length) throw new Error(`no wire ${id}`);
  return { ...from, wires: rest };
}

/** A circuit with wires added. */
export function withWires(from: Circuit, text: string): Circuit {
  return { ...from, wires: [...from.wires, ...wires(text)] };
}

/** A circuit with one part changed. */
export function withPart(from: Circuit, id: string, change: object): Circuit {
  return { ...from, parts: from.parts.map((p) => (p.id === id ? ({ ...p, ...change } as Part) : p)) };
}

/** The typical conversions, by id. */
export const typicalIds: readonly string[] = typicalConversions.map((c) => c.id);

/** A typical circuit before its conversion. */
export function typical(id: string): Circuit {
  const found = typicalConversion(id);
  if (!found) throw new Error(`no typical conversion ${id}`);
  return found.circuit;
}
