import { describe, expect, test } from '@jest/globals';
import { freezerSurvey } from '../../../testing/freezerSurvey.ts';
import { acceptedInOrder } from '../../../testing/entries.ts';
import { family } from '../../../testing/families.ts';
import { byGroup, followUpOfSkipped, provingOf, tally } from './proving.ts';
import type { EntryBody } from '../entries/index.ts';
import { fold } from '../fold/index.ts';
import { programOf } from './program.ts';
import { progressOf } from './stations.ts';

const pin = { id: 'marl-4', family: 'Marl 4', version: '1', hash: 'h' };
const survey: readonly EntryBody[] = [...freezerSurvey, { kind: 'control', role: 'new', definition: pin }];
function proving(...bodies: readonly EntryBody[]) {
  const state = fold(acceptedInOrder([...survey, ...bodies]));
  const program = programOf({
    state,
    name: 'x',
    old: null,
    replacement: family('marl-4'),
    companyDefaults: {},
  });
  const proved = provingOf(state, program, null, family('marl-4'), null, 'degF');
  return { proved, progress: progressOf(state, program, null, proved).prove };
}

describe('the proof of a job from its stream', () => {
  test('tests stand open until a result is written; the last one counts; one taken back is open again', () => {
    const result = (r: 'passed' | 'failed' | null): EntryBody => ({
      kind: 'test',
      test: 'power.order',
      result: r,
      value: null,
      word: 'w',
      picture: null,
    });
    expect(tally(proving().proved)).toMatchObject({ passed: 0, failed: 0, skipped: 0 });
    expect(tally(proving(result('failed'), result('passed')).proved)).toMatchObject({ passed: 1, failed: 0 });
    expect(tally(proving(result('passed'), result(null)).proved).passed).toBe(0);
    const { progress } = proving(result('failed'));
    expect(progress).toEqual({ words: '1 failed', done: false });
  });

  test('every test passed or skipped is proven', () => {
    const all = proving().proved.tests.map(({ test: t }, i): EntryBody => ({
      kind: 'test',
      test: t.id,
      result: i % 5 === 0 ? 'skipped' : 'passed',
      value: null,
      word: 'w',
      picture: null,
    }));
    expect(proving(...all).progress).toEqual({ words: 'proven', done: true });
  });

  test('groups hold every test once', () => {
    const { tests } = proving().proved;
    expect(byGroup(tests).flatMap((g) => g.tests)).toEqual(tests);
  });

  test('a skipped test becomes one follow-up, with its reason; follow-ups come by date, taken off ones are gone', () => {
    const { test: first } = proving().proved.tests[0]!;
    const later: EntryBody = {
      kind: 'followUp',
      id: 'x',
      followUp: { due: '2027-01-01', what: 'later', done: false },
    };
    const skip = followUpOfSkipped(first, 'no ladder', '2026-12-01');
    expect(
      proving(later, skip, skip).proved.followUps.map((f) => [f.due, f.what.includes('no ladder')]),
    ).toEqual([
      ['2026-12-01', true],
      ['2027-01-01', false],
    ]);
    expect(proving(later, { kind: 'followUp', id: 'x', followUp: null }).proved.followUps).toEqual([]);
  });

  test('pull-down readings come by time, one taken back is gone', () => {
    const at = (m: number, celsius: number | null): EntryBody => ({
      kind: 'pullDownReading',
      readAt: `2026-11-24T10:${m}:00.000Z`,
      celsius,
    });
    const { proved } = proving(at(30, 5), at(10, 12), at(20, 9), at(20, null));
    expect(proved.pullDown.map((r) => r.celsius)).toEqual([12, 5]);
  });
});
