import { describe, expect, test } from '@jest/globals';
import type { Job } from '@brine/contract/routes';
import { aJob } from '../../testing/mounting.ts';
import { lanesOf, loadsOf } from './board.ts';

const TODAY = '2026-11-30';
const job = (
  id: string,
  plannedFor: string | null,
  who: string | null,
  waitsFor = '',
  site = 'Quay',
): Job => ({
  ...aJob,
  id,
  plannedFor,
  waitsFor,
  assignedTo: who === null ? null : { id: who, name: who },
  unit: { ...aJob.unit, siteName: site },
});
const jobs = [
  job('late', '2026-11-28', 'tess'),
  job('today', TODAY, 'bo', 'belt'),
  job('friday', '2026-12-04', 'tess'),
  job('later', '2026-12-20', null, '', 'Dairy'),
  job('some day', null, 'tess', '', 'Dairy'),
];
const told = (board: Parameters<typeof lanesOf>[1]) =>
  lanesOf(jobs, board, TODAY, 'tess').map((lane) => [lane.title, lane.jobs.map((j) => j.id)]);

describe('the board', () => {
  test('everybody: by when, the late first; none is lost', () => {
    expect(told('everybody')).toEqual([
      ['Late', ['late']],
      ['Today', ['today']],
      ['This week', ['friday']],
      ['Later', ['later']],
      ['No day yet', ['some day']],
    ]);
  });
  test('mine, waiting, and by site', () => {
    expect(told('mine').flatMap(([, ids]) => ids)).toEqual(['late', 'friday', 'some day']);
    expect(told('waiting')).toEqual([['Today', ['today']]]);
    expect(told('site')).toEqual([
      ['Dairy', ['later', 'some day']],
      ['Quay', ['late', 'today', 'friday']],
    ]);
  });
  test('who has how much', () => {
    const people = [
      { id: 'bo', name: 'Bo' },
      { id: 'ida', name: 'Ida' },
      { id: 'tess', name: 'Tess' },
    ];
    expect(loadsOf(jobs, people, TODAY).map(({ name, jobs: n, late }) => [name, n, late])).toEqual([
      ['Tess', 3, 1],
      ['Bo', 1, 0],
      ['Ida', 0, 0],
    ]);
  });
  test('of one person only theirs, in any look', () => {
    const jobs = [job('a', TODAY, 'tess'), job('b', TODAY, 'bo'), job('c', null, 'bo')];
    const ids = (board: 'everybody' | 'site') =>
      lanesOf(jobs, board, TODAY, 'tess', 'bo').flatMap((lane) => lane.jobs.map(({ id }) => id));
    expect([ids('everybody'), ids('site')]).toEqual([
      ['b', 'c'],
      ['b', 'c'],
    ]);
  });
  test('this week ends on its Sunday', () => {
    // 30 November 2026 is a Monday, 6 December a Sunday (ISO 8601 week 49).
    const days = ['2026-12-06', '2026-12-07'].map((day) => job(day, day, 'tess'));
    expect(lanesOf(days, 'everybody', TODAY, null).map(({ title, jobs: [one] }) => [title, one!.id])).toEqual(
      [
        ['This week', '2026-12-06'],
        ['Later', '2026-12-07'],
      ],
    );
    expect(lanesOf(days, 'everybody', '2026-12-06', null).map(({ title }) => title)).toEqual([
      'Today',
      'Later',
    ]);
  });
});
