import { describe, expect, test } from '@jest/globals';
import { readFileSync } from 'node:fs';
import { baseValue, isQuantity } from '../src/foundation/quantities/index.ts';
import { switchingBand } from '../src/foundation/regulation/index.ts';
import type { SettingValues } from '../src/foundation/settings/index.ts';
import type { UnitDescription } from '../src/foundation/unit/index.ts';
import { bandOf } from '../src/machines/box/index.ts';
import { runCondenser } from '../src/machines/condenser/index.ts';
import { plantKindOf, simulate } from '../src/machines/simulation/index.ts';
import { fit, needsOf } from '../src/judgement/fit/index.ts';
import { plan, valuesOf } from '../src/judgement/plan/index.ts';
import { unitScenario } from '../src/judgement/tuning/index.ts';
import { condenserDay, foundIn, judgement, seenOf } from '../src/judgement/verdict/index.ts';
import { commissioningTests } from '../src/judgement/commissioning/index.ts';
import { encode } from '../src/controllers/translate/index.ts';
import { withImplied } from '../src/controllers/builtIn/index.ts';
import { asOneRelayFans } from '../src/judgement/condenserFans/index.ts';
import { programOf } from '../src/record/job/program.ts';
import { wiringOf } from '../src/record/job/wiring.ts';
import { fold } from '../src/record/fold/index.ts';
import { acceptedInOrder } from '../testing/entries.ts';
import { families, family } from '../testing/families.ts';
import { coldKinds, unitsOf } from '../testing/everyUnit.ts';
import type { EntryBody } from '../src/record/entries/index.ts';

interface DemoJob {
  readonly key: string;
  readonly title: string;
  readonly entries: readonly EntryBody[];
}
const { jobs } = JSON.parse(readFileSync(new URL('../../demo/saltmarsh.json', import.meta.url), 'utf8')) as {
  readonly jobs: readonly DemoJob[];
};

/** Everything the stations of a job show, from its entries. */
function stationsOf(job: DemoJob) {
  const role = (name: string) =>
    job.entries.findLast((e) => e.kind === 'control' && e.role === name) as
      { readonly controller: string | null } | undefined;
  const [old, replacement] = ['old', 'new'].map((name) => {
    const id = role(name)?.controller ?? null;
    return id === null ? null : family(id);
  });
  const state = fold(acceptedInOrder(job.entries));
  const program = programOf({
    state,
    name: job.title,
    old: old ?? null,
    replacement: replacement ?? null,
    companyDefaults: {},
  });
  return {
    state,
    program,
    replacement: replacement ?? null,
    wiring: wiringOf(state, program.unit, replacement ?? null),
  };
}

/** Forecast and judgement of one unit, each as its page makes it. */
function forecastBeside(unit: UnitDescription, values: SettingValues) {
  const { findings, day } = judgement({ unit, values, remedies: false });
  const ofTheRun = findings.filter((f) => f.by === 'run' && f.code !== 'stopOnProbeFailure');
  if (unit.application === 'condenserFans') {
    const run = condenserDay(unit, values);
    const shown = run && runCondenser(run);
    expect(day?.startsPerHour ?? null).toBe(shown ? Math.max(0, ...shown.figures.fanStarts) / 24 : null);
    expect(day?.dutyPercent ?? null).toBe(shown ? shown.figures.meanPercent : null);
    return;
  }
  const scenario = unitScenario(unit, values);
  if (typeof scenario === 'string') return expect(day).toBeNull();
  // What the Forecast draws: the same scenario, every second, with its samples.
  const shown = simulate(scenario, { stride: 1, sampleEvery: 30 })!;
  const f = shown.figures;
  expect(day).toMatchObject({
    startsPerHour: f.startsPerHour,
    dutyPercent: f.dutyPercent,
    airMin: f.air.min,
    airMax: f.air.max,
    productMax: f.product.max,
    alarms: Object.values(f.alarms).reduce((a, b) => a + b, 0),
  });
  const machine = plantKindOf(scenario);
  const said = foundIn({ machine, seen: seenOf(unit, values, scenario, shown, 'degC') });
  expect(said.map((s) => s.code)).toEqual(
    ofTheRun.map((s) => s.code).toSorted(byOrderOf(said.map((s) => s.code))),
  );
  for (const one of said)
    expect(ofTheRun.find((other) => other.code === one.code)!.numbers).toEqual(one.numbers);
  // The band on the rule is the band of the machine.
  const band = switchingBand(values);
  if (band && values['transport.runMode'] === undefined) {
    const own = bandOf(scenario.config.stage, scenario.config.setpoint);
    expect(band.cutIn).toBeCloseTo(own.cutIn, 9);
    expect(band.cutOut).toBeCloseTo(own.cutOut, 9);
  }
}
const byOrderOf = (order: readonly string[]) => (a: string, b: string) => order.indexOf(a) - order.indexOf(b);

/** Two hundred ordinary units, every so many of all there are. */
const all = coldKinds.flatMap(unitsOf);
const generated = all.filter((_, i) => i % Math.ceil(all.length / 200) === 0);

// Oracle: each station's own numbers, held against each other; nothing is said of what they should be.
describe('one number of one thing: judgement, forecast and rule', () => {
  test(`${generated.length} generated units`, () => {
    expect(generated.length).toBeGreaterThan(150);
    for (const unit of generated) forecastBeside(unit, valuesOf(plan(unit)));
  });

  test.each(jobs.map((job) => [job.key, job] as const))('demo job %s', (_, job) => {
    const { program } = stationsOf(job);
    if (program.unit && Object.keys(program.inForce).length > 0)
      forecastBeside(program.unit, program.inForce);
  });
});

describe('what has no place in a control: Fit and Program count alike', () => {
  test.each(['walkInCooler', 'walkInFreezer', 'condenserFans', 'merchandiser'] as const)('%s', (kind) => {
    const unit = unitsOf(kind)[0]!;
    const needs = needsOf(unit, []);
    for (const one of fit(needs, [...families.values()])) {
      if (one.verdict === 'cannot') continue;
      const definition = withImplied(family(one.id), { 'defrost.method': unit.defrostMethod });
      const written = encode(asOneRelayFans(valuesOf(plan(unit)), unit, definition), definition);
      const lost = new Set([...one.lost.map((l) => l.setting), ...one.notStated]);
      expect([one.id, [...lost].toSorted()]).toEqual([
        one.id,
        [...new Set(written.lost.map((l) => l.setting))].toSorted(),
      ]);
    }
  });
});

describe('supply and amps: Wire and Prove', () => {
  const wired = jobs
    .map((job) => [job.key, stationsOf(job)] as const)
    .filter(([, s]) => s.wiring.plan !== null && s.replacement !== null);

  test.each(wired)('demo job %s measures what its circuit feeds', (_, { program, wiring, replacement }) => {
    const list = commissioningTests({
      unit: program.unit!,
      control: replacement!,
      values: program.inForce,
      loads: wiring.loads.map((l) => l.what),
      circuit: wiring.plan!.circuit,
      predicted: null,
      display: 'degC',
    });
    if (typeof list === 'string') return;
    const order = list.find((t) => t.id === 'power.order');
    const said = /(\d+) V between/.exec(order?.how.join(' ') ?? '')?.[1];
    if (said === undefined) return;
    const offered = wiring.plan!.circuit.supplies.map((s) => Math.abs(s.volts));
    // Between two hots of a split or three-phase supply stands more than either: up to twice.
    const most = Math.max(...offered);
    expect(Number(said)).toBeGreaterThan(0.85 * Math.min(...offered.filter((v) => v > 0), most));
    expect(Number(said)).toBeLessThanOrEqual(Math.ceil(2 * most));
    const rated = wiring.plan!.circuit.parts.find((p) => p.kind === 'control');
    if (rated?.kind === 'control') expect(Math.abs(Number(said) / rated.ratedVolts - 1)).toBeLessThan(0.2);
  });

  test('a circuit begins from the supply that the survey states', () => {
    const answers = [
      ['application', 'reachInRefrigerator'],
      ['goods', 'drinks'],
      ['defrostMethod', 'offCycle'],
      ['probes', ['air']],
      ['supply', '230 V, 50 Hz'],
    ].map(([question, value]) => ({ kind: 'answer', question, value }) as EntryBody);
    const job = {
      key: 'own',
      title: 'Own unit',
      entries: [...answers, { kind: 'startedFrom', conversion: 'two-wire-thermostat' } as EntryBody],
    };
    const { program, wiring } = stationsOf(job);
    expect(program.unit!.supply).toEqual({ volts: 230 });
    expect(Math.max(...wiring.found!.supplies.map((s) => s.volts))).toBe(230);
    expect(wiring.needs!.volts).toEqual([230]);
  });
});

test.each(['rackSolenoid', 'pumpDown'] as const)(
  'a cooling relay on a valve (%s) begins with the valve, and is told the same in Wire, Fit and Program',
  (duty) => {
    const answers = Object.entries({
      application: 'walkInCooler',
      goods: 'drinks',
      defrostMethod: 'offCycle',
      probes: ['air'],
      compressor: duty,
    }).map(([question, value]) => ({ kind: 'answer', question, value }) as EntryBody);
    const { wiring } = stationsOf({
      key: 'own',
      title: 'Own unit',
      entries: [
        ...answers,
        { kind: 'startedFrom', conversion: 'two-wire-thermostat' } as EntryBody,
        { kind: 'control', role: 'new', controller: 'taing-s' } as unknown as EntryBody,
      ],
    });
    const loads = wiring.found!.parts.flatMap((part) => (part.kind === 'load' ? [part.role] : []));
    expect(loads).toContain('solenoid');
    expect(loads).not.toContain('compressor');
    const cooling = wiring.needs!.outputs.find(({ output }) => output === 'compressor')!;
    expect(cooling.demand!.amps).toBeCloseTo(12 / 120, 6);
    // A coil of a tenth of an ampere needs no contactor.
    expect(wiring.fit!.gaps.filter((gap) => gap.bridge?.kind === 'contactor')).toEqual([]);
    expect(wiring.plan).not.toBeNull();
  },
);

test('the user’s range and the set point are one: planned ranges hold the set point and are never empty', () => {
  for (const unit of generated) {
    const values = valuesOf(plan(unit));
    const [point, min, max] = (
      ['regulation.setpoint', 'regulation.setpointMin', 'regulation.setpointMax'] as const
    ).map((id) => values[id]);
    if (!isQuantity(point) || !isQuantity(min) || !isQuantity(max)) continue;
    expect(baseValue(min)).toBeLessThanOrEqual(baseValue(point));
    expect(baseValue(max)).toBeGreaterThanOrEqual(baseValue(point));
  }
});
