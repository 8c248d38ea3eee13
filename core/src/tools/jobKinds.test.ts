import { expect, test } from '@jest/globals';
import { existsSync, readFileSync } from 'node:fs';

const root = new URL('../../../', import.meta.url);
const read = (path: string) => readFileSync(new URL(path, root), 'utf8');

/** The table a reader is shown must not run ahead of what is there. */
test('the table of job kinds names demo jobs, stations and tests that exist; no cell is empty', () => {
  const { jobs } = JSON.parse(read('demo/saltmarsh.json')) as { jobs: readonly { title: string }[] };
  const titles = new Set(jobs.map((job) => job.title));
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
  for (const [kind, job, used, own, file] of rows) {
    for (const cell of [kind, job, used, own, file]) expect(cell).toBeTruthy();
    expect(titles).toContain(job);
    for (const station of used!.split(', ')) expect(stations).toContain(station);
    expect(existsSync(new URL(file!, root))).toBe(true);
  }
});
