import { createHash, randomUUID } from 'node:crypto';
import { startStage } from '../chaos/stage.ts';
import { signInAt } from '../chaos/load.ts';
import { PASSWORD } from '../support/steps.ts';
import { manyPlaces } from './manyPlaces.ts';

/** How large a company is, and at which of all answers its lists are held to their bound. */
export interface CompanySize {
  readonly sites: number;
  /** As many units. */
  readonly jobs: number;
  /** 0.5: the one in the middle. */
  readonly at: number;
}
/** A large company of one region, and the largest that one installation is meant for. */
export const large: CompanySize = { sites: 500, jobs: 2000, at: 0.5 };
export const largest: CompanySize = { sites: 5000, jobs: 60_000, at: 0.95 };

/** The serial number of one unit, as `manyPlaces` writes it. */
const serial = createHash('md5').update('1999').digest('hex');

/** A list within so long at the server. */
const BOUND_MS = 100;
const TIMES = 30;

/** The lists of a company: how long a search takes at the server, of thirty, and whether it counts right. */
export async function largeLists(say: (text: string) => void, { sites, jobs, at }: CompanySize) {
  const stage = await startStage(1);
  try {
    const [base] = stage.bases as [string];
    await stage.ready();
    const { cookie } = await signInAt(base, 'tess', PASSWORD, randomUUID());
    await manyPlaces(stage.databaseUrl, { sites, jobs });
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
      ['jobs: a word in all of them', '/jobs?search=call', jobs],
      ['jobs: one plate', `/jobs?search=${serial}`, 1],
      ['jobs: a telephone number', '/jobs?search=0555000123', jobs / sites],
      ['jobs: late ones', '/jobs?state=late', null],
      ['sites: a word in all of them', '/places?search=alleyway', sites],
      ['sites: by the plate of a unit', `/places?search=${serial}`, 1],
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
      bounds.push({ name, measured: took[Math.ceil(TIMES * at) - 1]!, bound: BOUND_MS, unit: 'ms' });
    }
    say(`${sites} sites, ${jobs} jobs: counts are right on every list`);
    return bounds;
  } finally {
    stage.end();
  }
}
