import { defineEntity, p, type InferEntity } from '@mikro-orm/core';
import type { WorkKind } from '@brine/contract/routes';

/** Work that goes on after its answer, on whichever server takes it up. */
export const workEntity = defineEntity({
  name: 'Work',
  tableName: 'work',
  properties: {
    id: p.uuid().primary(),
    kind: p.string().$type<WorkKind>(),
    title: p.string(),
    /** What it is about, as its kind understands it. */
    subject: p.json<unknown>(),
    askedBy: p.uuid(),
    askedAt: p.datetime(),
    state: p.string().$type<'waiting' | 'running' | 'done' | 'failed' | 'stopped'>().default('waiting'),
    done: p.integer().default(0),
    total: p.integer().default(0),
    tries: p.integer().default(0),
    problem: p.string().nullable(),
    endedAt: p.datetime().nullable(),
    fileName: p.string().nullable(),
    /** The server that does it, for as long as it is heard of. */
    runner: p.uuid().nullable(),
    aliveAt: p.datetime().defaultRaw('now()'),
  },
});

export type StoredWork = InferEntity<typeof workEntity>;
