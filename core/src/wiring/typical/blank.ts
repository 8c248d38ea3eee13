import { CIRCUIT_FORMAT, type Circuit, type SupplyLine } from '../circuit/index.ts';

/** A cabinet nobody has traced yet: its supply alone. */
export interface BlankCircuit {
  readonly id: string;
  readonly name: string;
  readonly circuit: Circuit;
}

const earth: SupplyLine = { id: 'PE', volts: 0 };
const neutral: SupplyLine = { id: 'N', volts: 0 };
const phase = (id: string, volts: number, degrees: number): SupplyLine => ({ id, volts, degrees });

const supplies: readonly (readonly [string, string, readonly SupplyLine[]])[] = [
  ['blank-120', '120 V and neutral', [phase('L1', 120, 0), neutral, earth]],
  [
    'blank-240',
    '120/240 V, two legs and neutral',
    [phase('L1', 120, 0), phase('L2', 120, 180), neutral, earth],
  ],
  [
    'blank-208',
    '208Y/120 V, three phases and neutral',
    [phase('L1', 120, 0), phase('L2', 120, -120), phase('L3', 120, 120), neutral, earth],
  ],
  ['blank-230', '230 V and neutral', [phase('L', 230, 0), neutral, earth]],
  [
    'blank-400',
    '400Y/230 V, three phases and neutral',
    [phase('L1', 230, 0), phase('L2', 230, -120), phase('L3', 230, 120), neutral, earth],
  ],
  [
    'blank-12',
    '12 V battery',
    [
      { id: 'B+', volts: 12, kind: 'dc' },
      { id: 'B-', volts: 0, kind: 'dc' },
    ],
  ],
  [
    'blank-24',
    '24 V battery',
    [
      { id: 'B+', volts: 24, kind: 'dc' },
      { id: 'B-', volts: 0, kind: 'dc' },
    ],
  ],
];

/** Empty cabinets by supply, to begin a tracing from nothing. */
export const blankCircuits: readonly BlankCircuit[] = supplies.map(([id, name, lines]) => ({
  id,
  name,
  circuit: {
    format: CIRCUIT_FORMAT,
    supplies: lines,
    parts: [],
    wires: [],
    states: { off: [], cooling: ['compressor', 'fan'], defrost: ['defrost'] },
  },
}));
