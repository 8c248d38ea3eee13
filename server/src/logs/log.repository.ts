import { createReadStream } from 'node:fs';
import { Writable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import type { EntityManager } from '@mikro-orm/postgresql';
import type { ValueRole } from '@brine/core/logs/reading';
import { from as copyFrom, to as copyTo } from 'pg-copy-streams';
import type { ClientBase } from 'pg';
import { insert } from '../database/insert.ts';
import { logEntity, type StoredLog } from './log.entity.ts';
import { firstOfMonth } from './months.ts';

/** From a moment on, and up to another, where they are said; ISO 8601 in UTC. */
export interface LogWindow {
  readonly from?: string | undefined;
  readonly to?: string | undefined;
}

/** Key of the advisory lock under which partitions are made. */
const MONTHS_LOCK = 727402;

export function logRepository(em: EntityManager) {
  return {
    byId: (id: string) => em.findOne(logEntity, { id }),
    ofJob: (jobId: string) => em.find(logEntity, { jobId }, { orderBy: { createdAt: 'asc' } }),
    create: (log: StoredLog) => insert(em, logEntity, log),

    /** Makes the partitions of the months that hold readings and are not there yet, one process at a time. */
    async makeMonths(months: readonly string[]): Promise<void> {
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

    /** Loads the readings of a log in bulk from a file of COPY's text format, into partitions that are there. */
    async load(path: string, roles: readonly ValueRole[]): Promise<void> {
      const sql = `copy log_point (log_id, at, ${roles.map(quoted).join(', ')}) from stdin`;
      const client = await connectionOf(em);
      await pipeline(createReadStream(path), client.query(copyFrom(sql)));
    },

    /** The readings of a log that lie in a window, as lines of the open format, read as a stream. */
    async write(
      id: string,
      timeSql: string,
      roles: readonly ValueRole[],
      window: LogWindow,
      into: (text: string) => Promise<void>,
    ): Promise<void> {
      const sql = `copy (select ${timeSql}, ${roles.map(quoted).join(', ')} from log_point where log_id = '${id}'${inWindow(window)} order by at) to stdout (format csv)`;
      const client = await connectionOf(em);
      const sink = new Writable({
        // COPY sends each row by itself; what came meanwhile is handed on in one piece.
        writev(pieces: readonly { readonly chunk: Buffer }[], done) {
          into(Buffer.concat(pieces.map(({ chunk }) => chunk)).toString('utf8')).then(() => done(), done);
        },
        highWaterMark: PIECE_BYTES,
      });
      await pipeline(client.query(copyTo(sql)), sink);
    },
  };
}

/** COPY takes no values: what stands in its words is written from a moment that was read, never from what was sent. */
const inWindow = ({ from, to }: LogWindow): string =>
  [
    ['>=', from],
    ['<', to],
  ]
    .map(([sign, at]) => (at === undefined ? '' : ` and at ${sign} '${new Date(at).toISOString()}'`))
    .join('');

/** Rows that are handed on at once. */
const PIECE_BYTES = 128 * 1024;

const quoted = (role: ValueRole) => `"${role}"`;

/** The connection of the transaction under way: COPY speaks to the driver, not through the ORM. */
async function connectionOf(em: EntityManager): Promise<ClientBase> {
  const transaction = em.getTransactionContext<{
    readonly client: { acquireConnection(): Promise<ClientBase> };
  }>();
  if (!transaction) throw new Error('a log is loaded inside a transaction');
  return transaction.client.acquireConnection();
}

const partitionName = (month: string) => `log_point_${month.slice(0, 7).replace('-', '_')}`;

function partitionSql(month: string): string {
  const next = firstOfMonth(new Date(month), 1);
  return `create table if not exists "${partitionName(month)}" partition of log_point for values from ('${month}Z') to ('${next}Z')`;
}
