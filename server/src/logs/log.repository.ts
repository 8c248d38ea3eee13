import { Readable, Writable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import type { EntityManager } from '@mikro-orm/postgresql';
import { valueRoles, type Log, type ValueRole } from '@brine/core/logs/reading';
import { from as copyFrom, to as copyTo } from 'pg-copy-streams';
import type { ClientBase } from 'pg';
import { insert } from '../database/insert.ts';
import { logEntity, type StoredLog } from './log.entity.ts';

/** Rows sent to the database as one piece of text. */
const ROWS_AT_ONCE = 4000;

/** Key of the advisory lock under which partitions are made. */
const MONTHS_LOCK = 727402;

export function logRepository(em: EntityManager) {
  return {
    byId: (id: string) => em.findOne(logEntity, { id }),
    ofJob: (jobId: string) => em.find(logEntity, { jobId }, { orderBy: { createdAt: 'asc' } }),
    create: (log: StoredLog) => insert(em, logEntity, log),

    /** Makes the partitions of the months that hold readings and are not there yet, one process at a time. */
    async makeMonths(log: Log): Promise<void> {
      const months = monthsOf(log.time);
      const known = await em.execute<{ name: string }[]>(
        `select relname as name from pg_class where relkind = 'r' and relname in (${months.map(() => '?').join(', ')})`,
        months.map(partitionName),
      );
      const there = new Set(known.map((row) => row.name));
      const missing = months.filter((month) => !there.has(partitionName(month)));
      if (missing.length === 0) return;
      await em.execute('select pg_advisory_xact_lock(?)', [MONTHS_LOCK]);
      for (const month of missing) await em.execute(partitionSql(month));
    },

    /** Loads all readings of a log in bulk (COPY) into partitions that are there. */
    async load(id: string, log: Log): Promise<void> {
      const roles = rolesOf(log);
      const sql = `copy log_point (log_id, at, ${roles.map(quoted).join(', ')}) from stdin`;
      const client = await connectionOf(em);
      await pipeline(Readable.from(copyLines(id, log, roles)), client.query(copyFrom(sql)));
    },

    /** The readings of a log as lines of the open format, every so-manieth, read as a stream. */
    async write(
      log: StoredLog,
      timeSql: string,
      roles: readonly ValueRole[],
      into: (text: string) => Promise<void>,
    ): Promise<void> {
      const sql = `copy (select ${timeSql}, ${roles.map(quoted).join(', ')} from log_point where log_id = '${log.id}' order by at) to stdout (format csv)`;
      const client = await connectionOf(em);
      const sink = new Writable({
        write(chunk: Buffer, _, done) {
          into(chunk.toString('utf8')).then(() => done(), done);
        },
      });
      await pipeline(client.query(copyTo(sql)), sink);
    },
  };
}

const quoted = (role: ValueRole) => `"${role}"`;
const rolesOf = (log: Log) => valueRoles.filter((role) => log.values[role] !== undefined);

/** The connection of the transaction under way: COPY speaks to the driver, not through the ORM. */
async function connectionOf(em: EntityManager): Promise<ClientBase> {
  const transaction = em.getTransactionContext<{
    readonly client: { acquireConnection(): Promise<ClientBase> };
  }>();
  if (!transaction) throw new Error('a log is loaded inside a transaction');
  return transaction.client.acquireConnection();
}

/** First days of the months that hold a reading, `2026-04-01`. A month without one gets no partition. */
function monthsOf(time: Float64Array): readonly string[] {
  const months: string[] = [];
  let next = Number.NEGATIVE_INFINITY;
  for (const seconds of time) {
    if (seconds < next) continue;
    const at = new Date(seconds * 1000);
    months.push(new Date(Date.UTC(at.getUTCFullYear(), at.getUTCMonth(), 1)).toISOString().slice(0, 10));
    next = Date.UTC(at.getUTCFullYear(), at.getUTCMonth() + 1, 1) / 1000;
  }
  return months;
}

const partitionName = (month: string) => `log_point_${month.slice(0, 7).replace('-', '_')}`;

function partitionSql(month: string): string {
  const next = new Date(`${month}T00:00:00Z`);
  next.setUTCMonth(next.getUTCMonth() + 1);
  return `create table if not exists "${partitionName(month)}" partition of log_point for values from ('${month}Z') to ('${next.toISOString().slice(0, 10)}Z')`;
}

/** Lines of COPY's text format: tabs between cells, \\N for a missing reading. */
function* copyLines(id: string, log: Log, roles: readonly ValueRole[]): Generator<string> {
  const columns = roles.map((role) => log.values[role]!);
  let text = '';
  for (let i = 0; i < log.time.length; i += 1) {
    text += `${id}\t${new Date(log.time[i]! * 1000).toISOString()}`;
    for (const column of columns) text += column[i] === column[i] ? `\t${Math.fround(column[i]!)}` : '\t\\N';
    text += '\n';
    if ((i + 1) % ROWS_AT_ONCE === 0) {
      yield text;
      text = '';
    }
  }
  if (text !== '') yield text;
}
