import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { startHarness, type Harness } from '../../testing/harness.ts';
import { entities } from './entities.ts';
import { knownMigrations } from '../../../scripts/lib/backups.mjs';
import { migrate, migrations } from './orm.ts';

let harness: Harness;
beforeAll(async () => {
  harness = await startHarness({ migrate: false });
});
afterAll(() => harness.stop());

describe('migrations', () => {
  const sql = (text: string) => harness.orm.em.getConnection().execute(text);

  test('bring an installation of the first version up with its rows', async () => {
    await harness.orm.getMigrator().up({ to: 'Migration0001Foundations' });
    const id = '00000000-0000-4000-8000-000000000001';
    await sql(
      `insert into person values ('${id}', 'old', 'Old hand', 'technician', null, null, false, now())`,
    );
    await sql(`insert into site values ('${id}', 'Quay', '', '', null, now())`);
    await sql(`insert into unit values ('${id}', '${id}', 'Freezer', '', '', null, now())`);
    await sql(`insert into job values ('${id}', '${id}', 'Job', 1, '${id}', now(), null)`);
    await sql(
      `insert into entry values ('${id}', '${id}', 1, 'd', 1, 't', 0, '${id}', '{"kind":"note","text":"kept"}', now())`,
    );
    await migrate(harness.orm);
    const [row] = await sql('select body from entry');
    expect(row!['body'].text).toBe('kept');
    await expect(sql('delete from entry')).rejects.toThrow('only ever added');
  });

  test('of several processes at once run once each, and the lock is let go', async () => {
    await Promise.all([migrate(harness.orm), migrate(harness.orm), migrate(harness.orm)]);
    // Of this database: other tests beside it migrate theirs.
    const locks = await sql(
      `select 1 from pg_locks where locktype = 'advisory'
          and database = (select oid from pg_database where datname = current_database())`,
    );
    expect(locks).toEqual([]);
  });

  test('are the files that bin/restore knows a backup by', () => {
    expect(migrations.map(({ name }) => name)).toEqual(knownMigrations());
  });

  test('a database that a newer version has used is refused with a sentence, and left as it is', async () => {
    await sql(`insert into migration (name, executed_at) values ('Migration9999Tomorrow', now())`);
    await expect(migrate(harness.orm)).rejects.toThrow(
      /newer Brine Dial \(Migration9999Tomorrow\).*bin\/restore/,
    );
    await sql(`delete from migration where name = 'Migration9999Tomorrow'`);
    await migrate(harness.orm);
  });

  test('months without readings that an older version made are taken away', async () => {
    await sql(
      `create table "log_point_1971_01" partition of log_point for values from ('1971-01-01Z') to ('1971-02-01Z')`,
    );
    await harness.orm.getMigrator().down({ migrations: ['Migration0006EmptyMonths'] });
    await migrate(harness.orm);
    expect(await sql(`select 1 from pg_class where relname = 'log_point_1971_01'`)).toEqual([]);
  });

  test('run again change nothing', async () => {
    await migrate(harness.orm);
    expect(await harness.orm.getMigrator().getPendingMigrations()).toEqual([]);
  });

  test('the tables have the columns the entities name', async () => {
    const columns = await sql(
      `select table_name, column_name from information_schema.columns where table_schema = 'public'`,
    );
    const known = new Set(columns.map((c) => `${c['table_name']}.${c['column_name']}`));
    for (const entity of entities) {
      const meta = harness.orm.getMetadata().get(entity.meta.className);
      for (const property of meta.props)
        for (const column of property.fieldNames) expect(known).toContain(`${meta.collection}.${column}`);
    }
  });

  test('can be taken back', async () => {
    await harness.orm.getMigrator().down({ to: 0 });
    const tables = await sql(
      `select table_name from information_schema.tables where table_schema = 'public'`,
    );
    expect(tables.map((t) => t['table_name'])).toEqual(['migration']);
  });
});
