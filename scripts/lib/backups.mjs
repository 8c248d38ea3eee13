// What bin/backup and bin/restore share: the dump, and the check file beside it with a sum and how much stood in the database then.
import { createHash } from 'node:crypto';
import { createReadStream, existsSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { root } from './project.mjs';
import { run } from './run.mjs';

export const CHECK_FORMAT = 'brine-dial/backup@1';
export const checkFileOf = (dump) => `${dump}.check.json`;

/** Where the queue's own tables stand: what waits in it is made anew from the table `work`, so no backup holds them. */
export const QUEUE_SCHEMA = 'work_queue';

/** Dumps a database into a file, in PostgreSQL's own custom format, without owners: it may be put back under any. */
export function dumpInto({ postgres, url }, file, ...more) {
  const without = `--exclude-schema=${QUEUE_SCHEMA}`;
  const args = ['--format=custom', '--no-owner', '--no-privileges', without, ...more, `--file=${file}`, url];
  run(join(postgres.bin, 'pg_dump'), args, { env: postgres.env });
}

/** pg_restore without owners, with whatever else it is told. */
export function pgRestore({ postgres }, ...args) {
  run(join(postgres.bin, 'pg_restore'), ['--no-owner', '--no-privileges', ...args], {
    env: postgres.env,
    stdio: ['ignore', 'ignore', 'inherit'],
  });
}

/** A moment as part of a file's name. */
export const stampOf = (date) => date.toISOString().replaceAll(/[:.]/g, '-').slice(0, 23);

/** What went wrong, without the address of the database, which holds its password. */
export const toldOf = (error) => error.message.replace(/postgresql:\S+/g, '(database)');

/** SHA-256 of a file, read in pieces. */
export async function sumOf(path) {
  const hash = createHash('sha256');
  for await (const piece of createReadStream(path)) hash.update(piece);
  return hash.digest('hex');
}

/** The check file beside a dump, or null where the dump came without one. */
export function readCheck(dump) {
  const path = checkFileOf(dump);
  if (!existsSync(path)) return null;
  const check = JSON.parse(readFileSync(path, 'utf8'));
  if (check.format !== CHECK_FORMAT) throw new Error(`${path}: expected "${CHECK_FORMAT}"`);
  // It goes into a statement: nothing but names and numbers may stand there.
  if (!/^[0-9a-f]{64}$/.test(check.sha256) || !/^(\w+=\d+( |$))*$/.test(check.counted))
    throw new Error(`${path}: expected a sum, and tables with their rows`);
  return check;
}

/** Tables with their rows, as one line `name=rows name=rows`; partitions count with their table. Runs in whatever transaction is open, whatever its search path. */
export const COUNT_SQL = `
  select coalesce(string_agg(name || '=' || rows, ' ' order by name), '') from (
    select c.relname as name,
      (pg_catalog.xpath('/row/n/text()', query_to_xml(format('select count(*) as n from %I.%I', n.nspname, c.relname), false, true, '')))[1]::text as rows
    from pg_class c join pg_namespace n on n.oid = c.relnamespace
    where n.nspname = 'public' and c.relkind in ('r', 'p') and not c.relispartition) counted`;

/** Migrations this program knows, by the names of their files. */
export const knownMigrations = () =>
  readdirSync(join(root, 'server/src/database/migrations'))
    .filter((name) => /^Migration\d+.*\.ts$/.test(name))
    .map((name) => name.replace(/\.ts$/, ''))
    .sort();

/** Leaves the newest `keep` of the backups that `bin/backup` named itself; others are nobody's but their owner's. */
export function dropOldBackups(folder, keep) {
  const own = readdirSync(folder)
    .filter((name) => /^brine-\d{4}-\d\d-\d\dT[\d-]+\.dump$/.test(name))
    .sort();
  for (const name of own.slice(0, Math.max(0, own.length - keep))) {
    rmSync(join(folder, name), { force: true });
    rmSync(checkFileOf(join(folder, name)), { force: true });
  }
}
