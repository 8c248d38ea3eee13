import { query } from '../../e2e/support/database.ts';
import { startFilled } from '../../e2e/load/filledStage.ts';
import { listBounds } from '../../e2e/load/lists.ts';
import type { CompanySize } from '../../e2e/load/fillCompany.ts';
import { hotReads } from './hotReads.ts';

/** The largest company that one installation is meant for. */
export const largest: CompanySize = {
  sites: 5000,
  units: 20_000,
  jobs: 60_000,
  entriesEach: 33,
  logPoints: 100_000_000,
};

/** Lists, histories, logs and hot reads of the largest company, with what was filled. */
export async function scaleBounds(size: CompanySize, say: (text: string) => void) {
  const filled = await startFilled(1, size, say);
  try {
    const { stage, base, cookie } = filled;
    for (const table of ['entry', 'job', 'unit'])
      say(`${table}: ${await sizeOf(stage.databaseUrl, `pg_total_relation_size('${table}')`)}`);
    say(
      `log_point: ${await sizeOf(stage.databaseUrl, `(select sum(pg_total_relation_size(inhrelid)) from pg_inherits where inhparent = 'log_point'::regclass)`)}`,
    );
    const jobs = (await query(stage.databaseUrl, 'select id from job where last_sequence > 0 limit 500')) as {
      id: string;
    }[];
    return [
      ...(await listBounds(filled, size, { share: 0.95, seconds: 5, many: true }, say)),
      ...(await hotReads(
        base,
        stage.databaseUrl,
        cookie,
        jobs.map(({ id }) => id),
        say,
      )),
    ];
  } finally {
    filled.stage.end();
  }
}

async function sizeOf(databaseUrl: string, bytes: string): Promise<string> {
  const [row] = (await query(databaseUrl, `select pg_size_pretty((${bytes})::bigint) as size`)) as {
    size: string;
  }[];
  return row!.size;
}
