import pg from 'pg';
import type { EntityManager } from '@mikro-orm/postgresql';
import type { Logger } from 'pino';
import { loggedError } from '../http/loggedError.ts';
import { together } from './together.ts';

/** Reads rows by a statement of SQL with question marks for its values. Rows may be shared with others who asked the same: they must not be changed. */
export interface Reader {
  /** By a statement that is prepared once a connection: its text must be one of few. */
  rows<Row extends object>(sql: string, values?: readonly unknown[]): Promise<Row[]>;
  /** By a statement that is planned anew: what goes about it best hangs on what was typed. */
  rowsByTyped<Row extends object>(sql: string, values: readonly unknown[]): Promise<Row[]>;
}

/** Reads where a transaction of the ORM is under way, and sees what it wrote. */
export function readerOn(em: EntityManager): Reader {
  const rows = <Row extends object>(sql: string, values: readonly unknown[] = []) =>
    em.execute<Row[]>(sql, [...values]);
  return { rows, rowsByTyped: rows };
}

/** Connections of one server for reading. More than the database has cores would only wait there instead of here, where those who wait for the same are answered together. */
const MOST_CONNECTIONS = 4;
/** Whoever waits longer for a connection is told that the database does not answer. */
const LONGEST_WAIT_MS = 10_000;

/** A reader on connections of its own, beside those of the ORM, whose mapping costs more than what is read. */
export interface OwnReader extends Reader {
  close(): Promise<void>;
}

/** Opens a reader on the driver. Statements run as if each were a transaction of its own. */
export function openReader(databaseUrl: string, log?: Logger): OwnReader {
  const pool = new pg.Pool({
    connectionString: databaseUrl,
    application_name: 'Brine Dial',
    max: MOST_CONNECTIONS,
    connectionTimeoutMillis: LONGEST_WAIT_MS,
    // Statements of a list take some ten milliseconds; PostgreSQL would take a hundred to compile them first.
    options: '-c jit=off -c timezone=UTC',
  });
  // A connection that breaks while nobody uses it: the next who reads makes another.
  pool.on('error', (error) => log?.debug({ err: loggedError(error) }, 'a connection for reading was lost'));
  const prepared = new Map<string, { readonly name: string; readonly text: string }>();
  const named = (sql: string) => {
    let statement = prepared.get(sql);
    if (!statement) {
      statement = { name: `brine${prepared.size}`, text: numbered(sql) };
      prepared.set(sql, statement);
    }
    return statement;
  };
  const ask = together(
    async ({ sql, values, prepared: kept }) => {
      const statement = kept ? named(sql) : { text: numbered(sql) };
      return (await pool.query<object>({ ...statement, values: [...values] })).rows;
    },
    MOST_CONNECTIONS,
    LONGEST_WAIT_MS,
  );
  const rows =
    (prepared: boolean) =>
    <Row extends object>(sql: string, values: readonly unknown[] = []) =>
      ask({ sql, values, prepared }) as Promise<Row[]>;
  return { rows: rows(true), rowsByTyped: rows(false), close: () => pool.end() };
}

/** The driver numbers what the ORM marks. */
function numbered(sql: string): string {
  let n = 0;
  return sql.replace(/\?/g, () => `$${(n += 1)}`);
}
