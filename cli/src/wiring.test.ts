import { afterAll, describe, expect, test } from '@jest/globals';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { typicalConversion } from '@brine/core/wiring/typical';
import { run } from './run.ts';
import { root, Scratch } from '../testing/scratch.ts';

const scratch = new Scratch();
afterAll(() => scratch.remove());
const examples = join(root, 'docs/formats/examples');
const circuit = join(examples, 'wire/reach-in.circuit.json');
const readings = join(examples, 'wire/reach-in.readings.json');
const unit = join(examples, 'fish-store.unit.json');
const typicalFile = (id: string) =>
  scratch.file(`${id}.circuit.json`, JSON.stringify(typicalConversion(id)!.circuit));
const found = typicalFile('timer-and-thermostat');

function json(...argv: string[]) {
  const outcome = run(argv);
  expect(outcome).toMatchObject({ stderr: '', exitCode: 0 });
  return JSON.parse(outcome.stdout);
}
function refused(...argv: string[]): string {
  const outcome = run(argv);
  expect(outcome).toMatchObject({ stdout: '', exitCode: 2 });
  expect(outcome.stderr.trim().split('\n')).toHaveLength(1);
  return outcome.stderr;
}
// eslint-disable-next-line @typescript-eslint/no-explicit-any
function changed(change: (c: any) => void, from = circuit): string {
  const copy = JSON.parse(readFileSync(from, 'utf8'));
  change(copy);
  return scratch.file('changed.circuit.json', JSON.stringify(copy));
}

describe('wire', () => {
  test('prints every state with nodes and parts, what the meter reads, and no finding for a sound circuit', () => {
    const report = json('wire', circuit);
    expect(Object.keys(report.states)).toEqual(['off', 'cooling']);
    const { nodes, parts } = report.states.cooling;
    // Oracle: Ohm's law; 5.6 A of plate through the supply's 0.05 Ω leaves 119.7 V, in phase but for the motor's lag.
    expect(nodes.L1.volts).toBeGreaterThan(119.6);
    expect(nodes.L1.volts).toBeLessThan(119.8);
    expect(parts.M1).toMatchObject({ energised: true });
    expect(parts.M1.amps).toBeCloseTo(5.6, 1);
    expect(parts.F1.blown).toBe(false);
    expect(report.meter).toContainEqual(
      expect.objectContaining({ state: 'cooling', from: 'U1.A', to: 'U1.C' }),
    );
    for (const row of report.meter) expect(Number.isFinite(row.volts)).toBe(true);
    expect(report.findings).toEqual([]);
  });

  test('says what is missing', () => {
    const path = changed((c) => (c.wires = c.wires.filter((w: { change: string }) => w.change !== 'jumper')));
    expect(json('wire', path).findings.map((f: { code: string }) => f.code)).toContain('commonNotFed');
  });

  test('--as-found finds a safety switch that got lost', () => {
    const asFound = typicalFile('two-wire-thermostat');
    expect(json('wire', circuit, '--as-found', asFound).findings).toEqual([]);
    const path = changed((c) => c.wires.push({ from: 'OL.a', to: 'OL.b' }));
    expect(json('wire', path, '--as-found', asFound).findings.map((f: { code: string }) => f.code)).toEqual([
      'safetyBypassed',
    ]);
  });

  test.each<[string, Parameters<typeof changed>[0], RegExp]>([
    ['a wire to nowhere', (c) => (c.wires[0].to = 'X.1'), /wires\[0\]\.to: "X\.1" is nowhere/],
    ['two of one name', (c) => (c.parts[1].id = 'F1'), /parts\[1\]\.id: "F1" is there twice/],
  ])('%s is refused with file and field', (_what, change, message) => {
    expect(refused('wire', changed(change))).toMatch(message);
  });

  test('a circuit that never comes to rest is refused', () => {
    // The relay's own break contact feeds its coil: the buzzer.
    const buzzer = scratch.file(
      'buzzer.circuit.json',
      JSON.stringify({
        format: 'brine-dial/circuit@1',
        supplies: [
          { id: 'L1', volts: 120 },
          { id: 'N', volts: 0 },
        ],
        parts: [
          {
            id: 'C1',
            kind: 'contactor',
            coil: ['A1', 'A2'],
            coilOhms: 900,
            coilVolts: 120,
            poles: [['1', '2']],
            breaks: [['11', '12']],
          },
        ],
        wires: [
          { from: 'L1', to: 'C1.11' },
          { from: 'C1.12', to: 'C1.A1' },
          { from: 'C1.A2', to: 'N' },
        ],
        states: { off: [] },
      }),
    );
    expect(refused('wire', buzzer)).toMatch(/states\.off: C1 switch each other without end/);
  });
});

describe('diagnose', () => {
  test('the example: the jumper to the common is missing', () => {
    const { faults, next, fits } = json('diagnose', circuit, '--readings', readings);
    const jumper = JSON.parse(readFileSync(circuit, 'utf8')).wires.find(
      (w: { change: string }) => w.change === 'jumper',
    );
    expect(fits).toBe(true);
    expect(faults[0]).toMatchObject({
      rank: 1,
      explains: 3,
      of: 3,
      fault: { kind: 'openWire', wire: `${jumper.from}-${jumper.to}` },
    });
    expect(faults.filter((f: { rank: number }) => f.rank === 1)).toHaveLength(1);
    expect(next === null || Array.isArray(next.expect)).toBe(true);
    const ranks = faults.map((f: { rank: number }) => f.rank);
    expect([...ranks].sort((a, b) => a - b)).toEqual(ranks);
  });

  test('a reading at a place that is not there is refused', () => {
    const bad = scratch.file(
      'bad.readings.json',
      JSON.stringify({
        format: 'brine-dial/readings@1',
        readings: [{ state: 'cooling', through: 'M9', reads: { value: 1, unit: 'A' } }],
      }),
    );
    expect(refused('diagnose', circuit, '--readings', bad)).toMatch(/readings\[0\]\.through/);
  });
});

describe('fit', () => {
  test('ranks every control of the library for the fish store', () => {
    const { controls } = json('fit', '--unit', unit);
    expect(controls).toHaveLength(25);
    expect(controls[0]).toMatchObject({ rank: 1 });
    for (const c of controls)
      expect(c.verdict === 'cannot').toBe(c.gaps.some((g: { bridge: unknown }) => g.bridge === null));
  });

  test('with the circuit as found the contactor that is there takes the compressor', () => {
    const plain = json('fit', '--unit', unit).controls.find((c: { id: string }) => c.id === 'marl-4');
    const traced = json('fit', '--unit', unit, '--found', found).controls.find(
      (c: { id: string }) => c.id === 'marl-4',
    );
    expect(plain.gaps.some((g: { bridge: { kind: string } }) => g.bridge.kind === 'contactor')).toBe(true);
    expect(traced.verdict).toBe('fits');
  });

  test('a folder without definitions is refused', () => {
    expect(refused('fit', '--unit', unit, '--controllers', scratch.folder)).toMatch(/controller\.json/);
  });
});

describe('amps', () => {
  // Oracle: the closed form.
  test('one and three phases', () => {
    expect(json('amps', '--watts', '1800', '--volts', '240')).toEqual({ amps: 7.5, ohms: 32 });
    const { amps, ohms } = json('amps', '--watts', '1800', '--volts', '240', '--phases', '3');
    expect(amps).toBeCloseTo(4.3301, 4);
    expect(ohms).toBe(64);
  });
  test.each([
    [['--watts', '1800'], /--volts/],
    [['--watts', '-5', '--volts', '120'], /--watts: -5/],
    [['--watts', '5', '--volts', '120', '--phases', '2'], /--phases: 2: expected 1 or 3/],
  ])('%j is refused', (args, message) => expect(refused('amps', ...args)).toMatch(message));
});
