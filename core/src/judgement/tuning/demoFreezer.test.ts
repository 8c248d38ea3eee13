import { describe, expect, test } from '@jest/globals';
import { readFileSync } from 'node:fs';
import { plan, valuesOf } from '../plan/index.ts';
import { fold } from '../../record/fold/index.ts';
import { programOf } from '../../record/job/index.ts';
import type { EntryBody } from '../../record/entries/index.ts';
import { simulate } from '../../machines/simulation/index.ts';
import { acceptedInOrder } from '../../../testing/entries.ts';
import { family } from '../../../testing/families.ts';
import { unitScenario } from './unitScenario.ts';

const demo = new URL('../../../../demo/', import.meta.url);
interface DemoJob {
  readonly title: string;
  readonly unit: string;
  readonly entries: readonly (EntryBody & { readonly controller?: string })[];
}
const { jobs } = JSON.parse(readFileSync(new URL('saltmarsh.json', demo), 'utf8')) as {
  jobs: readonly DemoJob[];
};

/** The program of a demo job, from its entries as they stand in the demo data. */
function programOfJob(job: DemoJob) {
  const control = (role: 'old' | 'new') =>
    job.entries.findLast((e) => e.kind === 'control' && e.role === role)?.controller ?? null;
  const [old, replacement] = [control('old'), control('new')].map((id) => (id === null ? null : family(id)));
  return programOf({
    state: fold(acceptedInOrder(job.entries)),
    name: job.title,
    old: old!,
    replacement: replacement!,
    companyDefaults: {},
  });
}

describe('the demo freezer, a simulated day (the plant is checked against conservation and references in the core)', () => {
  const freezer = jobs.find((job) =>
    job.entries.some((e) => e.kind === 'answer' && e.value === 'walkInFreezer'),
  )!;
  const program = programOfJob(freezer);
  const planScenario = unitScenario(program.unit!, valuesOf(plan(program.unit!)));
  const planned = unitScenario(program.unit!, program.inForce);
  const found = unitScenario(program.unit!, program.found!.values);
  const figures = (scenario: typeof planned) => {
    if (typeof scenario === 'string') throw new Error(scenario);
    return simulate(scenario)!.figures;
  };
  const [before, after] = [figures(found), figures(planned)];
  /** Water that is still on the coil when cooling begins again and freezes on, kg. */
  const NOTICED = 0.05;

  test('the old settings leave ice that grows and water on the coil, and nag', () => {
    expect(before.iceLeftAfterDefrost).toBeGreaterThan(0.5);
    expect(before.iceGrown).toBeGreaterThan(0.5);
    expect(before.alarms['high'] ?? 0).toBeGreaterThan(2);
    expect(before.waterLeftAfterDrain!).toBeGreaterThan(NOTICED);
  });

  test('the plan itself does not', () => {
    const pure = figures(planScenario);
    expect(pure.iceLeftAfterDefrost).toBeLessThan(0.05);
    expect(pure.iceGrown).toBeLessThan(0.05);
    expect(pure.waterLeftAfterDrain!).toBeLessThan(NOTICED);
    expect(pure.alarms).toEqual({});
  });

  test('nor does what is set now, in the new control’s own codes', () => {
    expect(after.waterLeftAfterDrain!).toBeLessThan(NOTICED);
    expect(after.iceLeftAfterDefrost).toBeLessThan(0.02);
    expect(after.iceGrown).toBeLessThan(0.05);
    expect(after.waterLeftAfterDrain!).toBeLessThan(before.waterLeftAfterDrain!);
    expect(after.alarms).toEqual({});
    expect(after.product.max).toBeLessThan(before.product.max - 2);
  });
});

test('nothing to run without a set point: a sentence', () => {
  const unit = {
    format: 'brine-dial/unit@1',
    application: 'walkInCooler',
    goods: 'chilledFood',
    defrostMethod: 'offCycle',
    probes: ['air'],
  } as const;
  expect(unitScenario(unit, {})).toContain('expected a set point');
});
