import { describe, expect, test } from '@jest/globals';
import {
  battery,
  circuit,
  contact,
  typical,
  fuse,
  load,
  reachIn,
  single,
  switchPart,
  threePhase,
  withPart,
  withWires,
} from '../../../testing/circuits.ts';
import { families, family } from '../../../testing/families.ts';
import { isFileProblem } from '../../foundation/files/index.ts';
import { wireIds, type Circuit } from '../circuit/circuit.ts';
import { readCircuit } from '../circuit/readCircuit.ts';
import { findingsOf } from '../findings/findings.ts';
import { isEnergised } from '../report/report.ts';
import { isSettled, networkOf, statesOf } from '../solver/index.ts';
import { convert } from './convert.ts';

/** Each typical conversion with the control of its demo job. */
const conversions = [
  ['two-wire-thermostat', 'tarn-1'],
  ['cold-control-bridged', 'brae-c'],
  ['vehicle-fridge', 'wick-12'],
  ['timer-and-thermostat', 'marl-4'],
  ['condenser-fan-cycling', 'tarn-1'],
  ['two-outlet-plug-in', 'voe-duo'],
] as const;

const on = (c: Circuit, state: string) => {
  const network = networkOf(c);
  const settled = statesOf(network)
    .filter(isSettled)
    .find((s) => s.asked.state === state)!;
  return new Set(
    network.parts
      .filter((p) => p.part.kind === 'load' && isEnergised(settled, p.index))
      .map((p) => p.part.id),
  );
};
const change = (plan: ReturnType<typeof convert>, kind: string) =>
  plan.circuit.wires.filter((w) => w.change === kind);

describe.each(conversions)('%s with %s', (name, id) => {
  const found = typical(name);
  const plan = convert(found, family(id));

  test('is a circuit that can be read, solved, and that raises nothing', () => {
    expect(isFileProblem(readCircuit(JSON.parse(JSON.stringify(plan.circuit))))).toBe(false);
    expect(plan.problems).toEqual([]);
    expect(plan.findings).toEqual([]);
  });

  test('works the compressor or fans in cooling and nothing else that it did not', () => {
    const before = on(found, 'cooling');
    const after = on(plan.circuit, 'cooling');
    for (const id of before) if (plan.circuit.parts.some((p) => p.id === id)) expect(after).toContain(id);
  });

  // Oracle: conservation. Every wire as found is kept, moved or removed, once.
  test('accounts for every wire as found', () => {
    const was = plan.circuit.wires.flatMap((w) =>
      w.change === 'kept'
        ? [`${w.from}-${w.to}`]
        : w.change === 'moved'
          ? [`${w.was!.from}-${w.was!.to}`]
          : [],
    );
    const internal = found.wires.filter((w) => w.internal).map((w) => `${w.from}-${w.to}`);
    const removed = plan.removed.map((w) => `${w.from}-${w.to}`);
    expect([...was, ...removed, ...internal].filter((x, i, all) => all.indexOf(x) === i).sort()).toEqual(
      [...new Set(found.wires.map((w) => `${w.from}-${w.to}`))].sort(),
    );
  });

  test('keeps every safety switch wired at both ends', () => {
    for (const part of found.parts.filter((p) => p.kind === 'switch' && p.safety)) {
      expect(plan.circuit.parts).toContainEqual(expect.objectContaining({ id: part.id }));
      for (const t of ['a', 'b'])
        expect(
          plan.circuit.wires.some((w) => w.from === `${part.id}.${t}` || w.to === `${part.id}.${t}`),
        ).toBe(true);
    }
  });

  test('leaves the circuit as found untouched', () => expect(found).toEqual(typical(name)));

  test('says of every new wire its colour, strip length and purpose', () => {
    for (const wire of [...change(plan, 'new'), ...change(plan, 'jumper')]) {
      expect(wire.colour).toBeTruthy();
      expect(wire.stripMm).toBe(6);
      expect(wire.purpose).toBeTruthy();
    }
  });
});

describe('the defrost timer and thermostat become one control', () => {
  const found = typical('timer-and-thermostat');
  const plan = convert(found, family('marl-4'));

  test('the heater keeps its limit in series; taking it out raises safetyBypassed', () => {
    expect(plan.findings).toEqual([]);
    const bypassed = withWires(plan.circuit, 'HL.a>HL.b');
    expect(findingsOf(bypassed, found).map((f) => [f.code, ...f.parts])).toContainEqual([
      'safetyBypassed',
      'H1',
      'HL',
    ]);
  });

  test('the high-pressure cut-out keeps the compressor', () => {
    const bypassed = withWires(plan.circuit, 'HP.a>HP.b');
    expect(findingsOf(bypassed, found).map((f) => [f.code, ...f.parts])).toContainEqual([
      'safetyBypassed',
      'M1',
      'HP',
    ]);
  });

  test('208 V goes to the terminals for 208 V', () => {
    expect(plan.supply!.volts).toBeCloseTo(207.846, 2);
    expect([...plan.supply!.terminals].sort()).toEqual(['p1', 'p3']);
  });

  test('three dry commons are jumpered, the timer comes out with its motor', () => {
    expect(
      change(plan, 'jumper')
        .map((w) => w.to)
        .sort(),
    ).toEqual(['K1.com', 'K2.com', 'K3.com']);
    expect(plan.gone.map((p) => p.id).sort()).toEqual(['ST', 'TM', 'TMM']);
  });

  test('the fan stands still in defrost, the heater works', () => {
    expect(on(plan.circuit, 'defrost')).toEqual(new Set(['H1']));
  });
});

describe('where the supply is tapped', () => {
  // Common practice: tap the unswitched side, or the control goes dead when the switch opens.
  test('the control of the condenser fans hangs before the interlock, the fans behind it', () => {
    const plan = convert(typical('condenser-fan-cycling'), family('tarn-1'));
    expect(change(plan, 'new').map((w) => [w.from, w.to])).toContainEqual(['IK.a', 'U1.B']);
    expect(plan.circuit.wires.some((w) => w.from === 'IK.b' && w.to === 'K-K.com')).toBe(true);
  });
});

test('three phases straight on an old contact are left to a person', () => {
  const direct = circuit(
    threePhase,
    [
      fuse('F1', 20),
      { ...contact('ST', 'compressor'), old: true },
      load('M1', 'compressor', 3000, 208, { terminals: ['U', 'V', 'W'] }),
    ],
    'L1>F1.a F1.b>ST.com ST.no>M1.U L2>M1.V L3>M1.W',
    { off: [], cooling: ['compressor'] },
  );
  expect(convert(direct, family('skerry-dx')).problems.join()).toMatch(/three poles by hand/);
});

describe('an old contact on the return side', () => {
  test('of a battery is never planned with plus and minus exchanged', () => {
    const minus = circuit(
      battery,
      [fuse('F1', 15), { ...contact('ST', 'compressor'), old: true }, load('M1', 'compressor', 54, 12)],
      'B+>F1.a F1.b>M1.1 M1.2>ST.no ST.com>B-',
      { off: [], cooling: ['compressor'] },
    );
    const plan = convert(minus, family('wick-12'));
    expect(plan.problems.join()).toMatch(/switches the minus/);
    expect(plan.circuit.wires.some((w) => [w.from, w.to].includes('U1.+'))).toBe(false);
  });

  test('of mains is told: the loads stay under voltage', () => {
    const neutral = circuit(
      single,
      [fuse('F1', 15), { ...contact('ST', 'compressor'), old: true }, load('M1', 'compressor', 500, 120)],
      'L1>F1.a F1.b>M1.1 M1.2>ST.no ST.com>N',
      { off: [], cooling: ['compressor'] },
    );
    expect(convert(neutral, family('brae-c')).notes.join()).toMatch(/stay under voltage/);
  });
});

test('the two wires of a vehicle fridge’s thermostat carry the probe, and nothing else', () => {
  const plan = convert(typical('vehicle-fridge'), family('wick-12'));
  const probe = plan.circuit.wires.filter((w) => w.from.startsWith('P1.') || w.to.startsWith('P1.'));
  expect(probe.map((w) => w.change)).toEqual(['moved', 'moved']);
  expect(probe.map((w) => [w.was!.from, w.was!.to])).toEqual([
    ['EC.C', 'ST.com'],
    ['ST.no', 'EU.T'],
  ]);
});

test('a cold control that stays is bridged', () => {
  const plan = convert(typical('cold-control-bridged'), family('brae-c'));
  expect(change(plan, 'jumper').map((w) => [w.from, w.to])).toContainEqual(['ST.com', 'ST.no']);
  expect(plan.notes.join(' ')).toMatch(/Seal the hole.*Strap the new control/);
  expect(plan.gone).toEqual([]);
});

describe('a relay that is too weak', () => {
  const big = withPart(withPart(reachIn(), 'ST', { old: true }), 'M1', {
    watts: 1300,
    amps: 13,
    lockedRotorAmps: 70,
  });

  test('gets a contactor between, whose pole carries the load', () => {
    const plan = convert(withPart(big, 'F1', { amps: 25 }), family('brae-c'));
    expect(plan.relays[0]!.contactor).toMatchObject({ id: 'C1' });
    expect(plan.relays[0]!.contactor!.frameAmps).toBeGreaterThanOrEqual(13 * 1.25);
    expect(plan.findings).toEqual([]);
    expect(on(plan.circuit, 'cooling')).toContain('M1');
    expect(on(plan.circuit, 'off')).not.toContain('M1');
  });

  test('a small load needs none', () => {
    expect(
      convert(withPart(reachIn(), 'ST', { old: true }), family('brae-c')).relays[0]!.contactor,
    ).toBeNull();
  });
});

describe('a supply that does not suit', () => {
  test('12 V batteries are not offered a 120 V control', () => {
    const plan = convert(typical('vehicle-fridge'), family('tarn-1'));
    expect(plan.problems.join()).toMatch(/cannot run on this supply/);
  });

  test('a control for 24 V gets a transformer, and works', () => {
    const low = { ...family('tarn-1'), supply: [{ volts: 24, kind: 'ac' as const, terminals: ['A', 'C'] }] };
    const plan = convert(withPart(reachIn(), 'ST', { old: true }), low);
    expect(plan.circuit.parts.some((p) => p.kind === 'transformer')).toBe(true);
    expect(plan.problems).toEqual([]);
    expect(on(plan.circuit, 'cooling')).toContain('M1');
  });
});

test('a circuit nobody has traced yet says what to trace first', () => {
  const untraced = circuit(
    single,
    [fuse('F1', 15), load('M1', 'compressor', 500, 120), switchPart('S', ['off'])],
    'L1>F1.a',
    {
      off: [],
    },
  );
  expect(convert(untraced, family('tarn-1')).problems.join()).toMatch(/trace/i);
});

test('a fan on the thermostat’s lead is parted from the compressor where it begins', () => {
  const shared = circuit(
    single,
    [
      fuse('F1', 20),
      { ...contact('ST', 'compressor'), old: true },
      load('M1', 'compressor', 500, 120),
      load('M2', 'evaporatorFan', 60, 120),
    ],
    'L1>F1.a F1.b>ST.com ST.no>M1.1 M1.1>M2.1 M1.2>N M2.2>N',
    { off: [], cooling: ['compressor'], defrost: [] },
  );
  const plan = convert(
    shared,
    family('skerry-dx').supply
      ? { ...family('skerry-dx'), supply: [{ volts: 120, kind: 'ac', terminals: ['1', '2'] }] }
      : family('skerry-dx'),
  );
  expect(plan.findings).toEqual([]);
  expect(plan.relays.map((r) => [r.output, r.works])).toEqual([
    ['compressor', ['M1']],
    ['fan', ['M2']],
  ]);
});

// Property: whatever control is put on whatever conversion, no plan bypasses a safety switch, loses a wire end, or throws.
test.each(conversions.map(([name]) => name))(
  'no control of the library makes an unsafe plan of %s',
  (name) => {
    const found = typical(name);
    for (const definition of families.values()) {
      const plan = convert(found, definition);
      expect([
        definition.id,
        plan.findings.filter((f) => f.code === 'safetyBypassed' || f.code === 'shortCircuit'),
      ]).toEqual([definition.id, []]);
      expect(new Set(wireIds(plan.circuit.wires)).size).toBe(plan.circuit.wires.length);
      expect(isFileProblem(readCircuit(JSON.parse(JSON.stringify(plan.circuit))))).toBe(false);
    }
  },
);
