import { defineEntity, p, type InferEntity } from '@mikro-orm/core';
import type { EntryBody } from '@brine/core/record/entries';

/** Who wrote an imported entry elsewhere, and when it was received there. */
export interface ForeignFrom {
  readonly author: string;
  readonly receivedAt: string;
}

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
    /** Where an imported entry came from: its author's name and time there; null for our own. */
    foreignFrom: p.json<ForeignFrom>().nullable(),
  },
});

export type StoredEntry = InferEntity<typeof entryEntity>;
