import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { startHarness, type Harness } from '../../testing/harness.ts';
import { FINISHED, sortedBy } from '../jobs/job.reads.ts';
import { orderOf } from './cursor.ts';
import { holds } from './search.ts';

// An index with a condition or of an expression is used only where a query says the very same: these say it as the repositories do.

let harness: Harness;
beforeAll(async () => {
  harness = await startHarness();
  // Of rows enough that an index of few is worth more than one of all.
  const id = await harness.person('ida', 'lead');
  await harness.orm.em.getConnection().execute(
    `insert into site (id, name, place, note, customer, contact, phone, archived_at, created_at) values ('${id}', 'Quay', '', '', '', '', '', null, now());
     insert into unit (id, site_id, name, tag, plate, archived_at, created_at) values ('${id}', '${id}', 'Freezer', '', '', null, now());
     insert into job (id, unit_id, title, last_sequence, created_by, created_at, archived_at, summary, summary_of)
       select gen_random_uuid(), '${id}', 'Job ' || n, 0, '${id}', now() - n * interval '1 hour', null,
              case when n % 2 = 0 then jsonb_build_object('handedOver', jsonb_build_object('at', (2000 + n % 30)::text, 'to', 'Ann'), 'unanswered', 0, 'calibrationDue', (2000 + n % 40)::text) end, 0
         from generate_series(1, 4000) n;
     analyze job;`,
  );
});
afterAll(() => harness.stop());

/** How PostgreSQL would go about a query where reading every row is what it does last. */
async function planOf(query: string, values: readonly unknown[] = []): Promise<string> {
  return harness.orm.em.fork().transactional(async (em) => {
    await em.execute('set local enable_seqscan = off');
    const rows = await em.execute<Record<string, string>[]>(`explain ${query}`, [...values]);
    return rows.map((row) => Object.values(row)[0]).join('\n');
  });
}

const words = holds('unit', 'walk-in');
const place = holds('site', 'alley');
const phone = holds('site', '0555 123', 'digits');

test.each([
  [
    'job_newest',
    `select id from job j where archived_at is null order by ${orderOf(sortedBy.newest)} limit 9`,
    [],
  ],
  [
    'job_planned',
    `select id from job j where archived_at is null order by ${orderOf(sortedBy.planned)} limit 9`,
    [],
  ],
  ['unit_in_order', 'select id from unit where archived_at is null order by tag, name, id limit 9', []],
  ['site_in_order', 'select id from site order by name, id limit 9', []],
  [
    'entry_learned',
    `select body from entry where body ->> 'kind' = 'heldAgainst' order by received_at, sequence`,
    [],
  ],
  ['job_unfinished', `select count(*) from job where archived_at is null and not (${FINISHED})`, []],
  [
    'job_handed_over',
    `select id from job where archived_at is null and ${FINISHED} and summary->'handedOver'->>'at' >= ?`,
    ['2001'],
  ],
  [
    'job_due',
    `select id from job where archived_at is null and ${FINISHED} and least(summary->'followUp'->>'due', summary->>'calibrationDue') <= ?`,
    ['2001'],
  ],
  ['job_words', `select id from job where ${holds('job', 'too warm').sql}`, ['%too warm%']],
  ['unit_words', `select id from unit where ${words.sql}`, words.values],
  ['site_words', `select id from site where ${place.sql}`, place.values],
  ['site_digits', `select id from site where ${phone.sql}`, phone.values],
])('%s is used', async (index, query, values) => {
  expect(await planOf(query, values)).toContain(index);
});
