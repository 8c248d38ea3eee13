import type { Job as JobView, JobOrder, JobState, JobSummary } from '@brine/contract/routes';
import type { EntityManager } from '@mikro-orm/postgresql';
import { idsOf, insert } from '../database/insert.ts';
import { holds, type Condition } from '../database/search.ts';
import { jobEntity, type Job } from './job.entity.ts';

/** Which jobs are looked for. */
export interface JobWish {
  readonly text: string;
  readonly unitId: string | null;
  readonly archived: boolean;
  readonly state: JobState;
  readonly order: JobOrder;
  readonly personId: string | null;
  readonly today: string;
  readonly offset: number;
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

const sortedBy: Readonly<Record<JobOrder, string>> = {
  newest: 'j.created_at desc',
  planned: 'j.planned_for asc nulls last, j.created_at desc',
  site: 's.name, u.tag, u.name, j.created_at desc',
};

/** Of so many jobs that hold a text each is named; of more, each is looked at in turn. */
const FEW = 2000;

/**
 * That a job holds a text: in its title, or in its unit or the site of that. What few jobs hold is found by the indexes of words; for what many hold these are longer over it than a look at
 * every job.
 */
async function heldBy(em: EntityManager, text: string): Promise<Condition> {
  const title = holds(['j.title'], text);
  const unit = holds(['name', 'tag', 'plate'], text);
  const site = holds(['name', 'place', 'customer', 'contact'], text, 'phone');
  const units = `select id from unit where ${unit.sql} union all select id from unit where site_id in (select id from site where ${site.sql})`;
  const values = [...title.values, ...unit.values, ...site.values];
  const few = await em.execute<{ id: string }[]>(
    `select j.id from job j where ${title.sql} union all select j.id from job j where j.unit_id in (${units}) limit ?`,
    [...values, FEW + 1],
  );
  return few.length <= FEW
    ? { sql: 'j.id = any(?::uuid[])', values: [`{${idsOf(few).join(',')}}`] }
    : { sql: `(${title.sql} or j.unit_id in (${units}))`, values };
}

export function jobRepository(em: EntityManager) {
  return {
    byId: (id: string) => em.findOne(jobEntity, { id }),
    /**
     * The job with its row locked until the transaction ends: sequences of one job are given out one at a time. The lock lets pass what only points at the job,
     * such as a log of it that is being loaded for half a minute.
     */
    async lock(id: string): Promise<Job | null> {
      await em.execute('select 1 from job where id = ? for no key update', [id]);
      return em.findOne(jobEntity, { id }, { refresh: true });
    },
    /** Jobs whose title, unit or site holds the text, or whose site has the number, in order; and how many there are. */
    async search(wish: JobWish): Promise<{ readonly ids: readonly string[]; readonly total: number }> {
      const { text, unitId, archived, state, order, personId, today, offset, limit } = wish;
      const conditions: readonly Condition[] = [
        { sql: `j.archived_at is ${archived ? 'not ' : ''}null`, values: [] },
        ...(unitId === null ? [] : [{ sql: 'j.unit_id = ?', values: [unitId] }]),
        ...(personId === null ? [] : [{ sql: 'j.assigned_to = ?', values: [personId] }]),
        ...(state === 'all' ? [] : [{ sql: inState[state], values: state === 'late' ? [today] : [] }]),
        ...(text === '' ? [] : [await heldBy(em, text)]),
      ];
      const where = `where ${conditions.map(({ sql }) => sql).join(' and ')}`;
      const values = conditions.flatMap((condition) => condition.values);
      const places =
        order === 'site' ? 'join unit u on u.id = j.unit_id join site s on s.id = u.site_id' : '';
      // Two statements: a page is found by its order, and counting needs none.
      const rows = await em.execute<{ id: string }[]>(
        `select j.id from job j ${places} ${where} order by ${sortedBy[order]}, j.id limit ? offset ?`,
        [...values, limit, offset],
      );
      if (offset === 0 && rows.length < limit) return { ids: idsOf(rows), total: rows.length };
      const [counted] = await em.execute<{ n: number }[]>(
        `select count(*)::int as n from job j ${where}`,
        values,
      );
      return { ids: idsOf(rows), total: counted?.n ?? 0 };
    },
    /** Jobs as pages see them, with their unit, site and people, in the order of the ids; in one statement, since lists are long. */
    async views(ids: readonly string[]): Promise<readonly JobView[]> {
      if (ids.length === 0) return [];
      const rows = await em.execute<{ view: JobView }[]>(
        `select json_build_object(
            'id', j.id, 'title', j.title,
            'unit', json_build_object('id', u.id, 'siteId', u.site_id, 'siteName', s.name, 'name', u.name, 'tag', u.tag,
              'plate', u.plate, 'archived', u.archived_at is not null, 'version', u.version),
            'createdAt', to_char(j.created_at at time zone 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"'),
            'createdBy', coalesce(maker.name, ''),
            'assignedTo', case when goer.id is null then null else json_build_object('id', goer.id, 'name', goer.name) end,
            'plannedFor', j.planned_for::text, 'waitsFor', j.waits_for, 'summary', j.summary,
            'lastSequence', j.last_sequence, 'archived', j.archived_at is not null, 'version', j.version) as view
           from unnest(?::uuid[]) with ordinality as wanted (id, place)
           join job j on j.id = wanted.id join unit u on u.id = j.unit_id join site s on s.id = u.site_id
           left join person maker on maker.id = j.created_by left join person goer on goer.id = j.assigned_to
          order by wanted.place`,
        [`{${ids.join(',')}}`],
      );
      return rows.map(({ view }) => view);
    },
    /** The jobs of the unit of a job, archived ones left out, each locked; one order for all, so that two do not wait for each other. */
    async lockOfOneUnit(id: string): Promise<readonly Job[]> {
      const rows = await em.execute<{ id: string }[]>(
        `select id from job where unit_id = (select unit_id from job where id = ?) and archived_at is null
          order by id for no key update`,
        [id],
      );
      return em.find(jobEntity, { id: { $in: rows.map((row) => row.id) } }, { refresh: true });
    },
    /** Jobs of a unit, newest first. */
    ofUnit: (unitId: string) => em.find(jobEntity, { unitId }, { orderBy: { createdAt: 'desc' } }),
    /** Jobs of a unit by their ids: those in use first, then those in the archive, each newest first. */
    async idsOfUnit(unitId: string): Promise<readonly string[]> {
      const rows = await em.execute<{ id: string }[]>(
        'select id from job where unit_id = ? order by archived_at is not null, created_at desc',
        [unitId],
      );
      return rows.map((row) => row.id);
    },
    /** Every job by its id and title, with its unit and site, oldest first. */
    allNamed: () =>
      em.execute<{ id: string; name: string }[]>(
        `select j.id, concat_ws(' ', s.name, nullif(u.tag, ''), u.name, j.title) as name
           from job j join unit u on u.id = j.unit_id join site s on s.id = u.site_id order by j.created_at, j.id`,
      ),
    /** Jobs that are not finished, what is planned first before what is not; and how many there are. */
    async unfinished(limit: number): Promise<{ readonly ids: readonly string[]; readonly total: number }> {
      const where = `archived_at is null and not (${FINISHED})`;
      const [{ n }] = (await em.execute<{ n: number }[]>(
        `select count(*)::int as n from job where ${where}`,
      )) as [{ n: number }];
      const rows = await em.execute<{ id: string }[]>(
        `select id from job where ${where} order by planned_for asc nulls last, created_at desc limit ?`,
        [limit],
      );
      return { ids: idsOf(rows), total: n };
    },
    /** Finished jobs that were handed over after a moment, newest first. */
    async finishedSince(since: Date, limit: number): Promise<readonly string[]> {
      const rows = await em.execute<{ id: string }[]>(
        `select id from job where archived_at is null and ${FINISHED} and summary->'handedOver'->>'at' >= ?
          order by summary->'handedOver'->>'at' desc limit ?`,
        [since.toISOString(), limit],
      );
      return idsOf(rows);
    },
    /** Finished jobs of which something is due up to a day: to come back, or to calibrate. */
    async dueBy(day: string, limit: number): Promise<readonly string[]> {
      const rows = await em.execute<{ id: string }[]>(
        `select id from job where archived_at is null and ${FINISHED}
            and least(summary->'followUp'->>'due', summary->>'calibrationDue') <= ?
          order by least(summary->'followUp'->>'due', summary->>'calibrationDue') limit ?`,
        [day, limit],
      );
      return idsOf(rows);
    },
    /** Jobs of a person that are not finished and have a day, the first first. */
    async plannedOf(personId: string, limit: number): Promise<readonly string[]> {
      const rows = await em.execute<{ id: string }[]>(
        `select id from job where archived_at is null and assigned_to = ? and planned_for is not null and not (${FINISHED})
          order by planned_for limit ?`,
        [personId, limit],
      );
      return idsOf(rows);
    },
    /** Finished jobs of a person (assigned, or opened by them where nobody was) of which something is due, the first first. */
    async dueOf(personId: string, limit: number): Promise<readonly string[]> {
      const rows = await em.execute<{ id: string }[]>(
        `select id from job where archived_at is null and coalesce(assigned_to, created_by) = ? and ${FINISHED}
            and least(summary->'followUp'->>'due', summary->>'calibrationDue') is not null
          order by least(summary->'followUp'->>'due', summary->>'calibrationDue') limit ?`,
        [personId, limit],
      );
      return idsOf(rows);
    },
    /** Jobs that went on since they were summarised, some of them by chance. */
    toSummarise: (limit: number) =>
      em
        .execute<{ id: string; unit_id: string }[]>(
          'select id, unit_id from job where summary_of < last_sequence order by random() limit ?',
          [limit],
        )
        .then((rows) => rows.map((row) => ({ id: row.id, unitId: row.unit_id }))),
    /** Keeps the summary of a job as of a sequence, unless a later one stands; without one what stood is kept, and is not tried again. */
    async keepSummary(id: string, sequence: number, summary: JobSummary | undefined): Promise<void> {
      await em.execute(
        `update job set summary_of = ?, summary = coalesce(?::jsonb, summary) where id = ? and summary_of < ?`,
        [sequence, summary === undefined ? null : JSON.stringify(summary), id, sequence],
      );
    },
    /** Has every job in use summarised anew. */
    summariseAnew: () => em.execute('update job set summary_of = -1 where archived_at is null'),
    create: (job: Omit<Job, 'version'>) => insert(em, jobEntity, job),
    /** Takes the next sequence, without touching the version: adding an entry is no edit of the job. */
    async setLastSequence(job: Job, sequence: number): Promise<void> {
      await em.nativeUpdate(jobEntity, { id: job.id }, { lastSequence: sequence });
    },
    save: () => em.flush(),
  };
}
