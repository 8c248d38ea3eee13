import { defineEntity, p, type InferEntity } from '@mikro-orm/core';
import type { Role } from '@brine/contract/routes';

/** A one-time link: for the first lead, a newcomer, or a forgotten password. Only its hash is kept. */
export const invitationEntity = defineEntity({
  name: 'Invitation',
  tableName: 'invitation',
  properties: {
    hash: p.string().primary(),
    kind: p.string().$type<'firstLead' | 'invite' | 'reset'>(),
    role: p.string().$type<Role>(),
    name: p.string(),
    login: p.string().nullable(),
    personId: p.uuid().nullable(),
    createdAt: p.datetime(),
    expiresAt: p.datetime(),
    usedAt: p.datetime().nullable(),
  },
});

export type Invitation = InferEntity<typeof invitationEntity>;
