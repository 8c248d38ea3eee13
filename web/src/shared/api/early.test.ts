import { readFileSync } from 'node:fs';
import { expect, test } from '@jest/globals';
import { stations } from '@brine/core/record/stations';
import { filesOf, pages } from '../../../earlyFile.ts';
import { addressOf } from './client.ts';
import { forgetSeen, noteSeen, takeEarly } from './early.ts';

const script = readFileSync(new URL('../../../early.js', import.meta.url), 'utf8');
const JOB = '3f2b8c1e-0000-4000-8000-000000000001';

/** Runs the script as a page at a path would, and what it asked for. */
function askedAt(path: string, known: readonly object[] = []): readonly string[] {
  const asked: string[] = [];
  const page = {
    location: { pathname: path.split('?')[0], search: path.includes('?') ? `?${path.split('?')[1]}` : '' },
    navigator: {},
    localStorage,
    performance,
    document,
    fetch: (address: string) => {
      asked.push(address);
      return Promise.resolve({ arrayBuffer: () => Promise.resolve(new ArrayBuffer(0)) });
    },
  };
  const built = script.replace('/* PAGES */ []', () => JSON.stringify(known));
  new Function(...Object.keys(page), built)(...Object.values(page));
  return asked;
}

test('a page’s own questions are asked before the program is there, by the addresses that it asks itself', () => {
  const usual = [addressOf('me'), addressOf('company')];
  expect(askedAt('/jobs')).toEqual([...usual, addressOf('jobs', {}, { search: '', archived: false })]);
  expect(askedAt('/today')).toEqual([...usual, addressOf('today')]);
  expect(askedAt('/jobs?state=late')).toEqual(usual);
  for (const open of ['/sign-in', '/link/secret', '/u/secret']) expect(askedAt(open)).toEqual([]);
  expect(askedAt('/demo/today')).toEqual(['/demo/api/me', '/demo/api/company', '/demo/api/today']);
});

test('of a job it asks for what is not on the device yet', () => {
  const entries = (after: number) => addressOf('entries', { id: JOB }, { after });
  expect(askedAt(`/jobs/${JOB}/program/plan`)).toContain(entries(0));
  noteSeen(JOB, 78);
  expect(askedAt(`/jobs/${JOB}/program/plan`)).toEqual([
    addressOf('me'),
    addressOf('company'),
    addressOf('job', { id: JOB }),
    entries(78),
  ]);
  forgetSeen();
  expect(askedAt(`/jobs/${JOB}/survey`)).toContain(entries(0));
});

test('a page that shows nothing without a worker has it fetched, the others have not', () => {
  const diagram = pages.find(({ worker }) => worker !== undefined)!;
  const known = [
    { ...diagram, files: [], worker: 'assets/layout.worker-1.js' },
    { begins: '^/jobs', files: [] },
  ];
  expect(askedAt(`/jobs/${JOB}/wire/diagram`, known)).toContain('/assets/layout.worker-1.js');
  expect(askedAt(`/jobs/${JOB}/wire/list`, known)).not.toContain('/assets/layout.worker-1.js');
});

test('letters stand from the beginning where `bringFonts` has noted that they are here', async () => {
  const { bringFonts, LETTERS_HERE } = await import('../layout/bringFonts.ts');
  Object.assign(document, { fonts: { ready: Promise.resolve() } });
  await bringFonts(Promise.resolve(), () => Promise.resolve());
  expect(localStorage.getItem(LETTERS_HERE)).toBe('yes');
  expect(script).toContain(`localStorage.getItem('${LETTERS_HERE}')`);
});

test('an early answer is taken once, and not when it is old', async () => {
  const answer = Promise.resolve({} as Response);
  const early = new Map([
    ['/api/me', { answer, at: performance.now() }],
    ['/api/today', { answer, at: performance.now() - 60_000 }],
  ]);
  Object.assign(globalThis, { brineEarly: early });
  expect(await takeEarly('/api/me')).toBe(await answer);
  expect(takeEarly('/api/me')).toBeUndefined();
  expect(takeEarly('/api/today')).toBeUndefined();
});

test('every station has its files asked for', () => {
  for (const station of stations) {
    const page = pages.find(({ begins }) => new RegExp(begins).test(`/jobs/${JOB}/${station}`));
    expect([station, page?.modules.some((module) => module.startsWith(`${station}/`))]).toEqual([
      station,
      true,
    ]);
  }
});

test('the files of a page are what its modules import, near and far, without those of the first page', () => {
  const built = [
    { fileName: 'index.js', type: 'chunk', isEntry: true, imports: ['vue.js'] },
    { fileName: 'vue.js', type: 'chunk' },
    {
      fileName: 'Jobs.js',
      type: 'chunk',
      facadeModuleId: '/x/src/jobs/JobsPage.vue',
      imports: ['vue.js', 'marks.js'],
    },
    { fileName: 'marks.js', type: 'chunk', imports: ['names.js', 'Jobs.js'] },
    { fileName: 'names.js', type: 'chunk' },
    { fileName: 'other.js', type: 'chunk' },
  ];
  expect([...filesOf(built, ['jobs/JobsPage.vue'])].sort()).toEqual(['Jobs.js', 'marks.js', 'names.js']);
  expect(filesOf(built, ['none/None.vue'])).toEqual([]);
});
