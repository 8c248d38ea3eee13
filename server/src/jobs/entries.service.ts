import { isDeepStrictEqual } from 'node:util';
import type { AcceptedEntry, EntryBody } from '@brine/core/jobs';
import { entryProblem } from '@brine/core/jobs';
import { authorOfTicket } from '../auth/auth.service.ts';
import type { Repositories } from '../database/database.ts';
import type { Caller, Services } from '../http/context.ts';
import { AppError, type ErrorCode } from '../http/errors.ts';
import { namesOf } from '../people/people.service.ts';
import type { StoredEntry } from './entry.entity.ts';
import { mustFindJob } from './jobs.service.ts';

/** An entry as a device sends it: its author is the ticket's. */
export interface SentEntry {
  readonly id: string;
  readonly job: string;
  readonly deviceSequence: number;
  readonly deviceTime: string;
  readonly seen: number;
  readonly body: unknown;
}

/** What became of one sent entry. A refused one stays on the device, with the sentence. */
export type EntryResult =
  | {
      readonly id: string;
      readonly status: 'accepted';
      readonly sequence: number;
      readonly receivedAt: string;
    }
  | { readonly id: string; readonly status: 'refused'; readonly code: ErrorCode; readonly message: string };

/** Entries of a job after a sequence, with the names of their authors, and whether there are more. */
export interface EntryPage {
  readonly entries: readonly AcceptedEntry[];
  readonly names: Readonly<Record<string, string>>;
  readonly more: boolean;
}

const PAGE = 1000;

/** Takes entries in the order sent. Each stands or falls alone; the same one sent twice is accepted once. */
export async function appendEntries(
  services: Services,
  caller: Caller,
  ticket: string,
  sent: readonly SentEntry[],
): Promise<readonly EntryResult[]> {
  // Once before any entry: a ticket that is no longer good refuses the whole batch.
  const author = await services.database.transaction((repositories) =>
    authorOfTicket(repositories, ticket, caller, services.now()),
  );
  const results: EntryResult[] = [];
  for (const entry of sent) results.push(await append(services, author.person.id, author.device, entry));
  return results;
}

/** Adds one entry under an author, or says why not. */
export async function append(
  services: Services,
  authorId: string,
  device: string,
  sent: SentEntry,
): Promise<EntryResult> {
  const problem = entryProblem(sent.body);
  if (problem !== null) return refused(sent.id, 'badInput', problem);
  try {
    const stored = await services.database.transaction((repositories) =>
      store(repositories, services, authorId, device, sent),
    );
    return {
      id: sent.id,
      status: 'accepted',
      sequence: stored.sequence,
      receivedAt: stored.receivedAt.toISOString(),
    };
  } catch (error) {
    if (error instanceof AppError && error.code !== 'unavailable')
      return refused(sent.id, error.code, error.message);
    throw error;
  }
}

export function readEntries(services: Services, jobId: string, after: number): Promise<EntryPage> {
  return services.database.transaction(async (repositories) => {
    await mustFindJob(repositories, jobId);
    const stored = await repositories.entries.after(jobId, after, PAGE);
    return {
      entries: stored.map(acceptedOf),
      names: await namesOf(
        repositories,
        stored.map((e) => e.authorId),
      ),
      more: stored.length === PAGE,
    };
  });
}

async function store(
  repositories: Repositories,
  services: Services,
  authorId: string,
  device: string,
  sent: SentEntry,
): Promise<StoredEntry> {
  // The job's lock is taken first, so that two posts of one entry meet here one after the other.
  const job = await repositories.jobs.lock(sent.job);
  if (!job) throw new AppError('notFound', 'This job does not exist on the server');
  const twin = await repositories.entries.byId(sent.id);
  if (twin) return sameOrRefuse(twin, authorId, sent);
  if (await repositories.entries.byDevice(sent.job, device, sent.deviceSequence))
    throw new AppError(
      'conflict',
      `Entry ${sent.deviceSequence} of this device was already taken with other content`,
    );
  const sequence = job.lastSequence + 1;
  const entry: StoredEntry = {
    id: sent.id,
    jobId: sent.job,
    sequence,
    device,
    deviceSequence: sent.deviceSequence,
    deviceTime: sent.deviceTime,
    // A device cannot have seen what the server has not given out.
    seen: Math.min(sent.seen, job.lastSequence),
    authorId,
    body: sent.body as EntryBody,
    receivedAt: services.now(),
    foreignFrom: null,
  };
  await repositories.entries.create(entry);
  await repositories.jobs.setLastSequence(job, sequence);
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

/** A stored row as the stream carries it. */
export function acceptedOf(row: StoredEntry): AcceptedEntry {
  return {
    id: row.id,
    job: row.jobId,
    sequence: row.sequence,
    device: row.device,
    deviceSequence: row.deviceSequence,
    deviceTime: row.deviceTime,
    seen: row.seen,
    author: row.authorId,
    body: row.body,
    receivedAt: row.receivedAt.toISOString(),
    ...(row.foreignFrom && { foreign: row.foreignFrom }),
  };
}
