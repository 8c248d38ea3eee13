import type { EntityManager } from '@mikro-orm/postgresql';
import { insert } from '../database/insert.ts';
import { practiceRunEntity, type PracticeRun } from './practiceRun.entity.ts';

/** Runs of one person on one family and kind of drill, counted. */
export interface ProgressRow {
  readonly personId: string;
  readonly definitionId: string;
  readonly family: string;
  readonly drill: string;
  readonly runs: number;
  readonly passed: number;
  /** Shortest time of a passed run without a hint; null where there is none. */
  readonly bestSeconds: number | null;
  readonly lastAt: Date;
}

export function practiceRunRepository(em: EntityManager) {
  return {
    byId: (id: string) => em.findOne(practiceRunEntity, { id }),
    create: (run: PracticeRun) => insert(em, practiceRunEntity, run),
    /** Counted by the database; everybody's where `personId` is null. */
    async progress(personId: string | null): Promise<readonly ProgressRow[]> {
      const rows = await em.execute<Record<string, unknown>[]>(
        `select person_id, definition_id, max(family) as family, drill, count(*)::int as runs,
                (count(*) filter (where passed))::int as passed,
                min(seconds) filter (where passed and hints = 0) as best_seconds, max(done_at) as last_at
           from practice_run ${personId === null ? '' : 'where person_id = ?'}
          group by person_id, definition_id, drill order by max(done_at) desc`,
        personId === null ? [] : [personId],
      );
      return rows.map((row) => ({
        personId: String(row['person_id']),
        definitionId: String(row['definition_id']),
        family: String(row['family']),
        drill: String(row['drill']),
        runs: Number(row['runs']),
        passed: Number(row['passed']),
        bestSeconds: row['best_seconds'] === null ? null : Number(row['best_seconds']),
        lastAt: new Date(row['last_at'] as string),
      }));
    },
  };
}
