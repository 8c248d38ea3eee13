import type { EntityManager } from '@mikro-orm/postgresql';
import { insert } from '../database/insert.ts';
import { sessionEntity, type Session } from './session.entity.ts';

export function sessionRepository(em: EntityManager) {
  return {
    /** Keeps when a session was used last, and when it ends now. */
    used: (hash: string, lastUsedAt: Date, expiresAt: Date) =>
      em.nativeUpdate(sessionEntity, { hash }, { lastUsedAt, expiresAt }),
    create: (session: Session) => insert(em, sessionEntity, session),
    of: (personId: string, now: Date) =>
      em.find(sessionEntity, { personId, expiresAt: { $gt: now } }, { orderBy: { lastUsedAt: 'desc' } }),
    endOneOf: (personId: string, id: string) => em.nativeDelete(sessionEntity, { personId, id }),
    endOthersOf: (personId: string, hash: string) =>
      em.nativeDelete(sessionEntity, { personId, hash: { $ne: hash } }),
    /** Ends a session; whose it was, null where there was none. */
    async end(hash: string): Promise<string | null> {
      const rows = await em.execute<{ person_id: string }[]>(
        'delete from session where hash = ? returning person_id',
        [hash],
      );
      return rows[0]?.person_id ?? null;
    },
    endAllOf: (personId: string) => em.nativeDelete(sessionEntity, { personId }),
    endExpired: (now: Date) => em.nativeDelete(sessionEntity, { expiresAt: { $lt: now } }),
  };
}
