import type { EntityManager } from '@mikro-orm/postgresql';
import { attemptEntity } from './attempt.entity.ts';

export function attemptRepository(em: EntityManager) {
  return {
    /** Counts one more try and says the how many it is and when its window ends, in one statement: of several at once each has its own number. */
    async count(
      key: string,
      now: Date,
      windowEndsAt: Date,
    ): Promise<{ readonly tries: number; readonly ends: Date }> {
      const [row] = await em.execute<{ failures: number; window_ends_at: Date | string }[]>(
        `insert into "attempt" ("key", "failures", "window_ends_at") values (?, 1, ?)
         on conflict ("key") do update set
           "failures" = case when "attempt"."window_ends_at" < ? then 1 else "attempt"."failures" + 1 end,
           "window_ends_at" = case when "attempt"."window_ends_at" < ? then excluded."window_ends_at" else "attempt"."window_ends_at" end
         returning "failures", "window_ends_at"`,
        [key, windowEndsAt, now, now],
      );
      return { tries: row!.failures, ends: new Date(row!.window_ends_at) };
    },
    takeBack: (key: string) =>
      em.execute('update "attempt" set "failures" = greatest(0, "failures" - 1) where "key" = ?', [key]),
    forget: (key: string) => em.nativeDelete(attemptEntity, { key }),
    forgetExpired: (now: Date) => em.nativeDelete(attemptEntity, { windowEndsAt: { $lt: now } }),
  };
}
