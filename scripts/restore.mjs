// Puts a backup back. It is read whole, then restored beside what stands there, checked, and only then takes its place, all in one
// transaction: whatever goes wrong, the database stands as before. What stood there is also kept in a backup of its own.
import { existsSync, mkdirSync, rmSync, writeFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import {
  COUNT_SQL,
  dumpInto,
  knownMigrations,
  pgRestore,
  readCheck,
  stampOf,
  sumOf,
  toldOf,
} from './lib/backups.mjs';
import { readOptions } from './lib/options.mjs';
import { psql, throwAwayFolder } from './lib/postgres.mjs';
import { homeFolder } from './lib/project.mjs';
import { run } from './lib/run.mjs';
import { databaseFor } from './lib/running.mjs';
import { fail, orFail, say } from './lib/say.mjs';

const options = readOptions(
  process.argv.slice(2),
  {
    from: { help: 'backup file to put back' },
    data: {
      env: 'BRINE_DATA',
      default: join(homeFolder, 'postgresql'),
      help: 'folder of the private PostgreSQL cluster',
    },
    'database-url': { env: 'BRINE_DATABASE_URL', help: 'an existing PostgreSQL database instead' },
  },
  'bin/restore --from FILE [options]   puts a backup back; stop Brine Dial first',
);
if (!options.from) fail('--from: expected a backup file.');
const file = resolve(options.from);
if (!existsSync(file)) fail(`--from: no such file: ${file}`);
const database = await orFail(() => databaseFor(options));
const { postgres, url } = database;
if (database.inUse) fail('Brine Dial is running on this data. Stop it (Ctrl-C), then restore.');
const work = throwAwayFolder('restore');
let kept = null;
try {
  const others = othersOnIt();
  if (others !== '')
    throw new Error(`the database is in use by ${others}. Stop what runs on it, then restore`);
  const check = await sound(file);
  kept = keepWhatIsThere();
  swapIn(check);
} catch (error) {
  rmSync(work, { recursive: true, force: true });
  database.stop();
  fail(
    [
      `The restore failed: ${toldOf(error)}.`,
      'The database stands as it was before.',
      ...(kept ? [`A copy of it is in ${kept}`] : []),
    ].join('\n'),
  );
}
rmSync(work, { recursive: true, force: true });
database.stop();
process.stdout.write(`Restored ${file}. Start Brine Dial again with bin/start.\n`);

/** Who else holds a connection: a running server would go on writing into what is about to be replaced. */
function othersOnIt() {
  return psql(
    postgres,
    url,
    `select coalesce(string_agg(distinct coalesce(nullif(application_name, ''), 'a program without a name') || ' from ' || coalesce(host(client_addr), 'this machine'), ', '), '')
     from pg_stat_activity where datname = current_database() and backend_type = 'client backend' and pid <> pg_backend_pid()`,
  ).trim();
}

/** Reads the whole dump into SQL, so that a damaged one is refused before anything is touched. Returns its check file, if it came with one. */
async function sound(path) {
  const check = readCheck(path);
  if (check && (await sumOf(path)) !== check.sha256)
    throw new Error(
      'the file is not what its check file says: it was damaged or changed after it was written',
    );
  if (!check) say('This backup has no check file: only what the dump itself holds can be checked.');
  try {
    pgRestore(database, `--file=${join(work, 'dump.sql')}`, path);
  } catch {
    throw new Error('the file cannot be read to its end: it is damaged, or no backup');
  }
  return check;
}

function keepWhatIsThere() {
  const tables = Number(
    psql(postgres, url, `select count(*) from information_schema.tables where table_schema = 'public'`),
  );
  if (tables === 0) return null;
  const folder = join(homeFolder, 'backups');
  mkdirSync(folder, { recursive: true });
  const copy = join(folder, `before-restore-${stampOf(new Date())}.dump`);
  dumpInto(database, copy);
  say(`What stood in the database is kept in ${copy}`);
  return copy;
}

/** The old tables step aside, the new ones come in and are judged, the old ones go; one transaction, so all of it or nothing. */
function swapIn(check) {
  const before = join(work, 'before.sql');
  const after = join(work, 'after.sql');
  writeFileSync(
    before,
    `set local lock_timeout = '10s';
     alter schema public rename to before_restore;
     create schema public;
     -- What the indexes of words are made of comes along: a dump makes it only where it is not there.
     do $words$
     begin
       if exists (select 1 from pg_extension where extname = 'pg_trgm') then
         alter extension pg_trgm set schema public;
       end if;
     end $words$;\n`,
  );
  const known = knownMigrations()
    .map((name) => `'${name}'`)
    .join(', ');
  const expected = check ? `$expected$${check.counted}$expected$` : 'null';
  writeFileSync(
    after,
    `set search_path = pg_catalog;
     do $judge$
     declare unknown text; found text; expected text := ${expected};
     begin
       if to_regclass('public.migration') is null or to_regclass('public.entry') is null or to_regclass('public.person') is null then
         raise exception 'this is no backup of Brine Dial: its tables are not in it';
       end if;
       select string_agg(name, ', ') into unknown from public.migration where name not in (${known});
       if unknown is not null then
         raise exception 'this backup was made by a newer Brine Dial (%); update first', unknown;
       end if;
       found := (${COUNT_SQL});
       if expected is not null and found <> expected then
         raise exception 'what was put back is not whole: found %, expected %', found, expected;
       end if;
     end $judge$;
     drop schema before_restore cascade;\n`,
  );
  const script = [before, join(work, 'dump.sql'), after].flatMap((path) => ['-f', path]);
  try {
    run(
      join(postgres.bin, 'psql'),
      ['-X', '-q', '-v', 'ON_ERROR_STOP=1', '--single-transaction', '-d', url, ...script],
      {
        env: { ...postgres.env, PGOPTIONS: '-c client_min_messages=error' },
        stdio: ['ignore', 'ignore', 'inherit'],
      },
    );
  } catch {
    throw new Error('what it holds was refused; the reason stands above');
  }
}
