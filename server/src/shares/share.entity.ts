import { defineEntity, p, type InferEntity } from '@mikro-orm/core';

/** A link to the read-only page of a unit: a token of 128 bits of which the hash is kept. Each sheet left in the unit carries one of its own. */
export const shareEntity = defineEntity({
  name: 'Share',
  tableName: 'share',
  properties: {
    id: p.uuid().primary(),
    tokenHash: p.string(),
    unitId: p.uuid(),
    createdBy: p.uuid(),
    createdAt: p.datetime(),
    endsAt: p.datetime(),
    revokedAt: p.datetime().nullable(),
  },
});

export type Share = InferEntity<typeof shareEntity>;
