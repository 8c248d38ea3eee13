import type { EntityManager } from '@mikro-orm/postgresql';
import { insert } from '../database/insert.ts';
import { invitationEntity, type Invitation } from './invitation.entity.ts';

export function invitationRepository(em: EntityManager) {
  return {
    byHash: (hash: string) => em.findOne(invitationEntity, { hash }),
    create: (invitation: Invitation) => insert(em, invitationEntity, invitation),
    /** Voids links of one kind that nobody has used, so that only the newest one works. */
    dropUnused: (kind: Invitation['kind'], personId: string | null) =>
      em.nativeDelete(invitationEntity, { kind, personId, usedAt: null }),
    save: () => em.flush(),
  };
}
