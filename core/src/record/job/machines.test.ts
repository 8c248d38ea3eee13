import { inWords } from '../../foundation/sentences/index.ts';
import { describe, expect, test } from '@jest/globals';
import { settingsOfCodes } from '../../controllers/definitions/index.ts';
import { baseValue, isQuantity } from '../../foundation/quantities/index.ts';
import type { SettingId, SettingValues } from '../../foundation/settings/index.ts';
import { fansOf } from '../../machines/condenser/index.ts';
import { acceptedInOrder } from '../../../testing/entries.ts';
import { family } from '../../../testing/families.ts';
import { questionsFor } from '../../judgement/survey/index.ts';
import type { EntryBody } from '../entries/index.ts';
import { usualFacts } from '../../foundation/unit/index.ts';
import { factsOf } from './facts.ts';
import { fold } from '../fold/index.ts';
import { openQuestions, surveyProblem, unitOf } from './survey.ts';
import { programOf } from './program.ts';
import { displayError } from './proving.ts';
import { tripOf } from './trip.ts';

const answers = (more: Readonly<Record<string, unknown>>): EntryBody[] =>
  Object.entries(more).map(([question, value]) => ({ kind: 'answer', question, value }) as EntryBody);
const programWith = (entries: readonly EntryBody[], control: string) =>
  programOf({
    state: fold(acceptedInOrder(entries)),
    name: 'job',
    old: null,
    replacement: family(control),
    companyDefaults: {},
  });
const celsius = (values: SettingValues, id: SettingId) => {
  const value = values[id];
  return isQuantity(value) ? baseValue(value) : Number.NaN;
};
const fans = answers({
  application: 'condenserFans',
  goods: 'nothing',
  defrostMethod: 'none',
  probes: ['liquid', 'outdoor'],
  refrigerant: 'R-404A',
  displayUnit: 'fahrenheit',
});

describe('condenser fans as a job', () => {
  test('a code that cannot take what was planned says what that was', () => {
    const { rows } = programWith(fans, 'marl-4');
    const row = rows.find((r) => r.settings.includes('regulation.setpoint'))!;
    expect([row.status, row.value]).toEqual(['clamped', 60]);
    expect(inWords(row.reason!)).toMatch(/^Planned was \d+ °F: /);
    const free = programWith(fans, 'taing-s').rows.find((r) => r.settings.includes('regulation.setpoint'))!;
    expect(inWords(free.reason!)).not.toContain('Planned was');
  });

  test('on a rack control: its codes hold the plan, and run', () => {
    const program = programWith(fans, 'firth-rack');
    expect(program.rows.length).toBeGreaterThan(20);
    expect(program.findings.filter((f) => f.severity === 'error')).toEqual([]);
    const config = fansOf(program.inForce)!;
    expect(config.method).toBe('proportionalIntegral');
    expect(config.floatingDifference).toBeCloseTo(10, 1);
  });

  test('on a control of one relay: cut-out 82 °F, cut-in 94 °F, no defrost (common practice)', () => {
    const program = programWith(
      [
        ...fans,
        { kind: 'planned', setting: 'condenser.method', value: 'onOff' },
        { kind: 'planned', setting: 'condenser.setpoint', value: { value: 82, unit: 'degF' } },
        { kind: 'planned', setting: 'condenser.differential', value: { value: 12, unit: 'deltaF' } },
      ],
      'tarn-1',
    );
    const set = settingsOfCodes(
      family('tarn-1'),
      new Map(program.rows.map((row) => [row.code, row.value])),
      program.display!,
    );
    expect(celsius(set, 'regulation.setpoint') * 1.8 + 32).toBeCloseTo(82, 6);
    expect(celsius(set, 'regulation.differential') * 1.8).toBeCloseTo(12, 6);
    expect(celsius(set, 'defrost.maxDuration')).toBe(0);
    expect(set['compressor.onProbeFault']).toBe('run');
    // Nobody turns a condenser, and what is usual for goods says nothing of its liquid.
    expect(celsius(set, 'regulation.setpointMax')).toBe(celsius(set, 'regulation.setpoint'));
    expect(program.findings).toEqual([]);
  });
});

test('a quiet input of the control’s own counts as one; where there is none, it is told', () => {
  const quiet: EntryBody[] = [
    ...fans,
    { kind: 'planned', setting: 'condenser.quietSource', value: 'input' },
    { kind: 'planned', setting: 'condenser.quietCap', value: { value: 60, unit: '%' } },
  ];
  expect(programWith(quiet, 'firth-rack').findings).toEqual([]);
  const without = programOf({
    state: fold(acceptedInOrder(quiet)),
    name: 'job',
    old: null,
    replacement: null,
    companyDefaults: {},
  });
  expect(without.findings.map((f) => f.code)).toEqual(['withoutItsProbe']);
});

describe('facts and trips', () => {
  test('facts begin as usual and stand as typed; the last counts', () => {
    const state = fold(
      acceptedInOrder([
        { kind: 'fact', fact: 'condenserFans', value: 4 },
        { kind: 'fact', fact: 'condenserFans', value: 3 },
        { kind: 'fact', fact: 'outdoorLow', value: null },
      ]),
    );
    expect(factsOf(state, null)).toEqual({ ...usualFacts, condenserFans: 3 });
  });

  test('a trip from its stream: steps, readings in order, stops, hours, signs', () => {
    const trip = tripOf(
      fold(
        acceptedInOrder([
          { kind: 'tripStep', step: 'fuel', state: 'done', value: 70, word: '' },
          { kind: 'tripStep', step: 'belts', state: 'fault', value: null, word: 'frayed' },
          { kind: 'tripStep', step: 'oil', state: 'done', value: null, word: '' },
          { kind: 'tripStep', step: 'oil', state: null, value: null, word: '' },
          { kind: 'tripReading', readAt: '2026-11-26T07:00:00.000Z', place: 'return', celsius: 2 },
          { kind: 'tripReading', readAt: '2026-11-26T06:00:00.000Z', place: 'return', celsius: 1 },
          { kind: 'tripReading', readAt: '2026-11-26T07:00:00.000Z', place: 'return', celsius: null },
          { kind: 'doorStop', openedAt: '2026-11-26T06:30:00.000Z', minutes: 4.5 },
          { kind: 'hours', meter: 'engine', hours: 1000 },
          { kind: 'serviced', service: 'oil', atHours: 100 },
          { kind: 'alarmSign', alarm: 'a', sign: 'flashing' },
        ]),
      ),
    );
    expect([trip.done, trip.faults]).toEqual([1, 1]);
    expect(trip.readings.map((r) => r.celsius)).toEqual([1]);
    expect(trip.stops).toEqual([{ at: '2026-11-26T06:30:00.000Z', minutes: 4.5 }]);
    expect(trip.services.find((s) => s.service.id === 'oil')).toMatchObject({ left: 100, state: 'soon' });
    expect(trip.signs.get('a')).toBe('flashing');
  });
});

describe('the survey asks what a kind of unit can answer', () => {
  const asked = (application: unknown) => questionsFor(application).map((q) => q.id);
  const probes = (application: unknown) => {
    const { form } = questionsFor(application).find((q) => q.id === 'probes')!;
    return form.type === 'list' ? Object.keys(form.options) : [];
  };

  test('a box everything, a machine no product, no defrost, no door', () => {
    const ofCoils = (id: string) => id !== 'drainPump';
    expect(asked('walkInFreezer').filter(ofCoils)).toEqual(asked(undefined));
    for (const machine of ['condenserFans', 'heatMeter'])
      expect(asked(machine).filter((id) => /goods|defrost|door/.test(id))).toEqual([]);
    expect(asked('heatMeter')).not.toContain('refrigerant');
    expect(probes('heatMeter')).toEqual(['supply', 'return']);
    expect(probes('condenserFans')).toEqual(['liquid', 'secondLiquid', 'outdoor']);
    expect(probes('cellar')).not.toContain('return');
  });

  test('a product of one’s own is asked for its limits, a tank for no door and no coil', () => {
    const own = (application: string) =>
      questionsFor(application, 'own')
        .filter((q) => q.id.startsWith('product.') && q.required)
        .map((q) => q.id);
    expect(own('walkInCooler')).toEqual(['product.name', 'product.max']);
    expect(own('hotCupboard')).toEqual(['product.name', 'product.min']);
    expect(asked('walkInCooler').filter((id) => id.startsWith('product.'))).toEqual([]);
    expect(asked('chilledWaterTank').filter((id) => /door|defrost|drain|Place/.test(id))).toEqual([]);
    expect(asked('chilledWaterTank')).toContain('heats');
    expect(asked('walkInFreezer')).not.toContain('heats');
    const tank = questionsFor('chilledWaterTank').find((q) => q.id === 'probes')!.form;
    expect(tank).toMatchObject({ options: { air: 'Water' } });
  });

  test('own product, heater, pump, bottle and probe type go from the survey into the unit', () => {
    const state = fold(
      acceptedInOrder(
        answers({
          application: 'pharmacyRefrigerator',
          goods: 'own',
          'product.name': 'Serum',
          'product.max': { value: 46, unit: 'degF' },
          'product.min': { value: 3, unit: 'degC' },
          'product.source': 'data sheet',
          defrostMethod: 'offCycle',
          probes: ['air'],
          heats: true,
          drainPump: true,
          probePlace: 'bottle',
          probeType: 'pt1000',
        }),
      ),
    );
    expect(unitOf(state, 'box', {})).toMatchObject({
      product: { name: 'Serum', max: { value: 46, unit: 'degF' }, source: 'data sheet' },
      heats: true,
      drainPump: true,
      probePlace: 'bottle',
      probeTypes: ['pt1000'],
    });
  });

  test('a tank is planned from what a tank is asked', () => {
    const state = fold(
      acceptedInOrder(
        answers({ application: 'chilledWaterTank', goods: 'liveShellfish', probes: ['air'], heats: true }),
      ),
    );
    expect(openQuestions(state)).toEqual([]);
    expect(unitOf(state, 'tank', {})).toMatchObject({ defrostMethod: 'none', heats: true });
  });

  test('limits that cannot both hold are said at their question', () => {
    const own = (min: number) =>
      fold(
        acceptedInOrder(
          answers({
            application: 'walkInCooler',
            goods: 'own',
            'product.name': 'Starter',
            'product.max': { value: 6, unit: 'degC' },
            'product.min': { value: min, unit: 'degC' },
            defrostMethod: 'offCycle',
            probes: ['air'],
          }),
        ),
      );
    expect(surveyProblem(own(3))).toBeNull();
    expect(surveyProblem(own(9))).toBe(
      'The coldest it may stand: expected the coldest to lie below the warmest.',
    );
    expect(unitOf(own(9), 'box', {})).toBeNull();
  });

  test('two answers make a plan of a machine, and it keeps nothing', () => {
    const state = fold(acceptedInOrder(answers({ application: 'heatMeter', probes: ['supply', 'return'] })));
    expect(openQuestions(state)).toEqual([]);
    expect(unitOf(state, 'meter', {})).toMatchObject({ goods: 'nothing', defrostMethod: 'none' });
    const box = fold(acceptedInOrder(answers({ application: 'cellar', probes: ['air'] })));
    expect(openQuestions(box).map((q) => q.id)).toEqual(['goods', 'defrostMethod']);
  });
});

test('how the display reads is the last comparison of its air probe, and nothing once an offset was keyed', () => {
  const compared = (before: number | null, after: number | null, code: string | null) =>
    ({
      id: 'c',
      probe: 'air',
      code,
      points: [
        { reading: 9, reference: 7 },
        { reading: 8, reference: 7 },
      ],
      before,
      after,
    }) as unknown as Parameters<typeof displayError>[0]['calibrations'][number];
  expect(displayError({ calibrations: [] })).toBeNull();
  expect(displayError({ calibrations: [compared(null, null, null)] })).toBe(1.5);
  expect(displayError({ calibrations: [compared(0, -1.5, 'trim')] })).toBe(0);
});
