import { describe, expect, test } from '@jest/globals';
import {
  circuit,
  contact,
  control,
  freezer,
  fuse,
  load,
  reachIn,
  single,
  split,
  splitPhase,
  switchPart,
  withoutWire,
  withPart,
  withWires,
} from '../../../testing/circuits.ts';
import type { Circuit } from '../circuit/circuit.ts';
import { wiringSeverities, type WiringCode } from './finding.ts';
import { findingsOf } from './findings.ts';

interface Twin {
  readonly code: WiringCode;
  readonly what: string;
  readonly wrong: () => Circuit;
  readonly right: () => Circuit;
  /** Circuit as found, where the finding compares. */
  readonly found?: () => Circuit;
  /** The finding the wrong one must hold, beyond its code. */
  readonly state?: string | null;
  readonly parts?: readonly string[];
}

const runs = { off: [], cooling: ['compressor'] };
const onTheCabinet = (end: string) =>
  circuit(
    single,
    [fuse('F1', 15), contact('K1', 'compressor'), load('M1', 'compressor', 500, 120)],
    `L1>F1.a F1.b>K1.com K1.no>M1.1 M1.2>${end}`,
    runs,
  );
const switchedControl = (supply: string) =>
  circuit(
    single,
    [
      fuse('F1', 15),
      switchPart('SW', ['cooling']),
      control('U1', ['K1']),
      contact('K1', 'compressor'),
      load('M1', 'compressor', 500, 120),
    ],
    `L1>F1.a F1.b>SW.a ${supply}>U1.line U1.common>N SW.b>K1.com K1.no>M1.1 M1.2>N`,
    runs,
  );
const dualVoltage = (other: string) =>
  circuit(
    split,
    [
      fuse('F1', 15),
      fuse('F2', 15),
      control('U1', ['K1']),
      contact('K1', 'compressor'),
      load('M1', 'compressor', 500, 120),
    ],
    `L1>F1.a L2>F2.a F1.b>U1.line U1.common>${other} F1.b>K1.com K1.no>M1.1 M1.2>N`,
    runs,
  );
const probed = (lead: string) =>
  withWires(
    {
      ...freezer(),
      parts: [...freezer().parts, { id: 'P1', kind: 'probe', terminals: ['a', 'b'], ohms: 10000 }],
    },
    lead,
  );
const neutralShared = (neutral: string) =>
  circuit(
    split,
    [
      fuse('F1', 20),
      fuse('F2', 20),
      { id: 'J', kind: 'junction', terminals: ['1'] },
      load('A', 'heater', 1000, 120),
      load('B', 'heater', 900, 120),
    ],
    `L1>F1.a L2>F2.a F1.b>A.1 F2.b>B.1 A.2>J.1 B.2>J.1 ${neutral}`,
    { on: [] },
  );
const gauged = (gauge: string) => ({
  ...reachIn(),
  wires: reachIn().wires.map((w) => (w.to === 'ST.com' ? { ...w, gauge } : w)),
});

const twins: readonly Twin[] = [
  {
    code: 'shortCircuit',
    what: 'the compressor relay throws the hot onto the neutral',
    wrong: () => withWires(reachIn(), 'ST.no>N'),
    right: reachIn,
    state: 'cooling',
  },
  {
    code: 'fuseBlows',
    what: 'a fuse of 5 A before a compressor of 500 W',
    wrong: () => withPart(reachIn(), 'F1', { amps: 4 }),
    right: () => withPart(reachIn(), 'F1', { amps: 5 }),
    state: 'cooling',
    parts: ['F1'],
  },
  {
    code: 'overVoltage',
    what: 'a 120 V control between two legs of 240 V',
    wrong: () => dualVoltage('F2.b'),
    right: () => dualVoltage('N'),
    parts: ['U1'],
  },
  {
    code: 'underVoltage',
    what: 'a compressor made for 208 V on 120 V',
    wrong: () => withPart(reachIn(), 'M1', { ratedVolts: 208 }),
    right: () => withPart(reachIn(), 'M1', { ratedVolts: 125 }),
    state: 'cooling',
    parts: ['M1'],
  },
  {
    code: 'neutralThroughEarth',
    what: 'a return taken from the cabinet',
    wrong: () => onTheCabinet('PE'),
    right: () => onTheCabinet('N'),
    state: 'cooling',
  },
  {
    code: 'contactOverload',
    what: 'a motor of 7.5 A on a contact for 6 A of motor',
    wrong: () => withPart(freezer(), 'K1', { ratings: { resistiveAmps: 16, motorFullLoadAmps: 6 } }),
    right: () => withPart(freezer(), 'K1', { ratings: { resistiveAmps: 16, motorFullLoadAmps: 8 } }),
    state: 'cooling',
    parts: ['K1', 'M1'],
  },
  {
    code: 'contactOverload',
    what: 'a heater of 9.2 A on a contact of 8 A, whose motor rating does not count',
    wrong: () => withPart(freezer(), 'K3', { ratings: { resistiveAmps: 8, motorFullLoadAmps: 20 } }),
    right: () => withPart(freezer(), 'K3', { ratings: { resistiveAmps: 10, motorFullLoadAmps: 3 } }),
    state: 'defrost',
    parts: ['K3'],
  },
  {
    code: 'heaterWithCompressor',
    what: 'heater and compressor on one relay',
    wrong: () => withWires(withoutWire(freezer(), 'K3.no-HL.a'), 'K1.no>HL.a'),
    right: freezer,
    state: 'cooling',
    parts: ['H1', 'M1'],
  },
  {
    code: 'probeOnMains',
    what: 'a probe lead on a hot terminal',
    wrong: () => probed('P1.a>K2.com'),
    right: () => probed('P1.a>U1.common'),
    parts: ['P1'],
  },
  {
    code: 'commonNotFed',
    what: 'the jumper to the defrost common is missing',
    wrong: () => withoutWire(freezer(), 'K2.com-K3.com'),
    right: freezer,
    state: 'defrost',
    parts: ['K3'],
  },
  {
    code: 'controlOnSwitchedSide',
    what: 'a control behind the night switch',
    wrong: () => switchedControl('SW.b'),
    right: () => switchedControl('F1.b'),
    state: 'off',
    parts: ['U1', 'SW'],
  },
  {
    code: 'backFeed',
    what: 'a shared neutral that is open',
    wrong: () => neutralShared(''),
    right: () => neutralShared('J.1>N'),
    parts: ['A', 'B'],
  },
  {
    code: 'floatingLoad',
    what: 'a fan whose return is not connected',
    wrong: () => withoutWire(freezer(), 'M2.2-N'),
    right: freezer,
    state: null,
    parts: ['M2'],
  },
  {
    code: 'safetyBypassed',
    what: 'the heater limit is jumped over',
    wrong: () => withWires(freezer(), 'HL.a>HL.b'),
    right: freezer,
    found: freezer,
    state: null,
    parts: ['H1', 'HL'],
  },
  {
    code: 'wireUndersized',
    what: '16 AWG behind a fuse of 15 A',
    wrong: () => gauged('16 AWG'),
    right: () => gauged('14 AWG'),
    state: null,
  },
  {
    code: 'wireUndersized',
    what: '1 mm² behind a fuse of 15 A',
    wrong: () => gauged('1 mm²'),
    right: () => gauged('1.5 mm²'),
    state: null,
  },
  {
    code: 'alwaysOn',
    what: 'a thermostat that is bridged',
    wrong: () => withWires(reachIn(), 'ST.com>ST.no'),
    right: reachIn,
    state: null,
    parts: ['M1'],
  },
  {
    code: 'neverOn',
    what: 'a compressor whose relay nothing drives',
    wrong: () => withPart(reachIn(), 'ST', { drivenBy: 'stage2' }),
    right: reachIn,
    state: null,
    parts: ['M1'],
  },
];

describe.each(twins)('$code: $what', ({ code, wrong, right, found, state, parts }) => {
  test('is found', () => {
    const hits = findingsOf(wrong(), found?.() ?? null).filter((f) => f.code === code);
    expect(hits.length).toBeGreaterThan(0);
    expect(hits.every((f) => f.severity === wiringSeverities[code])).toBe(true);
    if (state !== undefined) expect(hits.map((f) => f.state)).toContain(state);
    if (parts) expect(hits.map((f) => f.parts)).toContainEqual(parts);
  });

  test('its near twin is not', () => {
    expect(findingsOf(right(), found?.() ?? null).filter((f) => f.code === code)).toEqual([]);
  });
});

test('every code of the format has a circuit that raises it', () => {
  expect(new Set(twins.map((t) => t.code))).toEqual(new Set(Object.keys(wiringSeverities)));
});

test.each([
  ['freezer', freezer],
  ['reach-in', reachIn],
  ['split phase', splitPhase],
])('a sound circuit raises nothing: %s', (_name, build) => {
  expect(findingsOf(build(), build())).toEqual([]);
});

describe('the figures of a finding', () => {
  // Oracle: Ohm's law. 500 W at 120 V is 28.8 Ω; a direct short of 0.05 + 0.05 Ω and five 0.01 Ω pieces lets 800 A through.
  test('the fuse is opened by the amps of the short', () => {
    const [hit] = findingsOf(withWires(reachIn(), 'ST.no>N')).filter((f) => f.code === 'fuseBlows');
    expect(hit!.numbers['amps']).toBeGreaterThan(750);
    expect(hit!.numbers['amps']).toBeLessThan(850);
  });

  test('after the fuse has opened nothing is NaN and the load is off', () => {
    const findings = findingsOf(withWires(reachIn(), 'ST.no>N'));
    for (const f of findings) for (const n of Object.values(f.numbers)) expect(Number.isFinite(n)).toBe(true);
  });

  test('a control that chatters onto a short blows the fuse instead of chattering for ever', () => {
    const codes = findingsOf(withWires(freezer(), 'K2.no>N')).map((f) => f.code);
    expect(codes).toEqual(expect.arrayContaining(['shortCircuit', 'fuseBlows']));
  });

  test('loops of closed contacts change nothing and end', () => {
    const looped = withWires(
      { ...reachIn(), parts: [...reachIn().parts, contact('KA', 'compressor'), contact('KB', 'compressor')] },
      'ST.com>KA.com KA.no>KB.com KB.no>ST.com',
    );
    expect(findingsOf(looped).map((f) => f.code)).toEqual([]);
  });
});

describe('safety switches through a change', () => {
  test('a limit that was moved to another place in the line still counts', () => {
    const moved = withWires(
      ['K3.no-HL.a', 'HL.b-H1.1', 'H1.2-N'].reduce(withoutWire, freezer()),
      'K3.no>H1.1 H1.2>HL.a HL.b>N',
    );
    expect(findingsOf(moved, freezer())).toEqual([]);
  });

  test('a limit in the coil of a contactor protects the load behind it', () => {
    const plan = circuit(
      single,
      [
        fuse('F1', 25),
        contact('K3', 'defrost'),
        switchPart('HL', ['off', 'defrost'], true),
        {
          id: 'C1',
          kind: 'contactor',
          coil: ['A1', 'A2'],
          coilOhms: 1800,
          coilVolts: 120,
          poles: [['1', '2']],
        },
        load('H1', 'defrostHeater', 1100, 120),
      ],
      'L1>F1.a F1.b>K3.com K3.no>HL.a HL.b>C1.A1 C1.A2>N F1.b>C1.1 C1.2>H1.1 H1.2>N',
      { off: [], defrost: ['defrost'] },
    );
    expect(findingsOf(plan, freezer()).filter((f) => f.parts.includes('HL'))).toEqual([]);
  });

  test('a limit that is left out altogether is missed', () => {
    const bare = withWires(['K3.no-HL.a', 'HL.b-H1.1'].reduce(withoutWire, freezer()), 'K3.no>H1.1');
    expect(findingsOf(bare, freezer()).map((f) => [f.code, ...f.parts])).toContainEqual([
      'safetyBypassed',
      'H1',
      'HL',
    ]);
  });
});

test('behind a fuse that blows nothing else is reported: no load that hangs on no supply, none that never works', () => {
  const circuit = withPart(reachIn(), 'F1', { amps: 0.2 });
  const codes = findingsOf(circuit).map((f) => f.code);
  expect(codes).toContain('fuseBlows');
  expect(codes).not.toContain('floatingLoad');
  expect(codes).not.toContain('neverOn');
});
