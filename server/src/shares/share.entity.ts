import { defineEntity, p, type InferEntity } from '@mikro-orm/core';

/** A link to the read-only page of a unit: a token of 128 bits that stands on the sheet left in it, and can be revoked. */
export const shareEntity = defineEntity({
  name: 'Share',
  tableName: 'share',
  properties: {
    token: p.string().primary(),
    unitId: p.uuid(),
    createdBy: p.uuid(),
    createdAt: p.datetime(),
    revokedAt: p.datetime().nullable(),
  },
});

export type Share = InferEntity<typeof shareEntity>;
