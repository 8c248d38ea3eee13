import { isDeepStrictEqual } from 'node:util';
import { sentEntryProblem, type SentEntry } from '@brine/contract/entries';
import type { EntryResult } from '@brine/contract/routes';
import type { Author } from '../auth/auth.service.ts';
import type { Repositories } from '../database/database.ts';
import type { Means, Services } from '../http/context.ts';
import { AppError, asAppError, type ErrorCode } from '../http/errors.ts';
import { Written, writtenAnswer, type WrittenAnswer } from '../http/written.ts';
import { isShared, shareOut } from './carryOver.ts';
import type { StoredEntry } from './entry.entity.ts';
import type { Job } from './job.entity.ts';

const PAGE = 1000;

/** Takes entries in the order sent. Each stands or falls alone; the same one sent twice is accepted once. */
export async function appendEntries(
  services: Services,
  author: Author,
  sent: readonly unknown[],
): Promise<readonly EntryResult[]> {
  const results: EntryResult[] = [];
  for (const entry of sent) results.push(await append(services, author.person.id, author.device, entry));
  return results;
}

/** Adds one entry under an author, or says why not. Only a database that is away stops the rest: they are sent again. */
export async function append(
  services: Services,
  authorId: string,
  device: string,
  sent: unknown,
): Promise<EntryResult> {
  const problem = sentEntryProblem(sent);
  if (problem !== null) return refused(idOf(sent), 'badInput', problem);
  const entry = sent as SentEntry;
  try {
    const stored = await services.database.transaction((repositories) =>
      store(repositories, services, authorId, device, entry),
    );
    return {
      id: entry.id,
      status: 'accepted',
      sequence: stored.sequence,
      receivedAt: stored.receivedAt.toISOString(),
    };
  } catch (thrown) {
    const error = asAppError(thrown);
    if (error.code === 'unavailable') throw error;
    if (error.code === 'internal')
      services.log.error({ err: error.cause ?? thrown, entry: entry.id }, 'an entry could not be stored');
    return refused(
      entry.id,
      error.code,
      error.code === 'internal'
        ? 'The server could not store this entry; it is kept on the device'
        : error.message,
    );
  }
}

/** The id by which the device knows the entry again, where it has one. */
function idOf(sent: unknown): string {
  const id = typeof sent === 'object' && sent !== null ? (sent as { readonly id?: unknown }).id : undefined;
  return typeof id === 'string' ? id.slice(0, 100) : '';
}

/** Adds entries of one author to one job, for what is loaded and not sent: all stand, or none does and the first that cannot is told. */
export async function appendTogether(
  services: Means,
  authorId: string,
  device: string,
  entries: readonly SentEntry[],
): Promise<void> {
  for (const [index, sent] of entries.entries()) {
    const problem = sentEntryProblem(sent);
    if (problem !== null) throw new AppError('badInput', `entry ${index}: ${problem}`);
  }
  const [first] = entries;
  if (!first) return;
  await services.database.transaction(async (repositories) => {
    const job = await mustLockJob(repositories, first.job);
    const before = job.lastSequence;
    await repositories.entries.createAll(
      entries.map((sent, index) => storedOf(sent, before + index, authorId, device, services.now())),
    );
    await repositories.jobs.setLastSequence(job, before + entries.length);
  });
}

async function mustLockJob(repositories: Repositories, id: string): Promise<Job> {
  const job = await repositories.jobs.lock(id);
  if (!job) throw new AppError('notFound', 'This job does not exist on the server');
  return job;
}

/** What is kept of an entry that follows the `last` of its job. */
function storedOf(
  sent: SentEntry,
  last: number,
  authorId: string,
  device: string,
  receivedAt: Date,
): StoredEntry {
  return {
    id: sent.id,
    jobId: sent.job,
    sequence: last + 1,
    device,
    deviceSequence: sent.deviceSequence,
    deviceTime: sent.deviceTime,
    // A device cannot have seen what the server has not given out.
    seen: Math.min(sent.seen, last),
    authorId,
    body: sent.body,
    receivedAt,
    foreignFrom: null,
  };
}

/** The entries of a job after a sequence, with the names of their authors, and whether there are more. */
export async function readEntries(services: Services, jobId: string, after: number): Promise<WrittenAnswer> {
  const page = await services.database.reads.entries.textAfter(jobId, after, PAGE);
  if (!page) throw new AppError('notFound', 'No such job');
  return writtenAnswer({
    entries: new Written(page.entries),
    names: new Written(page.names),
    more: page.count === PAGE,
  });
}

async function store(
  repositories: Repositories,
  services: Services,
  authorId: string,
  device: string,
  sent: SentEntry,
): Promise<StoredEntry> {
  const ofUnit = isShared(sent.body) ? await repositories.jobs.lockOfOneUnit(sent.job) : [];
  // The job's lock is taken first, so that two posts of one entry meet here one after the other.
  const job = await mustLockJob(repositories, sent.job);
  const twin = await repositories.entries.byId(sent.id);
  if (twin) return sameOrRefuse(twin, authorId, sent);
  if (await repositories.entries.byDevice(sent.job, device, sent.deviceSequence))
    throw new AppError(
      'conflict',
      `Entry ${sent.deviceSequence} of this device was already taken with other content`,
    );
  const entry = storedOf(sent, job.lastSequence, authorId, device, services.now());
  await repositories.entries.create(entry);
  await repositories.jobs.setLastSequence(job, entry.sequence);
  await shareOut(repositories, ofUnit, entry);
  return entry;
}

function sameOrRefuse(twin: StoredEntry, authorId: string, sent: SentEntry): StoredEntry {
  const same =
    twin.jobId === sent.job && twin.authorId === authorId && isDeepStrictEqual(twin.body, sent.body);
  if (!same) throw new AppError('conflict', 'An entry with this id was already taken with other content');
  return twin;
}

function refused(id: string, code: ErrorCode, message: string): EntryResult {
  return { id, status: 'refused', code, message };
}
