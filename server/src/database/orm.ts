import { MikroORM, type EntityManager } from '@mikro-orm/postgresql';
import { Migrator } from '@mikro-orm/migrations';
import { entities } from './entities.ts';
import { Migration0001Foundations } from './migrations/Migration0001Foundations.ts';
import { Migration0002AppendOnly } from './migrations/Migration0002AppendOnly.ts';
import { Migration0003PracticeAndMeanings } from './migrations/Migration0003PracticeAndMeanings.ts';
import { Migration0004Pictures } from './migrations/Migration0004Pictures.ts';
import { Migration0005LogsAndShares } from './migrations/Migration0005LogsAndShares.ts';
import { Migration0006EmptyMonths } from './migrations/Migration0006EmptyMonths.ts';
import { Migration0007Readiness } from './migrations/Migration0007Readiness.ts';
import { Migration0008Sessions } from './migrations/Migration0008Sessions.ts';
import { Migration0009Work } from './migrations/Migration0009Work.ts';
import { Migration0010ShareEnds } from './migrations/Migration0010ShareEnds.ts';
import { Migration0011AddedBy } from './migrations/Migration0011AddedBy.ts';
import { Migration0012OfflineDays } from './migrations/Migration0012OfflineDays.ts';
import { Migration0013CompanysDay } from './migrations/Migration0013CompanysDay.ts';
import { Migration0014CompanysPapers } from './migrations/Migration0014CompanysPapers.ts';
import { Migration0015Predictions } from './migrations/Migration0015Predictions.ts';
import { Migration0016KindBoxes } from './migrations/Migration0016KindBoxes.ts';
import { Migration0019Links } from './migrations/Migration0019Links.ts';
import { Migration0020LargeLists } from './migrations/Migration0020LargeLists.ts';
import { Migration0021HotReads } from './migrations/Migration0021HotReads.ts';
import { Migration0022SecondFactor } from './migrations/Migration0022SecondFactor.ts';
import { Migration0018Follow } from './migrations/Migration0018Follow.ts';
import { Migration0017BusLines } from './migrations/Migration0017BusLines.ts';

/** Migrations in the order they run. */
export const migrations = [
  { name: 'Migration0001Foundations', class: Migration0001Foundations },
  { name: 'Migration0002AppendOnly', class: Migration0002AppendOnly },
  { name: 'Migration0003PracticeAndMeanings', class: Migration0003PracticeAndMeanings },
  { name: 'Migration0004Pictures', class: Migration0004Pictures },
  { name: 'Migration0005LogsAndShares', class: Migration0005LogsAndShares },
  { name: 'Migration0006EmptyMonths', class: Migration0006EmptyMonths },
  { name: 'Migration0007Readiness', class: Migration0007Readiness },
  { name: 'Migration0008Sessions', class: Migration0008Sessions },
  { name: 'Migration0009Work', class: Migration0009Work },
  { name: 'Migration0010ShareEnds', class: Migration0010ShareEnds },
  { name: 'Migration0011AddedBy', class: Migration0011AddedBy },
  { name: 'Migration0012OfflineDays', class: Migration0012OfflineDays },
  { name: 'Migration0013CompanysDay', class: Migration0013CompanysDay },
  { name: 'Migration0014CompanysPapers', class: Migration0014CompanysPapers },
  { name: 'Migration0015Predictions', class: Migration0015Predictions },
  { name: 'Migration0016KindBoxes', class: Migration0016KindBoxes },
  { name: 'Migration0017BusLines', class: Migration0017BusLines },
  { name: 'Migration0018Follow', class: Migration0018Follow },
  { name: 'Migration0019Links', class: Migration0019Links },
  { name: 'Migration0020LargeLists', class: Migration0020LargeLists },
  { name: 'Migration0021HotReads', class: Migration0021HotReads },
  { name: 'Migration0022SecondFactor', class: Migration0022SecondFactor },
];

/** Opens the ORM. No file discovery, no snapshot: what the tables are stands in the migrations. */
export async function openOrm(databaseUrl: string): Promise<MikroORM> {
  return MikroORM.init({
    clientUrl: databaseUrl,
    entities,
    extensions: [Migrator],
    discovery: { disableDynamicFileAccess: true, warnWhenNoEntities: false },
    migrations: {
      migrationsList: migrations,
      snapshot: false,
      tableName: 'migration',
      allOrNothing: true,
      silent: true,
    },
    pool: { min: 0, max: 10 },
    // Statements of a list take some ten milliseconds; PostgreSQL would take a hundred to compile them first.
    driverOptions: { connection: { application_name: 'Brine Dial', options: '-c jit=off' } },
    forceUtcTimezone: true,
  });
}

/** Makes a database beside the one at the address, where it is not there; of two that do it at once one finds it there. */
export async function makeDatabase(besideUrl: string, name: string): Promise<void> {
  const orm = await MikroORM.init({
    clientUrl: besideUrl,
    entities: [],
    discovery: { disableDynamicFileAccess: true, warnWhenNoEntities: false },
  });
  const connection = orm.em.getConnection();
  try {
    const there = await connection.execute('select 1 from pg_database where datname = ?', [name]);
    if (there.length === 0) await connection.execute(`create database "${name.replaceAll('"', '""')}"`);
  } catch (error) {
    if (!/already exists|duplicate key/.test(String(error))) throw error;
  } finally {
    await orm.close(true);
  }
}

/** Key of the advisory lock that lets one process migrate at a time. */
const MIGRATION_LOCK = 727401;

/**
 * Brings the tables up to this version. Safe with several processes: the lock belongs to a transaction, which stays on one connection
 * from taking it to letting it go; the migrations run on another.
 */
export async function migrate(orm: MikroORM): Promise<void> {
  await oneAtATime(orm, async (em) => {
    await refuseNewer(em);
    await orm.getMigrator().up();
  });
}

/** Does what only one process may do at a time: the lock belongs to a transaction, so that it is let go whatever happens. */
export function oneAtATime<Result>(
  orm: MikroORM,
  work: (em: EntityManager) => Promise<Result>,
): Promise<Result> {
  return orm.em.fork().transactional(async (em) => {
    await em.execute('select pg_advisory_xact_lock(?)', [MIGRATION_LOCK]);
    return work(em);
  });
}

/** A database that a newer program has migrated: this one does not know what stands in it. */
export class NewerDatabase extends Error {}

async function refuseNewer(em: EntityManager): Promise<void> {
  const [there] = await em.execute<{ made: boolean }[]>(
    `select to_regclass('public.migration') is not null as made`,
  );
  if (!there?.made) return;
  const known = new Set(migrations.map(({ name }) => name));
  const rows = await em.execute<{ name: string }[]>('select name from migration');
  const unknown = rows.map(({ name }) => name).filter((name) => !known.has(name));
  if (unknown.length > 0)
    throw new NewerDatabase(
      `This database was used by a newer Brine Dial (${unknown.join(', ')}), which this one does not know. Start the newer version, or put back a backup from before with bin/restore.`,
    );
}
