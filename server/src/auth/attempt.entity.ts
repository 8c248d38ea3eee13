import { defineEntity, p } from '@mikro-orm/core';

/** Failed sign-ins of a login or an address within a window. In the database, since the server keeps no state. */
export const attemptEntity = defineEntity({
  name: 'Attempt',
  tableName: 'attempt',
  properties: {
    key: p.string().primary(),
    failures: p.integer(),
    windowEndsAt: p.datetime(),
  },
});
