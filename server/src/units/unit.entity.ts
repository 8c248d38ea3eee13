import { defineEntity, p, type InferEntity } from '@mikro-orm/core';

/** A refrigerated unit on a site: its name and what its plate says, in words. */
export const unitEntity = defineEntity({
  name: 'Unit',
  tableName: 'unit',
  properties: {
    id: p.uuid().primary(),
    siteId: p.uuid(),
    name: p.string(),
    tag: p.string(),
    plate: p.string(),
    archivedAt: p.datetime().nullable(),
    createdAt: p.datetime(),
    version: p.integer().version(),
  },
});

export type Unit = InferEntity<typeof unitEntity>;
