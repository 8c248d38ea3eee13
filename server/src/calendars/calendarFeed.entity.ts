import { defineEntity, p, type InferEntity } from '@mikro-orm/core';

/** A link to the calendar of a person: a token of 128 bits of which the hash is kept. A person has one that is open, or none. */
export const calendarFeedEntity = defineEntity({
  name: 'CalendarFeed',
  tableName: 'calendar_feed',
  properties: {
    id: p.uuid().primary(),
    tokenHash: p.string(),
    personId: p.uuid(),
    createdAt: p.datetime(),
    revokedAt: p.datetime().nullable(),
  },
});

export type CalendarFeed = InferEntity<typeof calendarFeedEntity>;
