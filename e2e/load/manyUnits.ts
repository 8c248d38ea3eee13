import { query } from '../support/database.ts';

/** Multiplies the demo's units with their jobs and entries until there are so many, as a large company would have them. Only for tests: plain SQL. */
export async function manyUnits(databaseUrl: string, count: number): Promise<void> {
  const [{ n }] = (await query(databaseUrl, 'select count(*)::int as n from job')) as [{ n: number }];
  const times = Math.ceil(count / n);
  await query(
    databaseUrl,
    `create table many as select gen_random_uuid() as unit, gen_random_uuid() as job, j.id as old_job, j.unit_id as old_unit, n
       from job j cross join generate_series(1, ${times}) n limit ${count};
     insert into unit (id, site_id, name, tag, plate, archived_at, created_at)
       select m.unit, u.site_id, u.name || ' ' || m.n, u.tag || '/' || m.n, u.plate, null, u.created_at from many m join unit u on u.id = m.old_unit;
     insert into job (id, unit_id, title, last_sequence, created_by, created_at, archived_at)
       select m.job, m.unit, j.title, j.last_sequence, j.created_by, j.created_at, null from many m join job j on j.id = m.old_job;
     insert into entry (id, job_id, sequence, device, device_sequence, device_time, seen, author_id, body, received_at, foreign_from)
       select gen_random_uuid(), m.job, e.sequence, e.device, e.device_sequence, e.device_time, e.seen, e.author_id, e.body, e.received_at, e.foreign_from
       from many m join entry e on e.job_id = m.old_job;
     drop table many;`,
  );
}
