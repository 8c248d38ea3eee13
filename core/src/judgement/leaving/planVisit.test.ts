import { describe, expect, test } from '@jest/globals';
import { family } from '../../../testing/families.ts';
import { otherBoxes } from '../../../testing/otherBoxes/boxes.ts';
import { playVisit, type KeptPromise } from '../../../testing/otherBoxes/visit.ts';
import { seeded } from '../../../testing/seeded.ts';
import { plainUnit } from '../../../testing/units.ts';
import type { SettingValues } from '../../foundation/settings/index.ts';
import { commissioningTests, type CommissioningTest } from '../commissioning/index.ts';
import { plan } from '../plan/index.ts';
import { forecastVisit, planVisit, type VisitForecast, type VisitQuestion } from './index.ts';
import { proofsOf } from './proofs.ts';

const unit = plainUnit('walkInFreezer', { doorContact: true });
const values = Object.fromEntries(plan(unit).settings.map((s) => [s.setting, s.value])) as SettingValues;
const tests = commissioningTests({
  unit,
  control: family('skerry-dx'),
  values,
  circuit: null,
  loads: [],
  predicted: null,
  display: 'degC',
}) as readonly CommissioningTest[];
const warm = { celsius: null, regulates: false, started: false };
const forecast = forecastVisit(unit, values, warm) as VisitForecast;
const question = (minutes: number, more: Partial<VisitQuestion> = {}): VisitQuestion => ({
  unit,
  values,
  tests: tests.map((one) => ({ test: one, running: null })),
  forecast,
  air: warm,
  seconds: 60 * minutes,
  powered: null,
  movable: [{ setting: 'regulation.setpoint', least: -30, most: 30 }],
  out: [],
  display: 'degC',
  ...more,
});
const visit = (minutes: number, more: Partial<VisitQuestion> = {}) => planVisit(question(minutes, more));
const provenBy = (plan: ReturnType<typeof visit>) => plan.steps.flatMap(({ way }) => way.tests);

/** What the proofs are made of, by the names that the list of tests has for them. */
const made = [
  ...['dead.meter', 'dead.probes', 'power.order', 'power.delay', 'memory.kept', 'users.lock', 'users.range'],
  ...['regulation.pullDown', 'regulation.cutOut', 'regulation.cutIn', 'regulation.rest'],
  ...['defrost.start', 'defrost.end', 'defrost.drain', 'defrost.fans'],
  ...['alarms.high', 'alarms.low', 'door.contact', 'probes.air', 'probes.coil'],
  ...['outputs.defrost', 'outputs.alarm'],
];

describe('a visit', () => {
  test('knows the tests of a box by their names, and has no plain proof for one that it runs itself', () => {
    const proofs = proofsOf(question(480));
    for (const id of made) expect([id, tests.some((one) => one.id === id)]).toEqual([id, true]);
    const together = proofs.flatMap(({ ways }) => ways[0]!.tests);
    expect(together.toSorted()).toEqual(tests.map(({ id }) => id).toSorted());
    expect(proofs.map(({ id }) => id)).not.toContain('defrost.start');
  });

  test('a probe that is out goes on with the proof it is out for, in the way that took it first', () => {
    const air = { celsius: -20, regulates: true, started: true };
    const lent = visit(60, { air, out: [{ id: 'probe:air', tests: ['alarms.low'] }] });
    const begun = lent.steps.filter(({ proof }) => proof.isBegun);
    expect(begun.map(({ proof }) => proof.id)).toEqual(['alarms.low']);
    expect(begun[0]!.phases[0]!.does).toBe('The alarm delay passes');
  });

  test('looks dead before there is power, and has power before anything else', () => {
    const { steps } = visit(120);
    const starts = new Map(steps.map(({ proof, start }) => [proof.id, start]));
    for (const [id, start] of starts) {
      if (!id.startsWith('dead.')) expect([id, start >= 600]).toEqual([id, true]);
      if (!/^(dead|power$)/.test(id)) expect([id, start > starts.get('power')!]).toEqual([id, true]);
    }
  });

  test('is over in time four times out of five, whatever time there is; each test is in it or left', () => {
    for (const minutes of [15, 35, 60, 90, 240, 480]) {
      const planned = visit(minutes);
      expect([minutes, planned.fits >= 0.8]).toEqual([minutes, true]);
      const all = [...provenBy(planned), ...planned.left.flatMap((left) => left.tests)];
      expect(all.toSorted()).toEqual(tests.map(({ id }) => id).toSorted());
    }
  });

  test('never has two hands at two places, nor the machine at two proofs', () => {
    const spans = visit(240).steps.flatMap(({ phases }) => phases);
    for (const use of ['hands', 'machine', 'probe'] as const) {
      const busy = spans.filter(({ uses }) => uses.includes(use)).toSorted((a, b) => a.from - b.from);
      for (const [i, one] of busy.entries())
        if (i > 0) expect([one.does, one.from >= busy[i - 1]!.to - 1]).toEqual([one.does, true]);
    }
  });

  test('gives back in the same go whatever it borrows', () => {
    for (const { way } of visit(60).steps)
      expect(way.phases.flatMap(({ returns }) => returns ?? [])).toEqual(way.borrows);
  });

  test('moves the set point where the pull-down is too long, only as far as this control lets it, and says what the display is to show later', () => {
    const short = visit(60);
    const stop = short.steps.find(({ proof }) => proof.id === 'stop')!;
    expect(stop.way.borrows[0]).toMatchObject({ kind: 'value', setting: 'regulation.setpoint' });
    expect(stop.isShortened).toBe(true);
    expect(short.question).toMatchObject({ tests: ['regulation.pullDown', 'regulation.cutIn'] });
    expect(provenBy(visit(60, { movable: [] }))).not.toContain('regulation.cutOut');
    const far = visit(60, { movable: [{ setting: 'regulation.setpoint', least: -30, most: 5 }] });
    expect(provenBy(far)).not.toContain('regulation.cutOut');
  });

  test('goes on where a stopwatch runs, in what is left of it', () => {
    const running = tests.map((one) => ({ test: one, running: one.id === 'defrost.end' ? 300 : null }));
    const begun = visit(60, { tests: running, air: { celsius: -20, regulates: true, started: true } });
    const defrost = begun.steps.find(({ proof }) => proof.id === 'defrost')!;
    expect(defrost.start).toBe(0);
    expect(defrost.phases[0]!.does).toBe('The coil warms to its end');
    // Oracle: what the forecast gives for it, less the hands before it and the five minutes.
    expect(defrost.phases[0]!.to).toBeCloseTo(forecast.defrost!.likely - 60 - 90 - 300, -2);
  });
});

const long = process.env['BRINE_LONG'] === '1';
const held = ({ promised, came }: KeptPromise) => came >= promised.early - 1 && came <= promised.late + 1;

// Oracle: eight boxes of other equations, played second by second with hands that are drawn; the issue asks for four of five.
test('four of five promised times hold their interval, and the values are the planned ones in the end', () => {
  const random = seeded(2122);
  const promises: KeptPromise[] = [];
  let [visits, inTime, asked, answered] = [0, 0, 0, 0];
  for (let n = 0; n < (long ? 20 : 1); n += 1)
    for (const [i, box] of otherBoxes.entries())
      for (const minutes of long ? [25, 35, 60, 90, 120, 240] : [i % 2 ? 35 : 90]) {
        const played = playVisit(box, family('skerry-dx'), minutes, random);
        promises.push(...played.promises);
        visits += 1;
        if (played.whole.came <= 60 * minutes) inTime += 1;
        if (played.asked) {
          asked += 1;
          const { least, most, shown } = played.asked;
          if (shown >= least && shown <= most) answered += 1;
        }
        expect(played.values).toEqual(played.planned);
      }

  const share = promises.filter(held).length / promises.length;
  if (long) console.info({ promises: promises.length, share, visits, inTime, asked, answered });
  expect(promises.length).toBeGreaterThan(20);
  expect(share).toBeGreaterThanOrEqual(0.8);
  expect(inTime / visits).toBeGreaterThanOrEqual(0.8);
  expect(answered / asked).toBeGreaterThanOrEqual(0.8);
});
