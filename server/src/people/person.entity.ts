import type { Role } from '@brine/contract/routes';
import { defineEntity, p, type InferEntity } from '@mikro-orm/core';

/** Somebody who may sign in. Without a password the invitation has not been taken yet. */
export const personEntity = defineEntity({
  name: 'Person',
  tableName: 'person',
  properties: {
    id: p.uuid().primary(),
    login: p.string().unique(),
    name: p.string(),
    role: p.string().$type<Role>(),
    passwordHash: p.string().nullable(),
    disabledAt: p.datetime().nullable(),
    /** Demo people sign in on this machine only. */
    demo: p.boolean(),
    /** The secret of the authenticator app, in base 32; it counts once a code of it was typed. */
    secondSecret: p.string().nullable(),
    secondSince: p.datetime().nullable(),
    /** The step of the last code that was used: each works once. */
    secondStep: p.integer().default(0),
    createdAt: p.datetime(),
    version: p.integer().version(),
  },
});

export type Person = InferEntity<typeof personEntity>;
