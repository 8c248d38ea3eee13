import { defineEntity, p, type InferEntity } from '@mikro-orm/core';

/** A program on site that holds its lines, and dials out to the server. Of its secret only the hash is kept. */
export const busLinkEntity = defineEntity({
  name: 'BusLink',
  tableName: 'bus_link',
  properties: {
    id: p.uuid().primary(),
    siteId: p.uuid(),
    name: p.string(),
    tokenHash: p.string(),
    madeBy: p.uuid(),
    madeAt: p.datetime(),
    /** When it last asked for calls. */
    seenAt: p.datetime().nullable(),
    endedAt: p.datetime().nullable(),
  },
});

export type StoredBusLink = InferEntity<typeof busLinkEntity>;
