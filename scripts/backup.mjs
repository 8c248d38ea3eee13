// Writes the whole database into one file, with PostgreSQL's own pg_dump, while Brine Dial runs or not.
import { mkdirSync, renameSync, rmSync, statSync } from 'node:fs';
import { dirname, join, resolve } from 'node:path';
import { readOptions } from './lib/options.mjs';
import { homeFolder } from './lib/project.mjs';
import { run } from './lib/run.mjs';
import { databaseFor } from './lib/running.mjs';
import { fail, orFail } from './lib/say.mjs';

const stamp = new Date().toISOString().slice(0, 19).replaceAll(':', '-');
const options = readOptions(
  process.argv.slice(2),
  {
    to: { default: join(homeFolder, 'backups', `brine-${stamp}.dump`), help: 'file to write' },
    data: {
      env: 'BRINE_DATA',
      default: join(homeFolder, 'postgresql'),
      help: 'folder of the private PostgreSQL cluster',
    },
    'database-url': { env: 'BRINE_DATABASE_URL', help: 'an existing PostgreSQL database instead' },
  },
  'bin/backup [options]   writes the whole database into one file',
);
const target = resolve(options.to);
const half = `${target}.part`;
mkdirSync(dirname(target), { recursive: true });
const database = await orFail(() => databaseFor(options));
try {
  run(
    join(database.postgres.bin, 'pg_dump'),
    ['--format=custom', '--no-owner', '--no-privileges', `--file=${half}`, database.url],
    { env: database.postgres.env },
  );
  // Only a whole backup gets the name of one.
  renameSync(half, target);
} catch (error) {
  rmSync(half, { force: true });
  database.stop();
  fail(`The backup failed, and no file was left: ${error.message.replace(/postgresql:\S+/g, '(database)')}`);
}
database.stop();
process.stdout.write(`${target} (${Math.ceil(statSync(target).size / 1024)} kB)\n`);
