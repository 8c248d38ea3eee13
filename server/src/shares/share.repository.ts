import type { EntityManager } from '@mikro-orm/postgresql';
import { insert } from '../database/insert.ts';
import { shareEntity, type Share } from './share.entity.ts';

export function shareRepository(em: EntityManager) {
  return {
    /** The link with a hash, where it is neither revoked nor at its end. */
    openByHash: (tokenHash: string, now: Date) =>
      em.findOne(shareEntity, { tokenHash, revokedAt: null, endsAt: { $gt: now } }),
    /** The open link of a unit that lasts longest. */
    openOf: (unitId: string, now: Date) =>
      em.findOne(
        shareEntity,
        { unitId, revokedAt: null, endsAt: { $gt: now } },
        { orderBy: { endsAt: 'desc' } },
      ),
    create: (share: Share) => insert(em, shareEntity, share),
    /** Revokes every link of a unit; how many were open. */
    revokeAll: (unitId: string, now: Date) =>
      em.nativeUpdate(shareEntity, { unitId, revokedAt: null, endsAt: { $gt: now } }, { revokedAt: now }),
    /** Forgets links that led nowhere before a moment. */
    dropBefore: (time: Date) =>
      em.nativeDelete(shareEntity, { $or: [{ revokedAt: { $lt: time } }, { endsAt: { $lt: time } }] }),
  };
}
