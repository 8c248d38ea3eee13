import type { EntityManager } from '@mikro-orm/postgresql';
import { insert } from '../database/insert.ts';
import { shareEntity, type Share } from './share.entity.ts';

export function shareRepository(em: EntityManager) {
  return {
    byToken: (token: string) => em.findOne(shareEntity, { token }),
    openOf: (unitId: string) => em.findOne(shareEntity, { unitId, revokedAt: null }),
    create: (share: Share) => insert(em, shareEntity, share),
    save: () => em.flush(),
  };
}
