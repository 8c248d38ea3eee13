import type { Reader } from '../database/reader.ts';
import { ACCEPTED } from './acceptedSql.ts';

/** Entries of a job after a sequence, written as JSON. */
export interface EntriesText {
  /** Of `AcceptedEntry[]`. */
  readonly entries: string;
  /** Who wrote them, by id. */
  readonly names: string;
  readonly count: number;
}

/** What is read of entries without changing them. */
export function entryReads(reader: Reader) {
  return {
    /** The entries of a job after a sequence, so many of them; null where there is no such job. */
    async textAfter(jobId: string, sequence: number, limit: number): Promise<EntriesText | null> {
      const [row] = await reader.rows<EntriesText & { there: boolean }>(
        `with page as (select * from entry where job_id = ? and sequence > ? order by sequence limit ${limit})
         select exists (select 1 from job where id = ?) as there,
                (select coalesce(json_agg(${ACCEPTED} order by sequence), '[]')::text from page) as entries,
                (select coalesce(json_object_agg(id, name), '{}')::text from person where id in (select author_id from page)) as names,
                (select count(*)::int from page) as count`,
        [jobId, sequence, jobId],
      );
      return row?.there ? row : null;
    },
  };
}
