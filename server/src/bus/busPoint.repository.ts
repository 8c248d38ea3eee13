import type { EntityManager } from '@mikro-orm/postgresql';
import type { Readings } from '@brine/core/judgement/following';

/** A look at a controller as it is kept. */
export interface StoredPoint {
  readonly at: Date;
  readonly readings: Readings | null;
}

export function busPointRepository(em: EntityManager) {
  return {
    async add(work: string, { at, readings }: StoredPoint): Promise<void> {
      await em.execute(
        'insert into bus_point (work_id, at, readings) values (?, ?, ?::jsonb) on conflict (work_id, at) do nothing',
        [work, at, readings === null ? null : JSON.stringify(readings)],
      );
    },
    /** Points after a moment, the first so many of them. */
    after: (work: string, moment: Date, limit: number): Promise<StoredPoint[]> =>
      em
        .execute<{ at: string | Date; readings: Readings | null }[]>(
          'select at, readings from bus_point where work_id = ? and at > ? order by at limit ?',
          [work, moment, limit],
        )
        .then((rows) => rows.map(({ at, readings }) => ({ at: new Date(at), readings }))),
  };
}
