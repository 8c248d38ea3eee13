import { describe, expect, test } from '@jest/globals';
import { readUnit, type UnitDescription } from '../../foundation/unit/index.ts';
import { isFileProblem } from '../../foundation/files/index.ts';
import { typical } from '../../../testing/circuits.ts';
import { families, family, withoutCodes } from '../../../testing/families.ts';
import type { ControllerDefinition } from '../../controllers/definitions/index.ts';
import { fit } from './fit.ts';
import { plainUnit } from '../../../testing/units.ts';
import { needsOf, readLoads, type UnitLoad } from './needs.ts';

function unit(fields: object = {}): UnitDescription {
  const read = readUnit({
    format: 'brine-dial/unit@1',
    application: 'walkInFreezer',
    goods: 'frozenFood',
    defrostMethod: 'electric',
    probes: ['air', 'coil'],
    supply: { volts: 120, kind: 'ac' },
    ...fields,
  });
  if (isFileProblem(read)) throw new Error(read.message);
  return read;
}
function fitted(fields: object, library: readonly ControllerDefinition[] = [...families.values()]) {
  const described = unit(fields);
  const loads = readLoads(described);
  if (isFileProblem(loads)) throw new Error(loads.message);
  return fit(needsOf(described, loads), library);
}
const one = (fields: object, id: string, change: object = {}) =>
  fitted(fields, [{ ...family(id), ...change } as ControllerDefinition])[0]!;
const bridges = (f: ReturnType<typeof one>) => f.gaps.map((g) => g.bridge?.kind ?? 'cannot');

describe('a control that somebody wrote down', () => {
  const { supply: _s, relays: _r, probes: _p, fixed: _f, ...bare } = family('marl-4');

  test('what was not stated is asked, never taken for missing', () => {
    const found = fitted({}, [bare])[0]!;
    expect(found.verdict).toBe('bridged');
    expect(found.gaps.filter((gap) => gap.bridge?.kind === 'ask').map((gap) => gap.need)).toEqual([
      'supply',
      'relays',
      'probes',
    ]);
    expect(found.gaps.every((gap) => gap.lacks.startsWith('not stated') || gap.bridge !== null)).toBe(true);
  });

  test('what it is said to lack it lacks', () => {
    const none = fitted({}, [{ ...bare, relays: [], probes: [] }])[0]!;
    expect(none.verdict).toBe('cannot');
    expect(none.gaps.map((gap) => gap.lacks)).toContain('has no relay for compressor');
  });

  test('what its codes imply counts as built in: the unit’s defrost is not lost', () => {
    const { supply, relays, probes } = family('marl-4');
    const own = fitted({}, [{ ...bare, supply, relays, probes } as ControllerDefinition])[0]!;
    expect(own.lost.map((l) => l.setting)).not.toContain('defrost.initiation');
    expect(own.lost.map((l) => l.setting)).not.toContain('defrost.method');
  });

  test('what nobody stated is neither held nor lost, as in the program of a job', () => {
    const { supply, relays, probes } = family('marl-4');
    const own = fitted({}, [
      withoutCodes({ ...bare, supply, relays, probes } as ControllerDefinition, 'compressor'),
    ])[0]!;
    expect(own.notStated).toEqual(['compressor.onProbeFault']);
    expect(own.lost.map((l) => l.setting)).not.toContain('compressor.onProbeFault');
  });
});

describe('ranking', () => {
  test('is complete, numbered from 1, and puts what cannot be done last', () => {
    const all = fitted({});
    expect(all.map((f) => f.rank)).toEqual(all.map((_, i) => i + 1));
    expect(new Set(all.map((f) => f.id))).toEqual(new Set(families.keys()));
    const firstCannot = all.findIndex((f) => f.verdict === 'cannot');
    expect(all.slice(firstCannot).every((f) => f.verdict === 'cannot')).toBe(true);
  });

  test('a control that lacks nothing stands before one that needs a contactor', () => {
    const fields = {
      loads: [
        { role: 'compressor', watts: 700, volts: 120 },
        { role: 'defrostHeater', watts: 1000, volts: 120 },
        { role: 'evaporatorFan', watts: 60, volts: 120 },
      ],
    };
    const weak = {
      ...family('brae-f'),
      id: 'weak',
      family: 'Weak',
      relays: family('brae-f').relays!.map((r) => ({ ...r, ratings: { resistiveAmps: 2 } })),
    };
    const order = fitted(fields, [weak, family('brae-f')]).map((f) => [f.id, f.verdict]);
    expect(order).toEqual([
      ['brae-f', 'fits'],
      ['weak', 'bridged'],
    ]);
  });
});

describe('gaps and what bridges them', () => {
  test('dry commons want jumpers, and that alone still fits', () => {
    const f = one({}, 'brae-f');
    expect(bridges(f)).toEqual(['jumper']);
    expect(f.verdict).toBe('fits');
    expect(f.gaps[0]!.bridge!.words).toMatch(/3 jumpers.*C1, D1, F1/);
  });

  // Oracle: the ratings of the definition. 20 A on a relay for 16 A; 9 A of motor on 8 A; 60 A at the start on 40 A.
  test.each([
    [{ role: 'compressor', amps: 20, volts: 120 }, /20 A on a contact for 16 A/],
    [{ role: 'compressor', amps: 9, volts: 120 }, /a motor of 9\.0 A on a contact for 8\.0 A/],
    [
      { role: 'compressor', amps: 7, volts: 120, lockedRotorAmps: 60 },
      /60 A at the start on a contact for 40 A/,
    ],
  ])('a load of %j is too much: a contactor with its coil', (load, words) => {
    const f = one({ loads: [load] }, 'brae-f');
    const gap = f.gaps.find((g) => g.bridge?.kind === 'contactor')!;
    expect(gap.lacks).toMatch(words);
    expect(gap.bridge!.coil).toEqual({ volts: 120, amps: 0.067 });
    expect(gap.bridge!.frameAmps).toBeGreaterThanOrEqual((load.amps as number) * 1.25);
  });

  test('a resistive load may use the whole resistive rating', () => {
    const f = one(
      {
        loads: [
          { role: 'defrostHeater', watts: 1400, volts: 120 },
          { role: 'compressor', amps: 5, volts: 120 },
        ],
      },
      'brae-f',
    );
    expect(bridges(f)).toEqual(['jumper']);
  });

  test('three phases want a contactor whatever the amps', () => {
    const f = one({ loads: [{ role: 'compressor', watts: 900, volts: 120, phases: 3 }] }, 'brae-f');
    expect(bridges(f)).toContain('contactor');
  });

  test('no defrost relay for an electric defrost cannot be bridged', () => {
    expect(one({}, 'tarn-1').verdict).toBe('cannot');
  });

  test('a missing fan relay: always on where air melts the frost, the break contact where a heater does', () => {
    expect(
      bridges(
        one(
          { application: 'walkInCooler', goods: 'dairy', defrostMethod: 'offCycle', probes: ['air'] },
          'tarn-1',
        ),
      ),
    ).toContain('leaveAlwaysOn');
    const relays = family('brae-f').relays!.filter((r) => r.drives !== 'fan');
    expect(bridges(one({}, 'brae-f', { relays }))).toContain('breakContact');
    const dry = relays.map((r) => ({ ...r, terminals: { ...r.terminals, normallyClosed: undefined } }));
    expect(bridges(one({}, 'brae-f', { relays: dry }))).toContain('otherRelay');
  });

  test.each([
    // As Wire plans it: one feed, one lock-out.
    [{ volts: 208, kind: 'ac' }, 'transformer'],
    [{ volts: 12, kind: 'dc' }, 'cannot'],
  ])('a supply of %j for a control of 120 V: %s', (supply, bridge) => {
    expect(bridges(one({ supply }, 'brae-f'))).toContain(bridge);
  });

  test('24 V controls get a transformer', () => {
    expect(
      bridges(one({}, 'brae-f', { supply: [{ volts: 24, kind: 'ac', terminals: ['1', '2'] }] })),
    ).toContain('transformer');
  });

  test('a missing coil input leaves time alone to end the defrost', () => {
    expect(bridges(one({}, 'brae-f', { probes: family('brae-f').probes!.slice(0, 1) }))).toContain(
      'timeOnly',
    );
  });

  test('probes of another type are exchanged', () => {
    expect(bridges(one({ probeTypes: ['ptc1k'] }, 'brae-f'))).toContain('probeExchange');
    expect(bridges(one({ probeTypes: ['ntc10k'] }, 'brae-f'))).not.toContain('probeExchange');
  });

  test('a door contact without an input goes into the fan line', () => {
    expect(bridges(one({ doorContact: true }, 'brae-f'))).not.toContain('doorInFanLine');
    expect(bridges(one({ doorContact: true }, 'brae-f', { inputs: [] }))).toContain('doorInFanLine');
  });

  test('what only cools cannot heat', () => {
    expect(
      one({ application: 'hotCupboard', goods: 'hotFood', defrostMethod: 'none', probes: ['air'] }, 'brae-f')
        .verdict,
    ).toBe('cannot');
  });
});

describe('machines want a control that was made for them', () => {
  const machine = (fields: object) =>
    fitted({ goods: 'nothing', defrostMethod: 'none', ...fields }).filter((f) => f.verdict !== 'cannot');

  test.each([
    [
      { application: 'heatMeter', probes: ['supply', 'return'], supply: { volts: 24, kind: 'ac' } },
      'sluice-h',
    ],
    [{ application: 'heatMeter', probes: ['supply', 'return'] }, 'sluice-h'],
    [
      {
        application: 'transportUnit',
        goods: 'dairy',
        defrostMethod: 'hotGas',
        supply: { volts: 12, kind: 'dc' },
      },
      'corrie-haul',
    ],
  ])('%j', (fields, id) => expect(machine(fields).map((f) => f.id)).toEqual([id]));

  test('fans that a thermostat switched are fans to a control made for them', () => {
    const described = unit({ application: 'condenserFans', goods: 'nothing', probes: ['liquid'] });
    const needs = needsOf(described, [], typical('condenser-fan-cycling'));
    expect(needs.outputs.map((o) => o.output)).toEqual(['condenserFan']);
    expect(fit(needs, [family('firth-rack')])[0]!.verdict).toBe('fits');
  });
});

test('with the circuit as found, a compressor behind a contactor asks only for its coil', () => {
  const needs = needsOf(unit({ supply: undefined }), [], typical('timer-and-thermostat'));
  // Oracle: the coil of 3000 Ω on 208 V, 0.069 A; the heater of 1850 W on 208 V, 8.89 A.
  expect(needs.outputs.find((o) => o.output === 'compressor')!.demand!.amps).toBeCloseTo(208 / 3000, 4);
  expect(needs.outputs.find((o) => o.output === 'defrost')!.demand!.amps).toBeCloseTo(1850 / 208, 4);
  expect(needs.volts).toEqual([208]);
});

describe('loads of a unit file', () => {
  test('take numbers and quantities', () => {
    expect(
      readLoads(unit({ loads: [{ role: 'compressor', watts: { value: 900, unit: 'W' }, volts: 120 }] })),
    ).toEqual([{ role: 'compressor', watts: 900, volts: 120 }]);
  });
  test.each([
    [{}, 'loads'],
    [[{ watts: 900 }], 'loads[0].role'],
    [[{ role: 'compressor' }], 'loads[0]'],
    [[{ role: 'compressor', watts: -1 }], 'loads[0].watts'],
  ])('%j is refused with its place', (loads, field) => {
    const read = readLoads(unit({ loads }));
    expect(isFileProblem(read) && read.field).toBe(field);
  });
});

describe('a set point beyond what a control can be set to', () => {
  const holds = (max: number) => {
    const marl = family('marl-4');
    return {
      parameters: marl.parameters.map((p) =>
        p.setting === 'regulation.setpoint' && p.encoding.type === 'number'
          ? {
              ...p,
              encoding: { ...p.encoding, min: max - 40, max, default: max, rangeUnit: 'degC' as const },
            }
          : p,
      ),
    };
  };

  test('is said with both, and nothing bridges it', () => {
    // A freezer’s cut-out lies below −15 °C (common practice).
    const warm = one({}, 'marl-4', { parameters: holds(60).parameters });
    const gap = warm.gaps.find(({ need }) => need === 'set point')!;
    expect([warm.verdict, gap.bridge]).toEqual(['cannot', null]);
    expect(gap.lacks).toMatch(/^its set point ends at 20 °C; the plan needs −\d/);
  });

  test('within the range nothing is said', () => {
    expect(one({}, 'marl-4', holds(0)).gaps.some(({ need }) => need === 'set point')).toBe(false);
  });
});

test('naming the compressor takes nothing else away from what the control must do', () => {
  const unit = plainUnit('walkInFreezer');
  const outputs = (loads: readonly UnitLoad[]) => needsOf(unit, loads).outputs.map((o) => o.output);
  expect(outputs([])).toEqual(['compressor', 'defrost', 'fan']);
  expect(outputs([{ role: 'compressor', watts: 900, volts: 230 }])).toEqual(['compressor', 'defrost', 'fan']);
  expect(needsOf({ ...plainUnit('cellar'), heats: true }, []).outputs.map((o) => o.output)).toContain(
    'stage2',
  );
});
