import { query } from '../support/database.ts';

/** Sites, units and jobs of a large company, without entries: what its lists are made of. Plain SQL, for tests and timings alone. */
export async function manyPlaces(
  databaseUrl: string,
  { sites, jobs }: { readonly sites: number; readonly jobs: number },
): Promise<void> {
  await query(
    databaseUrl,
    `create table place as select gen_random_uuid() as id, n from generate_series(1, ${sites}) n;
     insert into site (id, name, place, note, customer, contact, phone, archived_at, created_at)
       select id, 'Store ' || n, 'Alleyway ' || (n % 90), '', 'Customer ' || (n % 70), 'Person ' || n, '0555 ' || lpad(n::text, 6, '0'), null, now() from place;
     create table machine as select gen_random_uuid() as id, p.id as site, m.n from generate_series(1, ${jobs}) m(n)
       join place p on p.n = 1 + (m.n % ${sites});
     insert into unit (id, site_id, name, tag, plate, archived_at, created_at)
       select id, site, 'Walk-in ' || n, 'W-' || n, 'R-449A, serial ' || md5(n::text), null, now() from machine;
     insert into job (id, unit_id, title, last_sequence, created_by, created_at, archived_at, assigned_to, planned_for, summary, summary_of)
       select gen_random_uuid(), m.id, 'Too warm, call ' || m.n, 0, person.id, now() - m.n * interval '1 hour', null, person.id,
              current_date + (m.n % 30) - 15, null, 0
         from machine m cross join lateral (select id from person order by md5(id::text || m.n) limit 1) person;
     drop table machine; drop table place;
     analyze site; analyze unit; analyze job;`,
  );
}
