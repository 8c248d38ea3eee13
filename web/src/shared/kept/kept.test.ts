import 'fake-indexeddb/auto';
import { beforeEach, describe, expect, test } from '@jest/globals';
import type { AcceptedEntry } from '@brine/core/record/entries';
import { searchIn, answersOf } from './answers.ts';
import { forgetLeft, leaving, noteBack, noteLeaving } from './forgetting.ts';
import { kept, openKept, type KeptJob } from './keptStorage.ts';
import { jobsToKeep, noteAssigned } from './myJobs.ts';
import { joined } from './stream.ts';

globalThis.structuredClone ??= (value: unknown) => JSON.parse(JSON.stringify(value));
beforeEach(() => localStorage.clear());

const entry = (sequence: number, job = 'j'): AcceptedEntry =>
  ({ id: `${job}-${sequence}`, job, sequence }) as AcceptedEntry;

describe('what is kept of the server', () => {
  test('answers are each person’s own; a search without signal looks through the last whole list', async () => {
    let person: string | null = 'tess';
    const answers = answersOf(() => person);
    const list = { jobs: [{ title: 'Fish freezer' }, { title: 'Milk room' }] };
    answers.keep('/api/jobs?search=&archived=false', list);
    await new Promise((resolve) => setTimeout(resolve, 30));
    expect(await answers.find('jobs', '/api/jobs?search=&archived=false')).toEqual(list);
    expect(await answers.find('jobs', '/api/jobs?search=FREEZER%20fish&archived=false')).toEqual({
      jobs: [{ title: 'Fish freezer' }],
    });
    expect(await answers.find('unit', '/api/units/u1')).toBeUndefined();
    person = 'lena';
    expect(await answers.find('jobs', '/api/jobs?search=&archived=false')).toBeUndefined();
    expect(searchIn(list, '')).toEqual(list);
  });

  test('a stream grows by sequence, each entry once, and only by its own job', () => {
    const start = { person: 'p', job: 'j', entries: [entry(2)], names: {}, seen: 2 };
    const more = joined(start, [entry(4), entry(3), entry(2), entry(9, 'other')], { a: 'A' }, 4);
    expect(more.entries.map((e) => e.sequence)).toEqual([2, 3, 4]);
    expect([more.seen, more.names]).toEqual([4, { a: 'A' }]);
    expect(joined(more, [], {}, 0).seen).toBe(4);
  });

  test('marked jobs and the eight opened last stay', () => {
    const job = (n: number, marked = false): KeptJob => ({
      person: 'p',
      job: `j${n}`,
      marked,
      openedAt: marked ? null : `2026-11-${String(n).padStart(2, '0')}`,
      assigned: false,
      wholeAt: null,
      problem: null,
    });
    const staying = jobsToKeep([job(30, true), ...Array.from({ length: 12 }, (_, i) => job(i + 1))]);
    expect(staying.map(({ job: id }) => id)).toEqual([
      'j30',
      ...[5, 6, 7, 8, 9, 10, 11, 12].map((n) => `j${n}`),
    ]);
  });

  test('a job that is theirs to go to comes along by itself, and goes when it is handed on', async () => {
    await noteAssigned('bo', new Set(['a', 'b']));
    expect(jobsToKeep(await kept().jobs('bo')).map(({ job: id }) => id)).toEqual(['a', 'b']);
    await kept().noteJob('bo', 'a', { marked: true });
    await noteAssigned('bo', new Set(['b']));
    const staying = jobsToKeep(await kept().jobs('bo'));
    expect(staying.map(({ job: id, marked, assigned }) => [id, marked, assigned])).toEqual([
      ['a', true, false],
      ['b', false, true],
    ]);
  });

  test('what a person left is deleted once nothing of theirs waits, and nobody else’s', async () => {
    for (const person of ['tess', 'lena'])
      await kept().keepStream({ person, job: 'j', entries: [], names: {}, seen: 1 });
    noteLeaving('tess');
    await forgetLeft(async () => true);
    expect((await kept().stream('tess', 'j'))?.seen).toBe(1);
    await forgetLeft(async () => false);
    expect(await kept().stream('tess', 'j')).toBeUndefined();
    expect((await kept().stream('lena', 'j'))?.seen).toBe(1);
    expect(leaving()).toEqual([]);
    // Who signs in again keeps what is here.
    noteLeaving('lena');
    noteBack('lena');
    await forgetLeft(async () => false);
    expect((await kept().stream('lena', 'j'))?.seen).toBe(1);
  });

  test('what is noted of a job is changed, not replaced', async () => {
    const storage = openKept('own');
    await storage.noteJob('p', 'j', { marked: true });
    await storage.noteJob('p', 'j', { openedAt: 'now' });
    expect(await storage.jobs('p')).toMatchObject([{ marked: true, openedAt: 'now', wholeAt: null }]);
    expect(await storage.jobs('other')).toEqual([]);
  });
});
