// What a backup holds besides its dump: a check file with a sum over the dump and how much stood in the database at that moment.
import { createHash } from 'node:crypto';
import { createReadStream, existsSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { root } from './project.mjs';

export const CHECK_FORMAT = 'brine-dial/backup@1';
export const checkFileOf = (dump) => `${dump}.check.json`;

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
  return check;
}

/** Tables with their rows, as one line `name=rows name=rows`; partitions count with their table. Runs in whatever transaction is open. */
export const COUNT_SQL = `
  select coalesce(string_agg(name || '=' || rows, ' ' order by name), '') from (
    select c.relname as name,
      (xpath('/row/n/text()', query_to_xml(format('select count(*) as n from %I.%I', n.nspname, c.relname), false, true, '')))[1]::text as rows
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
