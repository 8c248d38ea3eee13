import { join } from 'node:path';
import type { LogView } from '@brine/contract/routes';
import { formatName, type LogLayout } from '@brine/core/logs/reading';
import type { Services, SignedIn } from '../http/context.ts';
import { AppError } from '../http/errors.ts';
import { slowStream } from '../http/slowStream.ts';
import { mustFindJob } from '../jobs/jobs.service.ts';
import type { StoredLog } from './log.entity.ts';
import type { LogWindow } from './log.repository.ts';
import { inOwnFolder } from '../work/inOwnFolder.ts';
import { spool } from './spool.ts';

const MOST_LOGS = 50;

/**
 * Takes in a logger's file: written to disk as it comes, read in a thread, loaded in bulk in one transaction, which holds its connection only while rows are
 * copied. The same id sent again is taken once.
 */
export async function takeLog(
  services: Services,
  person: SignedIn,
  jobId: string,
  id: string,
  name: string,
  layout: LogLayout,
  body: AsyncIterable<Uint8Array>,
): Promise<LogView> {
  const twin = await services.database.transaction(async (repositories) => {
    await mustFindJob(repositories, jobId);
    if ((await repositories.logs.ofJob(jobId)).length >= MOST_LOGS)
      throw new AppError('badInput', `logs: this job has ${MOST_LOGS} already; expected no more`);
    return repositories.logs.byId(id);
  });
  if (twin) return sameOrRefuse(twin, jobId, name);
  return inOwnFolder(async (folder) => {
    const [file, rows] = [join(folder, 'sent'), join(folder, 'rows')];
    await spool(body, file);
    const read = await services.threads.run('readLog', { from: file, into: rows, id, layout });
    if ('problem' in read) throw new AppError('badInput', `the file: ${read.problem}`);
    const { months, ...known } = read;
    // Months are made before and apart: making one locks the whole table for a moment, loading a year of minutes does not.
    await services.database.transaction((repositories) => repositories.logs.makeMonths(months));
    return services.database.transaction(async (repositories) => {
      const stored: StoredLog = {
        id,
        jobId,
        authorId: person.id,
        name,
        layout,
        ...known,
        createdAt: services.now(),
      };
      await repositories.logs.create(stored);
      await repositories.logs.load(rows, known.columns);
      return viewOf(stored);
    });
  });
}

/** Logs of a job, oldest first. */
export function listLogs(services: Services, jobId: string): Promise<readonly LogView[]> {
  return services.database.transaction(async (repositories) => {
    await mustFindJob(repositories, jobId);
    return (await repositories.logs.ofJob(jobId)).map(viewOf);
  });
}

const times = {
  true: `to_char(at at time zone 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS"Z"')`,
  asWritten: `to_char(at at time zone 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS')`,
  elapsed: `extract(epoch from at)::bigint`,
} as const;

/** A log as a stream of the open format: all of it, or what lies in a window. */
export async function streamLog(
  services: Services,
  jobId: string,
  id: string,
  window: LogWindow = {},
): Promise<{ readonly name: string; readonly stream: ReadableStream<Uint8Array> }> {
  const log = await services.database.transaction((repositories) => repositories.logs.byId(id));
  if (!log || log.jobId !== jobId) throw new AppError('notFound', 'This log is not here');
  const stream = slowStream((push) =>
    services.database.transaction(async (repositories) => {
      await push(`time,${log.columns.map(formatName).join(',')}\n`);
      await repositories.logs.write(log, times[log.clock.kind], log.columns, window, push);
    }),
  );
  return { name: log.name, stream };
}

function sameOrRefuse(twin: StoredLog, jobId: string, name: string): LogView {
  if (twin.jobId !== jobId || twin.name !== name)
    throw new AppError('conflict', 'A log with this id was already taken with other content');
  return viewOf(twin);
}

const viewOf = (log: StoredLog): LogView => ({
  id: log.id,
  name: log.name,
  columns: log.columns,
  samples: log.samples,
  createdAt: log.createdAt.toISOString(),
});
