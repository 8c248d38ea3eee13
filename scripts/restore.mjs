// Puts a backup back. What stands in the database is first backed up itself, so that a restore can be undone.
import { existsSync, mkdirSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { readOptions } from './lib/options.mjs';
import { psql } from './lib/postgres.mjs';
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
if (database.inUse) fail('Brine Dial is running on this data. Stop it (Ctrl-C), then restore.');
try {
  readable(file);
  keepWhatIsThere();
  psql(database.postgres, database.url, 'drop schema public cascade; create schema public');
  run(
    join(database.postgres.bin, 'pg_restore'),
    [
      '--no-owner',
      '--no-privileges',
      '--exit-on-error',
      '--single-transaction',
      `--dbname=${database.url}`,
      file,
    ],
    {
      env: database.postgres.env,
    },
  );
} catch (error) {
  database.stop();
  fail(`The restore failed: ${error.message.replace(/postgresql:\S+/g, '(database)')}`);
}
database.stop();
process.stdout.write(`Restored ${file}. Start Brine Dial again with bin/start.\n`);

/** A file that is no backup is refused before anything is touched. */
function readable(path) {
  run(join(database.postgres.bin, 'pg_restore'), ['--list', path], {
    env: database.postgres.env,
    stdio: ['ignore', 'ignore', 'inherit'],
  });
}

function keepWhatIsThere() {
  const tables = Number(
    psql(
      database.postgres,
      database.url,
      `select count(*) from information_schema.tables where table_schema = 'public'`,
    ),
  );
  if (tables === 0) return;
  const folder = join(homeFolder, 'backups');
  mkdirSync(folder, { recursive: true });
  const kept = join(
    folder,
    `before-restore-${new Date().toISOString().slice(0, 19).replaceAll(':', '-')}.dump`,
  );
  run(
    join(database.postgres.bin, 'pg_dump'),
    ['--format=custom', '--no-owner', '--no-privileges', `--file=${kept}`, database.url],
    { env: database.postgres.env },
  );
  say(`What stood in the database is kept in ${kept}`);
}
