import { randomUUID } from 'node:crypto';
import { startStage } from '../chaos/stage.ts';
import { signInAt } from '../chaos/load.ts';
import { PASSWORD } from '../support/steps.ts';
import { manyPlaces } from './manyPlaces.ts';

/** What the issue asks for: so many, and a search within so long at the server. */
const SITES = 500;
const JOBS = 2000;
const BOUND_MS = 100;
const TIMES = 30;

/** The lists of a large company: how long a search takes at the server, at the median of thirty, and whether it counts right. */
export async function largeLists(say: (text: string) => void) {
  const stage = await startStage(1);
  try {
    const [base] = stage.bases as [string];
    await stage.ready();
    const { cookie } = await signInAt(base, 'tess', PASSWORD, randomUUID());
    await manyPlaces(stage.databaseUrl, { sites: SITES, jobs: JOBS });
    const ask = async (path: string) => {
      const answer = await fetch(`${base}/api${path}`, { headers: { cookie } });
      if (!answer.ok) throw new Error(`${path}: ${answer.status}`);
      return (await answer.json()) as {
        total?: number;
        jobs?: readonly unknown[];
        sites?: readonly unknown[];
      };
    };
    const bounds = [];
    for (const [name, path, total] of [
      ['jobs: the first page', '/jobs', null],
      ['jobs: a word in all of them', '/jobs?search=call', JOBS],
      ['jobs: one title', `/jobs?search=${encodeURIComponent('call 1999')}`, 1],
      ['jobs: a telephone number', '/jobs?search=0555000123', JOBS / SITES],
      ['jobs: late ones', '/jobs?state=late', null],
      ['sites: a word in all of them', '/places?search=alleyway', SITES],
      ['sites: by the tag of a unit', '/places?search=W-1999', 1],
      ['today', '/today', null],
    ] as const) {
      const took: number[] = [];
      for (let i = 0; i < TIMES; i += 1) {
        const began = performance.now();
        const answer = await ask(path);
        took.push(performance.now() - began);
        if (total !== null && answer.total !== total)
          throw new Error(`${path}: ${answer.total} found, ${total} are there`);
      }
      took.sort((a, b) => a - b);
      bounds.push({ name, measured: took[TIMES / 2]!, bound: BOUND_MS, unit: 'ms' });
    }
    say(`${SITES} sites, ${JOBS} jobs: counts are right on every list`);
    return bounds;
  } finally {
    stage.end();
  }
}
