import type { Job as JobView, JobOrder, JobState } from '@brine/contract/routes';
import type { SortKey } from '../database/cursor.ts';
import { idsOf } from '../database/insert.ts';
import { listText, type Told } from '../database/listText.ts';
import { pageOf, type Page } from '../database/page.ts';
import type { Reader } from '../database/reader.ts';
import { holds, type Condition } from '../database/search.ts';
import { UNIT_VIEW } from '../units/unit.reads.ts';

/** Which jobs are looked for. */
export interface JobWish {
  readonly text: string;
  readonly unitId: string | null;
  readonly archived: boolean;
  readonly state: JobState;
  readonly order: JobOrder;
  readonly personId: string | null;
  readonly today: string;
  readonly after: string | null;
  readonly limit: number;
}

/** Somebody has it, and whatever is open was answered for. Indexes are found by the same words (Migration0020, and its test). */
export const FINISHED = `coalesce(jsonb_typeof(summary->'handedOver') = 'object' and (summary->>'unanswered')::int = 0, false)`;

const inState: Readonly<Record<Exclude<JobState, 'all'>, string>> = {
  open: `not (${FINISHED})`,
  late: `not (${FINISHED}) and j.planned_for < ?`,
  waiting: `not (${FINISHED}) and j.waits_for <> ''`,
  finished: FINISHED,
};

/** The last made first, where nothing else tells two apart. */
const newest: readonly SortKey[] = [
  { sql: 'j.created_at', type: 'timestamptz', down: true },
  { sql: 'j.id', type: 'uuid', down: true },
];

/** Indexes have the same expressions (Migration0021, and its test). What has no day comes last. */
export const sortedBy: Readonly<Record<JobOrder, readonly SortKey[]>> = {
  newest,
  planned: [{ sql: `coalesce(j.planned_for, 'infinity'::date)`, type: 'date' }, ...newest],
  site: [
    { sql: 's.name', type: 'text' },
    { sql: 'u.tag', type: 'text' },
    { sql: 'u.name', type: 'text' },
    ...newest,
  ],
};

/** Of so many jobs that hold a text each is named; of more, each is looked at in turn. */
const FEW = 2000;

/**
 * That a job holds a text: in its title, or in its unit or the site of that. What few jobs hold is found by the indexes of words; for what many hold these are longer over it than a look at
 * every job.
 */
async function heldBy(reader: Reader, text: string): Promise<Condition> {
  const title = holds('j', text);
  const unit = holds('unit', text);
  const site = holds('site', text, 'digits');
  const units = `select id from unit where ${unit.sql} union all select id from unit where site_id in (select id from site where ${site.sql})`;
  const values = [...title.values, ...unit.values, ...site.values];
  // The ids of many are not sent: they would only be counted here.
  const [found] = await reader.rowsByTyped<{ few: string | null }>(
    `select case when count(*) <= ${FEW} then coalesce(array_agg(id), '{}')::text end as few
       from (select j.id from job j where ${title.sql} union all select j.id from job j where j.unit_id in (${units}) limit ${FEW + 1}) as first`,
    values,
  );
  return found!.few === null
    ? { sql: `(${title.sql} or j.unit_id in (${units}))`, values }
    : { sql: 'j.id = any(?::uuid[])', values: [found!.few] };
}

/** Jobs as pages see them, with their unit, site and people. */
const told: Told = {
  view: `json_build_object(
    'id', j.id, 'title', j.title, 'unit', ${UNIT_VIEW},
    'createdAt', to_char(j.created_at at time zone 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"'),
    'createdBy', coalesce(maker.name, ''),
    'assignedTo', case when goer.id is null then null else json_build_object('id', goer.id, 'name', goer.name) end,
    'plannedFor', j.planned_for::text, 'waitsFor', j.waits_for, 'summary', j.summary,
    'lastSequence', j.last_sequence, 'archived', j.archived_at is not null, 'version', j.version)`,
  from: `job j join unit u on u.id = j.unit_id join site s on s.id = u.site_id
    left join person maker on maker.id = j.created_by left join person goer on goer.id = j.assigned_to`,
  id: 'j.id',
};

/** What is read of jobs without changing them. */
export function jobReads(reader: Reader) {
  const viewsText = (ids: readonly string[]) => listText(reader, told, ids);
  return {
    /** Jobs whose title, unit or site holds the text, or whose site has the number: a page of them in order, and how many there are. */
    async search(wish: JobWish): Promise<Page> {
      const { text, unitId, archived, state, order, personId, today } = wish;
      return pageOf(reader, {
        from: 'job j',
        orderJoins: order === 'site' ? 'join unit u on u.id = j.unit_id join site s on s.id = u.site_id' : '',
        id: 'j.id',
        conditions: [
          { sql: `j.archived_at is ${archived ? 'not ' : ''}null`, values: [] },
          ...(unitId === null ? [] : [{ sql: 'j.unit_id = ?', values: [unitId] }]),
          ...(personId === null ? [] : [{ sql: 'j.assigned_to = ?', values: [personId] }]),
          ...(state === 'all' ? [] : [{ sql: inState[state], values: state === 'late' ? [today] : [] }]),
          ...(text === '' ? [] : [await heldBy(reader, text)]),
        ],
        keys: sortedBy[order],
        after: wish.after,
        limit: wish.limit,
        typed: text !== '',
      });
    },
    /** Jobs as pages see them, in the order of the ids: the text of a list as the database writes it, since it is only sent on. */
    viewsText,
    /** One job as pages see it, as text; null where there is none. */
    async viewText(id: string): Promise<string | null> {
      const [row] = await reader.rows<{ view: string }>(
        `select ${told.view}::text as view from ${told.from} where ${told.id} = ?`,
        [id],
      );
      return row?.view ?? null;
    },
    /** Jobs as pages see them, in the order of the ids. */
    async views(ids: readonly string[]): Promise<readonly JobView[]> {
      return JSON.parse(await viewsText(ids)) as readonly JobView[];
    },
    /** Jobs of a unit by their ids: those in use first, then those in the archive, each newest first. */
    async idsOfUnit(unitId: string): Promise<readonly string[]> {
      return idsOf(
        await reader.rows<{ id: string }>(
          'select id from job where unit_id = ? order by archived_at is not null, created_at desc',
          [unitId],
        ),
      );
    },
    /** Every job by its id and title, with its unit and site, oldest first. */
    allNamed: () =>
      reader.rows<{ id: string; name: string }>(
        `select j.id, concat_ws(' ', s.name, nullif(u.tag, ''), u.name, j.title) as name
           from job j join unit u on u.id = j.unit_id join site s on s.id = u.site_id order by j.created_at, j.id`,
      ),
    /** Jobs that are not finished, what is planned first before what is not; and how many there are. */
    async unfinished(limit: number): Promise<{ readonly ids: readonly string[]; readonly total: number }> {
      const where = `archived_at is null and not (${FINISHED})`;
      const [rows, [counted]] = await Promise.all([
        reader.rows<{ id: string }>(
          `select id from job where ${where} order by planned_for asc nulls last, created_at desc limit ${limit}`,
        ),
        reader.rows<{ n: number }>(`select count(*)::int as n from job where ${where}`),
      ]);
      return { ids: idsOf(rows), total: counted?.n ?? 0 };
    },
    /** Finished jobs that were handed over after a moment, newest first. */
    async finishedSince(since: Date, limit: number): Promise<readonly string[]> {
      return idsOf(
        await reader.rows<{ id: string }>(
          `select id from job where archived_at is null and ${FINISHED} and summary->'handedOver'->>'at' >= ?
            order by summary->'handedOver'->>'at' desc limit ${limit}`,
          [since.toISOString()],
        ),
      );
    },
    /** Finished jobs of which something is due up to a day: to come back, or to calibrate. */
    async dueBy(day: string, limit: number): Promise<readonly string[]> {
      return idsOf(
        await reader.rows<{ id: string }>(
          `select id from job where archived_at is null and ${FINISHED}
              and least(summary->'followUp'->>'due', summary->>'calibrationDue') <= ?
            order by least(summary->'followUp'->>'due', summary->>'calibrationDue') limit ${limit}`,
          [day],
        ),
      );
    },
    /** Jobs of a person that are not finished and have a day, the first first. */
    async plannedOf(personId: string, limit: number): Promise<readonly string[]> {
      return idsOf(
        await reader.rows<{ id: string }>(
          `select id from job where archived_at is null and assigned_to = ? and planned_for is not null and not (${FINISHED})
            order by planned_for limit ${limit}`,
          [personId],
        ),
      );
    },
    /** Finished jobs of a person (assigned, or opened by them where nobody was) of which something is due, the first first. */
    async dueOf(personId: string, limit: number): Promise<readonly string[]> {
      return idsOf(
        await reader.rows<{ id: string }>(
          `select id from job where archived_at is null and coalesce(assigned_to, created_by) = ? and ${FINISHED}
              and least(summary->'followUp'->>'due', summary->>'calibrationDue') is not null
            order by least(summary->'followUp'->>'due', summary->>'calibrationDue') limit ${limit}`,
          [personId],
        ),
      );
    },
  };
}
