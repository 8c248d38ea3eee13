import type { EntityManager } from '@mikro-orm/postgresql';
import type { UnitJudged } from '@brine/contract/routes';

/** A unit that a review has still to look at. */
export interface LineToCome {
  readonly position: number;
  readonly unitId: string;
}

/** A unit that came through a review, the nth. */
export interface ReviewLine {
  readonly nth: number;
  readonly jobId: string;
  readonly unit: string;
  readonly site: string;
  readonly noPlan: boolean;
  readonly judged: UnitJudged | null;
  readonly problem: string | null;
}

export function reviewRepository(em: EntityManager) {
  return {
    /** Writes down every unit in use that has an open job, once; how many there are. */
    async begin(workId: string): Promise<number> {
      await em.execute(
        `insert into review_line (work_id, position, unit_id, unit, site, job_id)
         select ?, row_number() over (order by s.name, u.tag, u.name, u.id), u.id, left(concat_ws(' ', nullif(u.tag, ''), u.name), 300), s.name,
                (select j.id from job j where j.unit_id = u.id order by j.archived_at is not null, j.created_at desc limit 1)
           from unit u join site s on s.id = u.site_id
          where u.archived_at is null and exists (select 1 from job j where j.unit_id = u.id)
            and not exists (select 1 from review_line where work_id = ?)`,
        [workId, workId],
      );
      const [row] = await em.execute<{ n: string }[]>(
        'select count(*) as n from review_line where work_id = ?',
        [workId],
      );
      return Number(row!.n);
    },
    toCome: (workId: string) =>
      em.execute<LineToCome[]>(
        'select position, unit_id as "unitId" from review_line where work_id = ? and nth is null order by position',
        [workId],
      ),
    /** Writes down what became of a unit; false where that stands already. */
    async through(
      workId: string,
      position: number,
      line: Pick<ReviewLine, 'nth' | 'noPlan' | 'judged' | 'problem'> & { readonly jobId: string | null },
    ): Promise<boolean> {
      const rows = await em.execute<unknown[]>(
        `update review_line set nth = ?, job_id = coalesce(?, job_id), no_plan = ?, judged = ?::jsonb, problem = ?
          where work_id = ? and position = ? and nth is null returning nth`,
        [
          line.nth,
          line.jobId,
          line.noPlan,
          line.judged && JSON.stringify(line.judged),
          line.problem,
          workId,
          position,
        ],
      );
      return rows.length > 0;
    },
    after: (workId: string, nth: number, limit: number) =>
      em.execute<ReviewLine[]>(
        `select nth, job_id as "jobId", unit, site, no_plan as "noPlan", judged, problem from review_line
          where work_id = ? and nth > ? order by nth limit ?`,
        [workId, nth, limit],
      ),
  };
}
