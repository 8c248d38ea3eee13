import { defineEntity, p, type InferEntity } from '@mikro-orm/core';

/** A signed-in browser. Only the hash of its cookie is kept. */
export const sessionEntity = defineEntity({
  name: 'Session',
  tableName: 'session',
  properties: {
    hash: p.string().primary(),
    /** What it is called by its owner: the hash stays inside. */
    id: p.uuid(),
    browser: p.string(),
    personId: p.uuid(),
    createdAt: p.datetime(),
    lastUsedAt: p.datetime(),
    expiresAt: p.datetime(),
  },
});

export type Session = InferEntity<typeof sessionEntity>;
