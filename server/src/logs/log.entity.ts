import { defineEntity, p, type InferEntity } from '@mikro-orm/core';
import type { LogClock, LogLayout, Tidied, ValueRole } from '@brine/core/logs/reading';

/** A logger's file taken in for a job; its readings are rows of `log_point`. */
export const logEntity = defineEntity({
  name: 'Log',
  tableName: 'log',
  properties: {
    id: p.uuid().primary(),
    jobId: p.uuid(),
    authorId: p.uuid(),
    name: p.string(),
    columns: p.json<readonly ValueRole[]>(),
    layout: p.json<LogLayout>(),
    clock: p.json<LogClock>(),
    samples: p.integer(),
    tidied: p.json<Tidied>(),
    createdAt: p.datetime(),
  },
});

export type StoredLog = InferEntity<typeof logEntity>;
