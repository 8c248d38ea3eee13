import { formatName, type LogClock, type ValueRole } from '@brine/core/logs/reading';
import type { Reader } from '../database/reader.ts';

/** What is known of a log that is sent. */
export interface LogHead {
  readonly name: string;
  readonly columns: readonly ValueRole[];
  readonly clock: LogClock;
}

/** How the moments of a log are written: by its clock. */
export const timeOf = {
  true: `to_char(at at time zone 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS"Z"')`,
  asWritten: `to_char(at at time zone 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS')`,
  elapsed: `extract(epoch from at)::bigint`,
} as const;

/** The first line of a log in the open format. */
export const headLine = (columns: readonly ValueRole[]): string =>
  `time,${columns.map(formatName).join(',')}\n`;

/** What is read of logs without changing them. */
export function logReads(reader: Reader) {
  return {
    /** A log of a job; null where it is not there. */
    async head(jobId: string, id: string): Promise<LogHead | null> {
      const [row] = await reader.rows<LogHead>(
        'select name, columns, clock from log where id = ? and job_id = ?',
        [id, jobId],
      );
      return row ?? null;
    },
    /** The readings of a log between two moments as lines of the open format: in one piece, as the database writes them, for windows of some ten thousand rows. */
    async window(id: string, { columns, clock }: LogHead, from: string, to: string): Promise<string> {
      const cells = columns.map((role) => `coalesce("${role}"::text, '')`);
      const [row] = await reader.rows<{ lines: string | null }>(
        // In order below and gathered above (PostgreSQL's manual, aggregate functions): an order within the gathering sorts every line.
        `select string_agg(line, E'\\n') as lines
           from (select concat_ws(',', ${[timeOf[clock.kind], ...cells].join(', ')}) as line from log_point
                  where log_id = ? and at >= ?::timestamptz and at < ?::timestamptz order by at) as ordered`,
        [id, from, to],
      );
      return row?.lines ? `${row.lines}\n` : '';
    },
  };
}
