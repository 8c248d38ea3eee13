import type { LogView } from '@brine/contract/routes';
import { formatName, LogReader, spanProblem, type LogLayout } from '@brine/core/logs/reading';
import type { Services, SignedIn } from '../http/context.ts';
import { AppError } from '../http/errors.ts';
import { slowStream } from '../http/slowStream.ts';
import { mustFindJob } from '../jobs/jobs.service.ts';
import type { StoredLog } from './log.entity.ts';

/** Largest file of a logger, bytes: a year of minutes with a dozen columns is some 50 MB. */
export const LARGEST_LOG = 256 * 1024 * 1024;
const MOST_LOGS = 50;

/**
 * Takes in a logger's file as it comes: read piece by piece by the reader that the page uses too, then loaded in bulk in one transaction. The same id sent
 * again is taken once.
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
  const { log, tidied } = await readAll(layout, body);
  if (log.time.length === 0)
    throw new AppError(
      'badInput',
      `the file: ${tidied.problems[0] ? `line ${tidied.problems[0].line}: ${tidied.problems[0].why}` : 'expected at least one row of readings'}`,
    );
  const problem = spanProblem(log.time);
  if (problem !== null) throw new AppError('badInput', `the file: ${problem}`);
  // Months are made before and apart: making one locks the whole table for a moment, loading a year of minutes does not.
  await services.database.transaction((repositories) => repositories.logs.makeMonths(log));
  return services.database.transaction(async (repositories) => {
    const stored: StoredLog = {
      id,
      jobId,
      authorId: person.id,
      name,
      columns: Object.keys(log.values) as StoredLog['columns'],
      layout,
      clock: log.clock,
      samples: log.time.length,
      tidied,
      createdAt: services.now(),
    };
    await repositories.logs.create(stored);
    await repositories.logs.load(id, log);
    return viewOf(stored);
  });
}

async function readAll(layout: LogLayout, body: AsyncIterable<Uint8Array>) {
  const reader = new LogReader(layout);
  const decoder = new TextDecoder();
  let bytes = 0;
  for await (const piece of body) {
    bytes += piece.byteLength;
    if (bytes > LARGEST_LOG)
      throw new AppError('tooLarge', `The file is larger than ${LARGEST_LOG / 1024 / 1024} MiB`);
    reader.push(decoder.decode(piece, { stream: true }));
  }
  reader.push(decoder.decode());
  return reader.finish();
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

/** A log as a stream of the open format. */
export async function streamLog(
  services: Services,
  jobId: string,
  id: string,
): Promise<{ readonly name: string; readonly stream: ReadableStream<Uint8Array> }> {
  const log = await services.database.transaction((repositories) => repositories.logs.byId(id));
  if (!log || log.jobId !== jobId) throw new AppError('notFound', 'This log is not here');
  const stream = slowStream((push) =>
    services.database.transaction(async (repositories) => {
      await push(`time,${log.columns.map(formatName).join(',')}\n`);
      await repositories.logs.write(log, times[log.clock.kind], log.columns, push);
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
