import { join } from 'node:path';
import type { LogView } from '@brine/contract/routes';
import type { LogLayout } from '@brine/core/logs/reading';
import type { Services, SignedIn } from '../http/context.ts';
import { AppError } from '../http/errors.ts';
import { slowStream } from '../http/slowStream.ts';
import { mustFindJob } from '../jobs/jobs.service.ts';
import type { StoredLog } from './log.entity.ts';
import { headLine, timeOf } from './log.reads.ts';
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

/** A window up to so long is sent in one piece; what is longer as a stream, no faster than it is read. */
const ONE_PIECE_MS = 32 * 24 * 3600 * 1000;

/** A log in the open format: all of it, or what lies in a window. */
export async function readLogFile(
  services: Services,
  jobId: string,
  id: string,
  { from, to }: LogWindow = {},
): Promise<{ readonly name: string; readonly body: string | ReadableStream<Uint8Array> }> {
  const { database } = services;
  const head = await database.reads.logs.head(jobId, id);
  if (!head) throw new AppError('notFound', 'This log is not here');
  const { name, columns, clock } = head;
  if (from !== undefined && to !== undefined && Date.parse(to) - Date.parse(from) <= ONE_PIECE_MS)
    return { name, body: headLine(columns) + (await database.reads.logs.window(id, head, from, to)) };
  const stream = slowStream((push) =>
    database.transaction(async (repositories) => {
      await push(headLine(columns));
      await repositories.logs.write(id, timeOf[clock.kind], columns, { from, to }, push);
    }),
  );
  return { name, body: stream };
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
