import { meaningOf, parameterOf } from '../../controllers/definitions/index.ts';
import { describe, expect, test } from '@jest/globals';
import { freezerInFahrenheit } from '../../../testing/freezerSurvey.ts';
import { leaveBehindSheet } from '../handover/index.ts';
import { inUnitOf } from '../inUnit/index.ts';
import { acceptedInOrder } from '../../../testing/entries.ts';
import { family, withoutCodes } from '../../../testing/families.ts';
import { defaultDecision, programOf, type ProgramInput } from './program.ts';
import type { EntryBody } from '../entries/index.ts';
import { fold } from '../fold/index.ts';
import { openQuestions } from './survey.ts';
import { progressOf } from './stations.ts';

const survey: EntryBody[] = [
  ...freezerInFahrenheit,
  { kind: 'found', code: 'Un', value: 'F' },
  { kind: 'found', code: 'Sn', value: '-3' },
  { kind: 'found', code: 'hY', value: '5' },
  { kind: 'found', code: 'dE', value: '40' },
];

function program(bodies: readonly EntryBody[], more: Partial<ProgramInput> = {}) {
  const state = fold(acceptedInOrder(bodies));
  const input: ProgramInput = {
    state,
    name: 'Fish store',
    old: family('gault-p'),
    replacement: family('marl-4'),
    companyDefaults: {},
    ...more,
  };
  return { state, program: programOf(input) };
}

describe('the program of a job', () => {
  test('is empty until the survey is answered, and says what is missing', () => {
    const { state, program: p } = program(survey.slice(0, 2));
    expect(p.unit).toBeNull();
    expect(openQuestions(state).map((q) => q.id)).toEqual(['defrostMethod', 'probes']);
    expect(progressOf(state, p).survey.words).toBe('2 answers missing');
  });

  test('has a row a visible code in menu order, with reason, found value and difference', () => {
    const { program: p } = program(survey);
    const melt = p.rows.find((row) => row.code === 'melt')!;
    expect(melt).toMatchObject({ value: 55, found: 40, differs: true, state: 'open' });
    expect(melt.reason).toContain('corners');
    expect(p.rows.map((row) => row.code).slice(0, 3)).toEqual(['hold', 'gap', 'low']);
    // Found −3 as cut-in with 5: cut-out −8 in this control.
    expect(p.rows[0]).toMatchObject({ value: -9, found: -8 });
  });

  test('a code nobody planned is undecided until somebody decides; leaving it at its default is a decision', () => {
    const { program: p } = program(survey);
    const open = p.rows.filter((row) => row.undecided);
    expect(open.map((row) => row.source)).toEqual(open.map(() => 'default'));
    expect(open.length).toBeGreaterThan(0);
    expect(p.rows.filter((row) => !row.undecided).every((row) => row.status !== 'default')).toBe(true);
    const decided = program([...survey, ...open.map(defaultDecision)]).program;
    expect(decided.rows.filter((row) => row.undecided)).toEqual([]);
    const first = decided.rows.find((row) => row.code === open[0]!.code)!;
    expect(first).toMatchObject({ value: open[0]!.value, source: 'default', planned: null });
  });

  test('where a value comes from is told: plan, old control, preset, hand', () => {
    const sourceOf = (code: string, value: number, more: Partial<ProgramInput> = {}) =>
      program([...survey, { kind: 'plannedCode', code, value }], more).program.rows.find(
        (row) => row.code === code,
      )!;
    expect(program(survey).program.rows[0]).toMatchObject({ source: 'plan', planned: -9 });
    expect(sourceOf('hold', -8)).toMatchObject({
      source: 'old',
      note: 'copied from the old control',
      planned: -9,
      differs: false,
    });
    expect(sourceOf('hold', -9)).toMatchObject({ source: 'plan' });
    expect(sourceOf('hold', -12)).toMatchObject({ source: 'hand' });
    // 54 °F stands in the preset "freezerE" of this family.
    expect(sourceOf('de', 54, { replacement: family('holm-fit') })).toMatchObject({ source: 'preset' });
  });

  test('a change by the technician beats the plan and keeps both', () => {
    const { program: p } = program([
      ...survey,
      {
        kind: 'planned',
        setting: 'defrost.endTemperature',
        value: { value: 60, unit: 'degF' },
        why: 'ice in the corners',
      },
    ]);
    expect(p.rows.find((row) => row.code === 'melt')).toMatchObject({
      value: 60,
      reason: 'ice in the corners',
    });
    expect(p.chosen.find((c) => c.setting === 'defrost.endTemperature')).toMatchObject({
      changed: true,
      planned: { value: 55, unit: 'degF' },
    });
  });

  test('findings look at what the control will really hold', () => {
    // 15 dF above −9 is 6 °F; a high offset of 5 dF would lie inside the band.
    const { program: p } = program([
      ...survey,
      { kind: 'planned', setting: 'alarms.reference', value: 'relative' },
      { kind: 'planned', setting: 'alarms.highOffset', value: { value: 5, unit: 'deltaF' } },
    ]);
    expect(p.findings.map((f) => f.code)).toContain('highAlarmInsideBand');
  });

  test('a value changed after it was keyed in has to be keyed in again', () => {
    const keyed: EntryBody = { kind: 'keyed', code: 'melt', state: 'keyed', value: 55 };
    const state = (bodies: EntryBody[]) =>
      program(bodies).program.rows.find((row) => row.code === 'melt')!.state;
    expect(state([...survey, keyed])).toBe('keyed');
    expect(
      state([
        ...survey,
        keyed,
        { kind: 'planned', setting: 'defrost.endTemperature', value: { value: 60, unit: 'degF' } },
      ]),
    ).toBe('open');
  });

  test('a typed code is turned into settings, so that another control can take it over', () => {
    const { program: p } = program(survey);
    expect(meaningOf(parameterOf(family('marl-4'), 'gap')!, 7, p.display!)).toEqual({
      'regulation.differential': { value: 7, unit: 'deltaF' },
    });
  });

  test('without a new control there is still a plan', () => {
    const { program: p } = program(survey, { replacement: null });
    expect(p.rows).toEqual([]);
    expect(p.chosen.length).toBeGreaterThan(25);
  });
});

describe('the sheet left in the unit', () => {
  const done: EntryBody[] = [
    ...survey,
    { kind: 'keyed', code: 'hold', state: 'keyed', value: -9 },
    { kind: 'keyed', code: 'melt', state: 'showsElse', value: 55, shown: '58' },
    { kind: 'keyed', code: 'drip', state: 'skipped', value: 5, why: 'menu closed' },
  ];
  const { state, program: p } = program(done);
  const sheet = leaveBehindSheet({
    unit: 'Fish store',
    site: 'Quay',
    company: 'Saltmarsh',
    control: family('marl-4'),
    controlVersion: '2.1',
    plate: [],
    by: 'Tess',
    date: '2026-03-01',
    watch: 'Frost after three days',
    program: p,
    inUnit: inUnitOf(state, p, family('marl-4'), { old: null, replacement: null }),
  });
  const line = (code: string) => sheet.groups.flatMap((g) => g.lines).find((l) => l.code === code)!;

  test('says what was set, what the display showed, and what was not set', () => {
    expect(line('hold')).toMatchObject({ value: '−9 °F', found: '−8 °F' });
    expect(line('melt')).toMatchObject({ value: '58 °F', remark: 'planned 55 °F' });
    expect(line('drip')).toMatchObject({ value: '', remark: 'left alone: menu closed' });
    expect(line('gap')).toMatchObject({
      value: '',
      remark: expect.stringMatching(/^planned .*, not yet in the unit$/),
    });
    expect(sheet.notYet).toBe(p.rows.length - 2);
    expect(sheet.watch[0]).toBe('Frost after three days');
    expect(sheet.watch.join(' ')).toContain('melt: the display showed 58');
  });
});

test('what the old control did is lost or not stated by the same rule as the plan', () => {
  const { fixed: _, ...written } = family('marl-4');
  const unstated = withoutCodes(written, 'compressor');
  const found: EntryBody[] = [
    { kind: 'found', code: 'Pr', value: '3' },
    { kind: 'found', code: 'Er', value: '1' },
  ];
  const { program: p } = program([...survey, ...found], { replacement: unstated });
  const lost = p.copy!.lost.map(({ setting }) => setting);
  expect(p.copy!.notStated).toContain('compressor.onProbeFault');
  expect(p.notStated).toContain('compressor.onProbeFault');
  expect(lost).toContain('compressor.minOffTime');
  // Facts that its codes imply count as built in for the copy too.
  for (const { setting } of p.deduced) expect(lost).not.toContain(setting);
});
