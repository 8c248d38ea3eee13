import type { EntityManager } from '@mikro-orm/postgresql';
import { insert } from '../database/insert.ts';
import { calendarFeedEntity, type CalendarFeed } from './calendarFeed.entity.ts';

export function calendarFeedRepository(em: EntityManager) {
  return {
    openByHash: (tokenHash: string) => em.findOne(calendarFeedEntity, { tokenHash, revokedAt: null }),
    openOf: (personId: string) => em.findOne(calendarFeedEntity, { personId, revokedAt: null }),
    create: (feed: CalendarFeed) => insert(em, calendarFeedEntity, feed),
    /** Revokes the open link of a person, where there is one. */
    revokeOf: (personId: string, now: Date) =>
      em.nativeUpdate(calendarFeedEntity, { personId, revokedAt: null }, { revokedAt: now }),
    /** Forgets links that were revoked before a moment. */
    dropBefore: (time: Date) => em.nativeDelete(calendarFeedEntity, { revokedAt: { $lt: time } }),
  };
}
