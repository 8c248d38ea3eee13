import type { EntityManager } from '@mikro-orm/postgresql';
import { attemptEntity } from './attempt.entity.ts';

export function attemptRepository(em: EntityManager) {
  return {
    /** Counts one more try and says the how many it is, in one statement: of several at once each has its own number. */
    async count(key: string, now: Date, windowEndsAt: Date): Promise<number> {
      const [row] = await em.execute<{ failures: number }[]>(
        `insert into "attempt" ("key", "failures", "window_ends_at") values (?, 1, ?)
         on conflict ("key") do update set
           "failures" = case when "attempt"."window_ends_at" < ? then 1 else "attempt"."failures" + 1 end,
           "window_ends_at" = case when "attempt"."window_ends_at" < ? then excluded."window_ends_at" else "attempt"."window_ends_at" end
         returning "failures"`,
        [key, windowEndsAt, now, now],
      );
      return row!.failures;
    },
    takeBack: (key: string) =>
      em.execute('update "attempt" set "failures" = greatest(0, "failures" - 1) where "key" = ?', [key]),
    forget: (key: string) => em.nativeDelete(attemptEntity, { key }),
    forgetExpired: (now: Date) => em.nativeDelete(attemptEntity, { windowEndsAt: { $lt: now } }),
  };
}
