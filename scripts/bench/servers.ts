import { clients } from '../../e2e/load/clients.ts';
import { startFilled } from '../../e2e/load/filledStage.ts';
import { query } from '../../e2e/support/database.ts';

const CLIENTS = 16;
const SECONDS = 5;

/** What two and four servers on one database answer, as a ratio to one; everything on this machine, so that its processors are what ends it. */
export async function serverRatios(say: (text: string) => void): Promise<void> {
  const filled = await startFilled(
    4,
    { sites: 500, units: 2000, jobs: 6000, entriesEach: 33, logPoints: 0 },
    say,
  );
  const { stage, cookie } = filled;
  try {
    const ids = (await query(stage.databaseUrl, 'select id from job where last_sequence > 0 limit 400')) as {
      id: string;
    }[];
    const paths: readonly (readonly [string, (n: number) => string])[] = [
      ['a job', (n) => `/jobs/${ids[n % ids.length]!.id}`],
      ['entries of a job', (n) => `/jobs/${ids[n % ids.length]!.id}/entries`],
      ['a page of jobs', () => '/jobs'],
    ];
    for (const [name, path] of paths) {
      const rate = async (servers: number) =>
        (
          await clients(CLIENTS, SECONDS, (n) => ({
            url: `${stage.bases[n % servers]!}/api${path(n)}`,
            headers: { cookie },
          }))
        ).perSecond;
      const one = await rate(1);
      const [two, four] = [await rate(2), await rate(4)];
      say(
        `${name}: one server ${one.toFixed(0)} a second; two ${(two / one).toFixed(2)} ×, four ${(four / one).toFixed(2)} × that`,
      );
    }
  } finally {
    stage.end();
  }
}
