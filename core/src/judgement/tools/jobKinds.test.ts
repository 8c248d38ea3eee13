import { expect, test } from '@jest/globals';
import { existsSync, readFileSync } from 'node:fs';

const root = new URL('../../../../', import.meta.url);
const read = (path: string) => readFileSync(new URL(path, root), 'utf8');

/** The table a reader is shown must not run ahead of what is there. */
test('the table of job kinds names demo jobs, stations and tests that exist; no cell is empty', () => {
  const { jobs } = JSON.parse(read('demo/saltmarsh.json')) as {
    jobs: readonly { title: string; entries: readonly { kind: string }[] }[];
  };
  const complete = new Map(
    jobs.map((job) => [job.title, job.entries.some((entry) => entry.kind === 'handedOver')]),
  );
  const stations = new Set(['Survey', 'Fit', 'Wire', 'Program', 'Prove', 'Hand over']);
  const rows = read('docs/job-kinds.md')
    .split('\n')
    .filter((line) => line.startsWith('|'))
    .slice(2)
    .map((line) =>
      line
        .split('|')
        .slice(1, -1)
        .map((cell) => cell.trim()),
    );
  expect(rows.length).toBeGreaterThanOrEqual(14);
  for (const [kind, named, used, own, file] of rows) {
    for (const cell of [kind, named, used, own, file]) expect(cell).toBeTruthy();
    const shown = named!.split('; ').map((job) => [job.replace('✓ ', ''), job.startsWith('✓ ')] as const);
    for (const [title, marked] of shown) expect([title, complete.get(title)]).toEqual([title, marked]);
    // Two kinds are left in the middle of the work: their browser tests go through it from there.
    if (!['Walk-in freezer, replaced control', '12 V fridge, wiring'].includes(kind!))
      expect([kind, shown.some(([, marked]) => marked)]).toEqual([kind, true]);
    for (const station of used!.split(', ')) expect(stations).toContain(station);
    expect(existsSync(new URL(file!, root))).toBe(true);
  }
});
