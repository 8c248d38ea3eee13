import { openDB, type DBSchema } from 'idb';
import type { LogLayout } from '@brine/core/logs/reading';

/** A logger's file on this device, until the server has it. */
export interface WaitingLog {
  readonly id: string;
  readonly job: string;
  readonly name: string;
  readonly layout: LogLayout;
  readonly file: Blob;
}

interface LogSchema extends DBSchema {
  logs: { key: string; value: WaitingLog };
}

/** The browser's own store of loggers' files, beside the outbox: a file taken in without signal is not lost. */
export async function openLogs(name = 'brine-dial-logs') {
  const db = await openDB<LogSchema>(name, 1, {
    upgrade: (database) => void database.createObjectStore('logs', { keyPath: 'id' }),
  });
  return {
    keep: async (log: WaitingLog) => void (await db.put('logs', log)),
    read: (id: string) => db.get('logs', id),
    ofJob: async (job: string) => (await db.getAll('logs')).filter((log) => log.job === job),
    remove: (id: string) => db.delete('logs', id),
  };
}

export type LogStorage = Awaited<ReturnType<typeof openLogs>>;
