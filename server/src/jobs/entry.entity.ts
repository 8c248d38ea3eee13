import { defineEntity, p, type InferEntity } from '@mikro-orm/core';
import type { EntryBody } from '@brine/core/jobs';

/** One thing done on a job. Rows are only ever added. */
export const entryEntity = defineEntity({
  name: 'Entry',
  tableName: 'entry',
  properties: {
    id: p.uuid().primary(),
    jobId: p.uuid(),
    sequence: p.integer(),
    device: p.string(),
    deviceSequence: p.integer(),
    deviceTime: p.string(),
    seen: p.integer(),
    authorId: p.uuid(),
    body: p.json<EntryBody>(),
    receivedAt: p.datetime(),
  },
});

export type StoredEntry = InferEntity<typeof entryEntity>;
