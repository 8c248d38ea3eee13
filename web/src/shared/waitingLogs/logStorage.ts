import type { LogLayout } from '@brine/core/logs/reading';
import { keptFiles } from '../device/keptFiles.ts';

/** A logger's file on this device, until the server has it. */
export interface WaitingLog {
  readonly id: string;
  readonly job: string;
  readonly name: string;
  readonly layout: LogLayout;
  readonly file: Blob;
}

/** The browser's own store of loggers' files, beside the outbox: a file taken in without signal is not lost. */
export function openLogs(name = 'brine-dial-logs') {
  const { keep, read, all, remove } = keptFiles<WaitingLog>(name, 'logs');
  return {
    keep,
    read,
    all,
    remove,
    ofJob: async (job: string) => (await all()).filter((log) => log.job === job),
  };
}

let storage: LogStorage | null = null;
/** The one of this page. */
export const waitingLogs = (): LogStorage => (storage ??= openLogs());

export type LogStorage = ReturnType<typeof openLogs>;
