import { query } from '../support/database.ts';

/** How large a company is. */
export interface CompanySize {
  readonly sites: number;
  readonly units: number;
  /** At least as many as units; two thirds are handed over with everything answered for. */
  readonly jobs: number;
  /** Entries of each job, the words of the demo's longest job in turn. */
  readonly entriesEach: number;
  /** Points of logs, in logs of a year of minutes. */
  readonly logPoints: number;
}

export const POINTS_A_LOG = 525_600;

/** Fills a company by plain SQL, for timings alone: nothing of it goes through the product. */
export async function fillCompany(
  databaseUrl: string,
  { sites, units, jobs, entriesEach, logPoints }: CompanySize,
  say: (text: string) => void,
): Promise<void> {
  const step = async (what: string, sql: string) => {
    const began = performance.now();
    await query(databaseUrl, sql);
    say(`${what}: ${((performance.now() - began) / 1000).toFixed(0)} s`);
  };
  await step(
    `${sites} sites, ${units} units, ${jobs} jobs`,
    `create table place as select gen_random_uuid() as id, n from generate_series(1, ${sites}) n;
     insert into site (id, name, place, note, customer, contact, phone, archived_at, created_at)
       select id, 'Store ' || n, 'Alleyway ' || (n % 90), '', 'Customer ' || (n % 70), 'Person ' || n, '0555 ' || lpad(n::text, 6, '0'), null, now() from place;
     create table machine as select gen_random_uuid() as id, p.id as site, m.n from generate_series(1, ${units}) m(n)
       join place p on p.n = 1 + (m.n % ${sites});
     insert into unit (id, site_id, name, tag, plate, archived_at, created_at)
       select id, site, 'Walk-in ' || n, 'W-' || n, 'R-449A, serial ' || md5(n::text), null, now() from machine;
     create table call as select gen_random_uuid() as id, m.id as unit, c.n from generate_series(1, ${jobs}) c(n) join machine m on m.n = 1 + (c.n % ${units});
     insert into job (id, unit_id, title, last_sequence, created_by, created_at, archived_at, assigned_to, planned_for, summary, summary_of)
       select call.id, unit, 'Too warm, call ' || n, ${entriesEach}, person.id, now() - n * interval '1 hour', null, person.id,
              current_date + (n % 30) - 15,
              jsonb_build_object('stations', (select json_agg(json_build_object('words', 'Station ' || s, 'done', n % 3 > 0)) from generate_series(1, 6) s),
                'next', null, 'open', n % 3, 'unanswered', 0, 'openWords', '', 'followUp', null, 'calibrationDue', null, 'drift', '[]'::jsonb,
                'complaint', 'Too warm', 'control', 'Marl 4', 'handedOver', case when n % 3 > 0 then jsonb_build_object(
                  'at', to_char(now() - n * interval '1 hour', 'YYYY-MM-DD"T"HH24:MI:SS"Z"'), 'to', 'Person') end),
              ${entriesEach}
         from call cross join lateral (select id from person order by md5(id::text || n) limit 1) person;
     analyze site; analyze unit; analyze job;`,
  );
  if (entriesEach > 0)
    await step(
      `${jobs * entriesEach} entries`,
      `create table word as select row_number() over (order by sequence)::int as n, body from entry
         where job_id = (select job_id from entry group by job_id order by count(*) desc limit 1);
       insert into entry (id, job_id, sequence, device, device_sequence, device_time, seen, author_id, body, received_at)
         select gen_random_uuid(), j.id, s.n, 'device-' || (s.n % 3), s.n, '2026-01-05T08:00:00.000Z', s.n - 1, j.created_by, w.body, j.created_at
           from call join job j on j.id = call.id cross join generate_series(1, ${entriesEach}) s(n)
           join word w on w.n = 1 + ((s.n - 1) % (select count(*) from word));
       drop table word;`,
    );
  const logs = Math.round(logPoints / POINTS_A_LOG);
  if (logs > 0) {
    // One statement a month, log after log: as they are taken in, the readings of one lie beside each other.
    await step(
      `${logs} logs`,
      `create table recorder as select gen_random_uuid() as id, call.id as job, call.n from call where n <= ${logs};
       insert into log (id, job_id, author_id, name, columns, layout, clock, samples, tidied, created_at)
         select r.id, r.job, j.created_by, 'A year of minutes', '["air","compressor"]', '{}', '{"kind":"true"}', ${POINTS_A_LOG}, '{}', now()
           from recorder r join job j on j.id = r.job;`,
    );
    for (let month = 0; month < 12; month += 1) {
      const [from, to] = [month, month + 1].map((n) => new Date(Date.UTC(2025, n, 1)).toISOString());
      await step(
        `their points of month ${month + 1}`,
        `create table if not exists log_point_2025_${String(month + 1).padStart(2, '0')} partition of log_point for values from ('${from}') to ('${to}');
         insert into log_point (log_id, at, air, compressor)
           select r.id, at, 2 + sin(extract(epoch from at) / 900), (extract(epoch from at)::bigint / 600) % 2
             from recorder r cross join lateral generate_series('${from}'::timestamptz + r.n * interval '0', '${to}'::timestamptz - interval '1 minute', interval '1 minute') at;`,
      );
    }
    await step('their table counted', 'drop table recorder; analyze log_point;');
  }
  await query(databaseUrl, 'drop table call; drop table machine; drop table place;');
  // Apart: a vacuum runs in no transaction, and several statements of one text are one.
  for (const table of ['site', 'unit', 'job', 'entry', 'control_in_use'])
    await query(databaseUrl, `vacuum analyze ${table}`);
}
