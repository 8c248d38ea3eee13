import { defineEntity, p, type InferEntity } from '@mikro-orm/core';

/** What lets one device hand in one person's entries, also after somebody else has signed in there. Only its hash is kept. */
export const ticketEntity = defineEntity({
  name: 'Ticket',
  tableName: 'ticket',
  properties: {
    hash: p.string().primary(),
    personId: p.uuid(),
    device: p.string(),
    createdAt: p.datetime(),
    expiresAt: p.datetime(),
  },
});

export type Ticket = InferEntity<typeof ticketEntity>;
