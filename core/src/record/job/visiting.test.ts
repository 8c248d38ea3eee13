import { describe, expect, test } from '@jest/globals';
import { acceptedInOrder } from '../../../testing/entries.ts';
import { families, family } from '../../../testing/families.ts';
import { freezerSurvey } from '../../../testing/freezerSurvey.ts';
import { settingsOfCodes } from '../../controllers/definitions/index.ts';
import { baseValue, quantity, type Quantity } from '../../foundation/quantities/index.ts';
import type { Predicted } from '../../judgement/commissioning/index.ts';
import type { EntryBody } from '../entries/index.ts';
import { fold } from '../fold/index.ts';
import { openWork } from '../openWork/index.ts';
import { outNow } from './borrowed.ts';
import { movableOf, movedCode } from './moving.ts';
import { programOf } from './program.ts';
import { provingOf } from './proving.ts';
import { airNow, readsTheAir, siteQuestionsOf, visitOf, visitQuestion } from './visiting.ts';

const NOW = '2026-11-20T10:00:00.000Z';
const at = (minutes: number) => new Date(Date.parse(NOW) + 60_000 * minutes);

function job(id: string, ...bodies: readonly EntryBody[]) {
  const pin = { id, family: id, version: '1', hash: 'h' };
  const state = fold(
    acceptedInOrder([...freezerSurvey, { kind: 'control', role: 'new', definition: pin }, ...bodies]),
  );
  const control = family(id);
  const program = programOf({ state, name: 'x', old: null, replacement: control, companyDefaults: {} });
  const proving = provingOf(state, program, null, control, null, 'degC');
  return { state, program, proving, control };
}
const setpoint = (celsius: number, since: string | null, shown = ''): EntryBody => ({
  kind: 'borrowed',
  id: 'value:regulation.setpoint',
  setting: 'regulation.setpoint',
  to: quantity(celsius, 'degC'),
  tests: ['regulation.cutOut', 'regulation.rest'],
  since,
  shown,
});

describe('values that may be borrowed', () => {
  // Oracle: the control's own reading of the code at its ends, and of the code that is keyed.
  test.each([...families.keys()].map((id) => [id]))(
    'of %s are moved in its own code, within its ends',
    (id) => {
      const { program, control } = job(id);
      for (const { setting, least, most } of movableOf(program)) {
        expect([setting, least! < most!]).toEqual([setting, true]);
        const now = program.inForce[setting] as Quantity;
        const to = quantity(
          setting === 'regulation.setpoint' ? (least! + most!) / 2 : most!,
          setting === 'regulation.setpoint' ? 'degC' : 's',
        );
        const moved = movedCode(program, control, setting, to);
        if (moved === null) continue;
        const codes = new Map(program.rows.map((row) => [row.code, row.value]));
        const then = settingsOfCodes(
          control,
          new Map([...codes, [moved.row.code, moved.value]]),
          program.display!,
        );
        const step = setting === 'regulation.setpoint' ? 1 : 3600;
        expect([setting, Math.abs(baseValue(then[setting] as Quantity) - baseValue(to)) <= step]).toEqual([
          setting,
          true,
        ]);
        expect(baseValue(then[setting] as Quantity)).not.toBe(baseValue(now));
      }
    },
  );

  test('the set point goes no further than the user may turn it', () => {
    const { program } = job('marl-4');
    const most = baseValue(program.inForce['regulation.setpointMax'] as Quantity);
    expect(
      movableOf(program).find(({ setting }) => setting === 'regulation.setpoint')!.most,
    ).toBeLessThanOrEqual(most);
  });
});

describe('what is borrowed', () => {
  test('is open, cannot be explained away, and is gone once it was read back', () => {
    const out = job('marl-4', setpoint(-5, NOW));
    expect(outNow(out.state).map(({ id }) => id)).toEqual(['value:regulation.setpoint']);
    const items = openWork({ ...out, wiring: null, findings: [] }).items.filter(
      ({ kind }) => kind === 'borrowed',
    );
    expect(items).toHaveLength(1);
    const back = job('marl-4', setpoint(-5, NOW), setpoint(-5, null, '-21'));
    expect(outNow(back.state)).toEqual([]);
    expect(
      openWork({ ...back, wiring: null, findings: [] }).items.some(({ kind }) => kind === 'borrowed'),
    ).toBe(false);
  });

  test('is what its tests are judged by, out and back, and no other test', () => {
    const plain = job('marl-4').proving.tests;
    const lent = job('marl-4', setpoint(-5, NOW), setpoint(-5, null, '-21')).proving.tests;
    const measure = (tests: typeof plain, id: string) =>
      tests.find((run) => run.test.id === id)!.test.measure!;
    const shift = -5 - baseValue(job('marl-4').program.inForce['regulation.setpoint'] as Quantity);
    expect(
      measure(lent, 'regulation.cutOut').least! - measure(plain, 'regulation.cutOut').least!,
    ).toBeCloseTo(shift, 6);
    expect(measure(lent, 'regulation.cutIn')).toEqual(measure(plain, 'regulation.cutIn'));
    const planned = job('marl-4', { ...setpoint(-5, null, '-21'), tests: [] } as EntryBody).proving.tests;
    expect(measure(planned, 'regulation.cutOut')).toEqual(measure(plain, 'regulation.cutOut'));
  });
});

describe('where the air stands', () => {
  const curve: Predicted = {
    startsAt: 20,
    curve: [0, 60, 120, 180].map((minutes) => ({
      minutes,
      slow: 20 - minutes / 6,
      likely: 20 - minutes / 5,
      quick: 20 - minutes / 4,
    })),
    minutesToCutOut: { slow: 240, likely: 180, quick: 140 },
    defrostMinutes: null,
    startsPerHour: 3,
    dutyPercent: 60,
  };
  const air = (minutes: number, ...bodies: readonly EntryBody[]) => {
    const { state, program, proving } = job('marl-4', ...bodies);
    return airNow(state, program, proving, curve, at(minutes));
  };
  const start: EntryBody = { kind: 'pullDown', startedAt: NOW };
  const read = (minutes: number, celsius: number): EntryBody => ({
    kind: 'pullDownReading',
    readAt: at(minutes).toISOString(),
    celsius,
  });

  test('as warm as around it before anything was started', () =>
    expect(air(0)).toMatchObject({ celsius: null, regulates: false, started: false }));

  test('on the curve once the pull-down runs, where nobody reads', () =>
    expect(air(60, start)).toMatchObject({
      celsius: 8,
      regulates: false,
      started: true,
      pullDown: { pace: 1, likely: 120 },
    }));

  test('at the last reading while it is fresh, and at the pace that it tells', () => {
    const slow = air(65, start, read(60, 14));
    expect(slow.celsius).toBe(14);
    // Oracle: 6 K in an hour where the likely box falls 12: about twice as long, drawn towards the usual.
    expect(slow.pullDown!.pace).toBeGreaterThan(1.4);
    expect(air(90, start, read(60, 14)).celsius).toBeGreaterThan(8);
  });

  test('in its band by a reading, by a proof that borrowed nothing, or by the time that has passed', () => {
    expect(air(5, read(0, -21)).regulates).toBe(true);
    const passed: EntryBody = {
      kind: 'test',
      test: 'regulation.cutOut',
      result: 'passed',
      value: null,
      word: 'seen',
      picture: null,
    };
    expect(air(5, passed).regulates).toBe(true);
    expect(air(5, setpoint(-5, null, '-21'), passed).regulates).toBe(false);
    expect(air(200, start).regulates).toBe(false);
    expect(air(400, start).regulates).toBe(true);
  });

  test('a probe that is back reads it', () => {
    const { program } = job('marl-4');
    const regulating = { celsius: null, regulates: true, started: true };
    expect(readsTheAir(program, regulating, -20)).toBe(true);
    expect(readsTheAir(program, regulating, 28)).toBe(false);
    expect(readsTheAir(program, { celsius: 14, regulates: false, started: true }, 16)).toBe(true);
    expect(readsTheAir(program, { celsius: 14, regulates: false, started: true }, 30)).toBe(false);
  });
});

describe('a visit', () => {
  test('ends so many minutes after it began; what is open is asked with what runs and what is left of the time', () => {
    const running: EntryBody = { kind: 'timer', test: 'power.delay', startedAt: NOW };
    const { state, program, proving } = job(
      'marl-4',
      { kind: 'visit', startedAt: NOW, minutes: 35 },
      running,
    );
    expect(visitOf(state)!.leavesAt).toBe(at(35).toISOString());
    const question = visitQuestion(state, program, proving, null, at(5), 'degC')!;
    expect(question.seconds).toBe(1800);
    expect(question.tests.length).toBe(proving.tests.length);
    expect(question.tests.find(({ test: t }) => t.id === 'power.delay')!.running).toBe(300);
    const ended = job(
      'marl-4',
      { kind: 'visit', startedAt: NOW, minutes: 35 },
      { kind: 'visit', startedAt: null, minutes: 0 },
    );
    expect(visitOf(ended.state)).toBeNull();
  });

  test('leaves questions in the order of their time; one taken back is gone', () => {
    const asks = (id: string, minutes: number | null): EntryBody => ({
      kind: 'siteQuestion',
      id,
      question:
        minutes === null
          ? null
          : {
              at: at(minutes).toISOString(),
              least: -23,
              most: -18,
              tests: ['regulation.pullDown'],
              words: 'At 11:00 the display must show −20 °C.',
            },
      answer: null,
    });
    const { state } = job('marl-4', asks('b', 60), asks('a', 30), asks('c', 20), asks('c', null));
    expect(siteQuestionsOf(state).map(({ id }) => id)).toEqual(['a', 'b']);
  });
});
