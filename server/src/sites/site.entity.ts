import { defineEntity, p, type InferEntity } from '@mikro-orm/core';

/** A place with refrigerated units. */
export const siteEntity = defineEntity({
  name: 'Site',
  tableName: 'site',
  properties: {
    id: p.uuid().primary(),
    name: p.string(),
    place: p.string(),
    note: p.text(),
    customer: p.string().default(''),
    contact: p.string().default(''),
    phone: p.string().default(''),
    archivedAt: p.datetime().nullable(),
    createdAt: p.datetime(),
    version: p.integer().version(),
  },
});

export type Site = InferEntity<typeof siteEntity>;
