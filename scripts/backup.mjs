// Writes the whole database into one file, with PostgreSQL's own pg_dump, while Brine Dial runs or not; then puts it back into a scratch
// database and counts, since a backup nobody restored is a hope.
import { randomBytes } from 'node:crypto';
import { mkdirSync, renameSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { dirname, join, resolve } from 'node:path';
import {
  CHECK_FORMAT,
  checkFileOf,
  COUNT_SQL,
  dropOldBackups,
  dumpInto,
  pgRestore,
  stampOf,
  sumOf,
  toldOf,
} from './lib/backups.mjs';
import { readOptions } from './lib/options.mjs';
import { psql } from './lib/postgres.mjs';
import { homeFolder } from './lib/project.mjs';
import { databaseFor } from './lib/running.mjs';
import { fail, orFail, say } from './lib/say.mjs';
import { openSession } from './lib/session.mjs';

const options = readOptions(
  process.argv.slice(2),
  {
    to: { default: join(homeFolder, 'backups', `brine-${stampOf(new Date())}.dump`), help: 'file to write' },
    keep: { help: 'so many of the newest dated backups stay in the folder of the file; older ones go' },
    data: {
      env: 'BRINE_DATA',
      default: join(homeFolder, 'postgresql'),
      help: 'folder of the private PostgreSQL cluster',
    },
    'database-url': { env: 'BRINE_DATABASE_URL', help: 'an existing PostgreSQL database instead' },
  },
  'bin/backup [options]   writes the whole database into one file and proves that it can be put back',
);
if (options.keep !== undefined && !/^[1-9]\d{0,3}$/.test(options.keep))
  fail(`--keep: expected a number from 1 to 9999, read "${options.keep}".`);
const target = resolve(options.to);
const half = `${target}.part`;
mkdirSync(dirname(target), { recursive: true });
const database = await orFail(() => databaseFor(options));
const { postgres, url } = database;
try {
  const counted = await dump();
  await provenBy(counted);
  const check = { format: CHECK_FORMAT, at: new Date().toISOString(), sha256: await sumOf(half), counted };
  writeFileSync(checkFileOf(half), `${JSON.stringify(check, null, 2)}\n`);
  // Only a whole and proven backup gets the name of one; an older one of this name never meets a check file that is not its own.
  rmSync(checkFileOf(target), { force: true });
  renameSync(half, target);
  renameSync(checkFileOf(half), checkFileOf(target));
} catch (error) {
  rmSync(half, { force: true });
  rmSync(checkFileOf(half), { force: true });
  database.stop();
  fail(`The backup failed, and no file was left: ${toldOf(error)}`);
}
database.stop();
if (options.keep !== undefined) dropOldBackups(dirname(target), Number(options.keep));
process.stdout.write(`${target} (${Math.ceil(statSync(target).size / 1024)} kB)\n`);

/** Dumps and counts in one snapshot: what is written meanwhile is in neither. */
async function dump() {
  const session = openSession(postgres, url);
  try {
    await session.ask('begin isolation level repeatable read read only');
    const snapshot = await session.ask('select pg_export_snapshot()');
    dumpInto(database, half, `--snapshot=${snapshot}`);
    return await session.ask(COUNT_SQL);
  } finally {
    session.close();
  }
}

/** Restores into a scratch database and counts again. Where none may be made, the dump is at least read to its end. */
async function provenBy(counted) {
  const name = `brine_proof_${randomBytes(5).toString('hex')}`;
  const scratch = new URL(url);
  scratch.pathname = `/${name}`;
  try {
    psql(postgres, url, `create database ${name}`);
  } catch {
    say('No scratch database may be made here: the backup was read to its end, not put back.');
    pgRestore(database, '--file=/dev/null', half);
    return;
  }
  try {
    pgRestore(database, '--exit-on-error', '--single-transaction', `--dbname=${scratch}`, half);
    const found = psql(postgres, String(scratch), COUNT_SQL).trim();
    if (found !== counted) throw new Error(`put back on trial it held ${found}, expected ${counted}`);
  } finally {
    psql(postgres, url, `drop database if exists ${name}`);
  }
}
