import { inWords } from '../../foundation/sentences/index.ts';
import { describe, expect, test } from '@jest/globals';
import { plan, valuesOf } from '../plan/index.ts';
import {
  applications,
  isMachine,
  type Application,
  type SettingValues,
} from '../../foundation/settings/index.ts';
import { units } from '../../../testing/runs.ts';
import type { UnitDescription } from '../../foundation/unit/index.ts';
import { family } from '../../../testing/families.ts';
import { plainUnit } from '../../../testing/units.ts';
import { factsOfUnit } from '../../foundation/unit/index.ts';
import { onControl } from './onControl.ts';
import { condenserDay } from './unitDay.ts';
import { judgement } from './verdict.ts';

const { c, k, min } = { ...units, min: (value: number) => ({ value, unit: 'min' as const }) };
/** What the day says, without the rules. */
const ofTheRun = (unit: UnitDescription, values: SettingValues) => {
  const { findings: all, problem } = judgement({ unit, values });
  if (problem !== null) throw new Error(problem);
  return all.filter((f) => f.by === 'run');
};
const findings = (application: Application, change: SettingValues = {}) => {
  const unit = plainUnit(application);
  const values = { ...valuesOf(plan(unit)), ...change };
  return { unit, values, found: ofTheRun(unit, values) };
};

test.each(applications.filter((one) => !isMachine(one)))(
  'the plan of a %s stands its own simulated day',
  (application) => {
    // A note of what a choice costs is no finding against it.
    expect(findings(application).found.filter((f) => f.severity !== 'note')).toEqual([]);
  },
);

describe('a mistake that only a run can tell is found, and its remedy takes it away (oracle: the run again)', () => {
  test.each<[string, Application, SettingValues]>([
    ['iceGrows', 'walkInFreezer', { 'defrost.endTemperature': c(4) }],
    ['defrostEndsByTime', 'walkInFreezer', { 'defrost.maxDuration': min(15) }],
    ['drainTooShort', 'walkInFreezer', { 'defrost.drainTime': min(0) }],
    ['goodsTooWarm', 'walkInFreezer', { 'regulation.setpoint': c(-18) }],
    [
      'nuisanceAlarm',
      'walkInFreezer',
      { 'alarms.highTemperature': c(-18), 'alarms.delay': min(1), 'alarms.defrostExclusion': min(0) },
    ],
    [
      'restOvershoots',
      'reachInRefrigerator',
      { 'regulation.differential': k(1), 'compressor.minOffTime': min(15) },
    ],
    [
      'tooManyStarts',
      'vehicleFridge',
      { 'regulation.differential': k(0.2), 'compressor.minOffTime': min(0) },
    ],
    [
      'stagesFightInRun',
      'cellar',
      {
        'stage2.function': 'thermostat',
        'stage2.action': 'heat',
        'stage2.reference': 'absolute',
        'stage2.setpoint': c(15.5),
        'stage2.differential': k(3),
      },
    ],
  ])('%s', (code, application, change) => {
    const { unit, values, found } = findings(application, change);
    const finding = found.find((f) => f.code === code);
    expect(found.map((f) => f.code)).toContain(code);
    expect(inWords(finding!.message)).toMatch(/\d/);
    expect(finding!.remedy).not.toBeNull();
    if (!('values' in finding!.remedy!)) throw new Error('expected values');
    const after = ofTheRun(unit, { ...values, ...finding!.remedy.values });
    expect(after.map((f) => f.code)).not.toContain(code);
  });
});

test('nothing to run: a sentence', () => {
  expect(judgement({ unit: plainUnit('walkInCooler'), values: {} }).problem).toContain(
    'expected a set point',
  );
});

test('a remedy that the control cannot hold is not offered (oracle: its own codes)', () => {
  const unit = { ...plainUnit('walkInCooler'), doorUse: 'busy' as const, ambient: c(32) };
  // A control for freezers: the fan stops in every defrost, and no code of it says otherwise.
  const control = family('marl-4');
  const values = valuesOf(plan(unit));
  const free = judgement({ unit, values: { ...values, 'fans.whileDefrost': 'stop' } });
  const bound = judgement({ unit, values, controller: control });
  const of = (verdict: typeof free) => verdict.findings.find((f) => f.code === 'offCycleWithoutFan');
  expect(of(free)!.remedy).toMatchObject({ values: { 'fans.whileDefrost': 'run' } });
  expect(of(bound)).toBeDefined();
  for (const { code, remedy } of bound.findings) {
    if (remedy === null || !('values' in remedy)) continue;
    const after = judgement({
      unit,
      values: { ...values, ...remedy.values },
      controller: control,
      remedies: false,
    });
    expect([code, after.findings.map((f) => f.code).includes(code)]).toEqual([code, false]);
  }
});

test('fans on a single relay are judged by the relay’s own settings (oracle: the run again)', () => {
  const unit = plainUnit('condenserFans', {
    goods: 'nothing',
    probes: ['liquid'],
    ambient: c(20),
    facts: { condenserFans: 1 },
    schools: { fanRegulation: 'onOff' },
  });
  // A thermostat of one relay, without a condenser group.
  const controller = family('taing-s');
  const planned = valuesOf(plan(unit));
  const values: SettingValues = { ...planned, 'condenser.differential': k(0.5) };
  const { findings: all } = judgement({ unit, values, controller });
  const often = all.find(({ code }) => code === 'fansStartOften')!;
  expect(often.settings).toEqual(['regulation.differential']);
  if (!often.remedy || !('values' in often.remedy)) throw new Error('expected values');
  expect(Object.keys(often.remedy.values)).toEqual(['regulation.differential']);
  // What stands in the control then is read back: the finding is gone.
  const held = onControl(values, unit, controller).values;
  const after = judgement({ unit, values: { ...held, ...often.remedy.values }, controller, inEffect: true });
  expect(after.findings.map(({ code }) => code)).not.toContain('fansStartOften');
});

test('a condenser’s day is the one that its facts show: the survey’s ambient is its warmest air', () => {
  const unit = plainUnit('condenserFans', { goods: 'nothing', probes: ['liquid'], ambient: c(32) });
  const facts = factsOfUnit(unit);
  expect([facts.outdoorLow, facts.outdoorHigh]).toEqual([22, 32]);
  expect(condenserDay(unit, valuesOf(plan(unit)))!.outdoor).toEqual({ low: 22, high: 32 });
  const measured = { ...unit, facts: { outdoorLow: 10 } };
  expect(condenserDay(measured, valuesOf(plan(unit)))!.outdoor).toEqual({ low: 10, high: 32 });
});

test('a control that cannot do without a defrost stops a condenser’s fans as seldom as it can, and it is said', () => {
  const unit = plainUnit('condenserFans', { goods: 'nothing', probes: ['liquid'], ambient: c(25) });
  const controller = family('taing-s');
  const length = controller.parameters.find((p) => p.setting === 'defrost.maxDuration')!.encoding;
  const interval = controller.parameters.find((p) => p.setting === 'defrost.interval')!.encoding;
  if (length.type !== 'number' || interval.type !== 'number') throw new Error('expected numbers');
  const { values } = onControl(valuesOf(plan(unit)), unit, controller);
  // Oracle: the ends of its own codes.
  expect(values['defrost.maxDuration']).toMatchObject({ value: length.min });
  expect(values['defrost.interval']).toMatchObject({ value: interval.max });
  const codes = judgement({ unit, values, controller, inEffect: true }).findings.map((f) => f.code);
  expect(codes).toContain('fansStandInDefrost');
});
