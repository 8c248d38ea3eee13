import type { EntityManager } from '@mikro-orm/postgresql';
import { attemptEntity } from './attempt.entity.ts';

export function attemptRepository(em: EntityManager) {
  return {
    byKey: (key: string) => em.findOne(attemptEntity, { key }),
    /** Counts one more failure, in one statement: two requests at once are both counted. */
    async countFailure(key: string, now: Date, windowEndsAt: Date): Promise<void> {
      await em.execute(
        `insert into "attempt" ("key", "failures", "window_ends_at") values (?, 1, ?)
         on conflict ("key") do update set
           "failures" = case when "attempt"."window_ends_at" < ? then 1 else "attempt"."failures" + 1 end,
           "window_ends_at" = case when "attempt"."window_ends_at" < ? then excluded."window_ends_at" else "attempt"."window_ends_at" end`,
        [key, windowEndsAt, now, now],
      );
    },
    forget: (key: string) => em.nativeDelete(attemptEntity, { key }),
    forgetExpired: (now: Date) => em.nativeDelete(attemptEntity, { windowEndsAt: { $lt: now } }),
  };
}
