import type { EntityManager } from '@mikro-orm/postgresql';
import type { BoxFile } from '@brine/core/machines/identification';
import type { EntryBody } from '@brine/core/record/entries';
import type { Held } from '@brine/core/record/history';
import { insert } from '../database/insert.ts';
import { ACCEPTED } from './acceptedSql.ts';
import { entryEntity, type StoredEntry } from './entry.entity.ts';

/** A job that names a control, with the unit it is for. */
export interface ControlPlace {
  readonly unit: string;
  readonly tag: string;
  readonly site: string;
  readonly job: string;
  readonly title: string;
  readonly role: 'old' | 'new';
  readonly version: string;
  readonly hash: string;
}

/** A code whose display showed something else than was keyed. */
export interface ShownOtherwise {
  readonly code: string;
  readonly value: string;
  readonly shown: string;
  readonly unit: string;
  readonly job: string;
}

export function entryRepository(em: EntityManager) {
  return {
    byId: (id: string) => em.findOne(entryEntity, { id }),
    byDevice: (jobId: string, device: string, deviceSequence: number) =>
      em.findOne(entryEntity, { jobId, device, deviceSequence }),
    /** Where a family stands now, by the latest word of each job on its old and its new control; newest job first. */
    async usesOf(definitionId: string, limit: number): Promise<readonly ControlPlace[]> {
      return em.execute<ControlPlace[]>(
        `select u.name as unit, u.tag, s.name as site, j.id as job, j.title, c.role, c.version, c.hash
           from control_in_use c
           join job j on j.id = c.job_id join unit u on u.id = j.unit_id join site s on s.id = u.site_id
          where c.definition_id = ? order by j.created_at desc, c.role limit ?`,
        [definitionId, limit],
      );
    },
    /** What was keyed in these jobs, by the latest word on each code: confirmed on how many units, and where the display showed something else. */
    async keyedIn(jobIds: readonly string[]): Promise<{
      readonly proven: readonly { readonly code: string; readonly units: number }[];
      readonly shownOtherwise: readonly ShownOtherwise[];
    }> {
      if (jobIds.length === 0) return { proven: [], shownOtherwise: [] };
      const last = await em.execute<(ShownOtherwise & { unit_id: string; state: string | null })[]>(
        `select distinct on (e.job_id, e.body ->> 'code') e.body ->> 'code' as code, e.body ->> 'state' as state,
                coalesce(e.body ->> 'value', '') as value, coalesce(e.body ->> 'shown', '') as shown, u.name as unit, u.id as unit_id, j.id as job
           from entry e join job j on j.id = e.job_id join unit u on u.id = j.unit_id
          where e.body ->> 'kind' = 'keyed' and e.job_id in (${jobIds.map(() => '?').join(', ')})
          order by e.job_id, e.body ->> 'code', e.sequence desc`,
        [...jobIds],
      );
      const units = new Map<string, Set<string>>();
      for (const { code, state, unit_id } of last)
        if (state === 'keyed') units.set(code, (units.get(code) ?? new Set()).add(unit_id));
      return {
        proven: [...units].map(([code, on]) => ({ code, units: on.size })),
        shownOtherwise: last
          .filter(({ state }) => state === 'showsElse')
          .map(({ code, value, shown, unit, job }) => ({ code, value, shown, unit, job })),
      };
    },
    /** A job's entries, the definitions they name and who wrote them, as the database itself writes JSON: nothing is taken apart here. */
    async materialOf(jobId: string): Promise<{
      readonly entries: string;
      readonly definitions: string;
      readonly names: Readonly<Record<string, string>>;
    }> {
      const [row] = await em.execute<
        { entries: string; definitions: string; names: Record<string, string> }[]
      >(
        `select (select coalesce(json_agg(${ACCEPTED} order by sequence), '[]')::text from entry where job_id = ?) as entries,
                (select coalesce(json_object_agg(hash, data), '{}')::text from controller where hash in (
                   select body -> 'definition' ->> 'hash' from entry where job_id = ? and body ->> 'kind' = 'control')) as definitions,
                (select coalesce(json_object_agg(id, name), '{}') from person where id in (
                   select author_id from entry where job_id = ?)) as names`,
        [jobId, jobId, jobId],
      );
      return row!;
    },
    /** JSON of the settings that other jobs of a unit left in it, as `AcceptedEntry[]`. */
    async leftBy(unitId: string, exceptJob: string): Promise<string> {
      const [row] = await em.execute<{ entries: string }[]>(
        `select coalesce(json_agg(${ACCEPTED} order by received_at), '[]')::text as entries from entry
          where job_id in (select id from job where unit_id = ? and id <> ?) and body ->> 'kind' = 'sheet' and body ->> 'sheet' = 'left'`,
        [unitId, exceptJob],
      );
      return row!.entries;
    },
    /** The latest entry of each of these kinds over all jobs of a unit. */
    latestOfUnit: (unitId: string, kinds: readonly string[]) =>
      em.execute<{ body: EntryBody; deviceTime: string; authorId: string }[]>(
        `select distinct on (e.body ->> 'kind') e.body, e.device_time as "deviceTime", e.author_id as "authorId"
           from entry e join job j on j.id = e.job_id
          where j.unit_id = ? and e.body ->> 'kind' in (${kinds.map(() => '?').join(', ')})
          order by e.body ->> 'kind', e.received_at desc, e.sequence desc`,
        [unitId, ...kinds],
      ),
    /** The own box of each unit as it was learned last, where it is used. Without the draws: they are the most of it. */
    async boxesInUse(): Promise<readonly BoxFile[]> {
      const rows = await em.execute<{ box: BoxFile }[]>(
        `with latest as (
           select distinct on (j.unit_id, e.body ->> 'kind') j.unit_id, e.body
             from entry e join job j on j.id = e.job_id
            where e.body ->> 'kind' in ('learned', 'boxChoice')
            order by j.unit_id, e.body ->> 'kind', e.received_at desc, e.sequence desc)
         select (learned.body -> 'box') - 'drawn' as box
           from latest learned left join latest choice on choice.unit_id = learned.unit_id and choice.body ->> 'kind' = 'boxChoice'
          where learned.body ->> 'kind' = 'learned' and jsonb_typeof(learned.body -> 'box') = 'object'
            and coalesce(choice.body ->> 'use', 'own') <> 'usual'
          order by learned.unit_id`,
      );
      return rows.map(({ box }) => box);
    },
    /** Logs that were held against predictions, in all jobs, in the order they were received. */
    async held(): Promise<readonly Held[]> {
      const rows = await em.execute<{ body: Held }[]>(
        `select body from entry where body ->> 'kind' = 'heldAgainst' order by received_at, sequence`,
      );
      return rows.map(({ body }) => body);
    },
    create: (entry: StoredEntry) => insert(em, entryEntity, entry),
    /** Adds entries written as JSON with the names of the columns; the database reads them by itself. */
    createFromJson: (json: string, jobId: string, authorId: string, receivedAt: Date) =>
      em.execute(
        `insert into entry (id, job_id, sequence, device, device_sequence, device_time, seen, author_id, body, received_at, foreign_from)
         select id, ?, sequence, device, device_sequence, device_time, seen, ?, body, ?, foreign_from
           from json_to_recordset(?::json) as e (id uuid, sequence int, device varchar, device_sequence int, device_time varchar, seen int,
                                                 body jsonb, foreign_from jsonb)`,
        [jobId, authorId, receivedAt, json],
      ),
    createAll: (entries: readonly StoredEntry[]) => em.insertMany(entryEntity, [...entries]),
  };
}
