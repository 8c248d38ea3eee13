import { EventEmitter } from 'node:events';
import pg from 'pg';
import type { Logger } from 'pino';
import { loggedError } from '../http/loggedError.ts';

/** The channel on which the database tells of each job that changed; see Migration0013. */
const CHANNEL = 'brine_changes';
const AGAIN_MS = 2000;

/** What changed, told by the database to every server on it. */
export interface Changes {
  /** Calls back with the id of each job that changed, until the returned function is called. `ended`: the server stops. */
  listen(changed: (jobId: string) => void, ended: () => void): () => void;
  close(): Promise<void>;
}

/** Listens on a connection of its own; one that is lost is made anew, and whoever listens asks for everything once. */
export function startChanges(databaseUrl: string, log: Logger): Changes {
  const told = new EventEmitter();
  told.setMaxListeners(0);
  let client: pg.Client | null = null;
  let closed = false;

  async function connect(): Promise<void> {
    if (closed) return;
    const mine = new pg.Client({ connectionString: databaseUrl, application_name: 'Brine Dial' });
    client = mine;
    let lost = false;
    const again = (error?: unknown) => {
      if (lost || closed) return;
      lost = true;
      if (error) log.debug({ err: loggedError(error) }, 'changes');
      setTimeout(() => void connect(), AGAIN_MS).unref();
    };
    mine.on('error', again);
    mine.on('end', () => again());
    mine.on('notification', ({ payload }) => told.emit('changed', payload ?? ''));
    try {
      await mine.connect();
      await mine.query(`listen ${CHANNEL}`);
      // What happened while nobody listened is not known: empty stands for all.
      told.emit('changed', '');
    } catch (error) {
      again(error);
    }
  }
  void connect();

  return {
    listen(changed, ended) {
      told.on('changed', changed);
      told.once('ended', ended);
      return () => {
        told.off('changed', changed);
        told.off('ended', ended);
      };
    },
    async close() {
      closed = true;
      told.emit('ended');
      await client?.end().catch(() => undefined);
    },
  };
}
