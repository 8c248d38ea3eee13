import { randomUUID } from 'node:crypto';
import type { Work as WorkView, WorkKind } from '@brine/contract/routes';
import type { Repositories } from '../database/database.ts';
import type { Services, SignedIn } from '../http/context.ts';
import { AppError } from '../http/errors.ts';
import { loggedError } from '../http/loggedError.ts';
import { slowStream } from '../http/slowStream.ts';
import { namesOf } from '../people/people.service.ts';
import type { StoredWork } from './work.entity.ts';

const MOST_LISTED = 50;

/** Asks for work: writes it down and puts it into the queue. Answers at once. */
export async function askFor(
  services: Services,
  person: SignedIn,
  kind: WorkKind,
  title: string,
  subject: object,
): Promise<WorkView> {
  const id = randomUUID();
  const view = await services.database.transaction(async (repositories) => {
    const work = await repositories.work.create({
      id,
      kind,
      title,
      subject,
      askedBy: person.id,
      askedAt: services.now(),
    });
    return viewOf(work, person, person.name);
  });
  // Where this fails the work is found waiting, and put into the queue then.
  await services.queue
    .add(id, kind)
    .catch((error: unknown) => services.log.warn({ work: id, err: loggedError(error) }, 'the queue'));
  return view;
}

/** A person's own work, newest first; a lead sees everybody's. */
export function listWork(services: Services, person: SignedIn): Promise<readonly WorkView[]> {
  return services.database.transaction(async (repositories) => {
    const works = await repositories.work.newest(person.role === 'lead' ? null : person.id, MOST_LISTED);
    const names = await namesOf(
      repositories,
      works.map((work) => work.askedBy),
    );
    return works.map((work) => viewOf(work, person, names[work.askedBy] ?? ''));
  });
}

export function readWork(services: Services, person: SignedIn, id: string): Promise<WorkView> {
  return services.database.transaction(async (repositories) =>
    viewWith(repositories, await mustFindWork(repositories, person, id), person),
  );
}

/** Stops work that waits or is under way: its server sees it within a second. What has ended stays as it ended. */
export function stopWork(services: Services, person: SignedIn, id: string): Promise<WorkView> {
  return services.database.transaction(async (repositories) => {
    const work = await mustFindWork(repositories, person, id);
    await repositories.work.stop(id, services.now());
    return viewWith(repositories, await repositories.work.again(work), person);
  });
}

/** The file that work made, as a stream. */
export async function streamFile(
  services: Services,
  person: SignedIn,
  id: string,
): Promise<{ readonly name: string; readonly stream: ReadableStream<Uint8Array> }> {
  const { fileName } = await services.database.transaction((repositories) =>
    mustFindWork(repositories, person, id),
  );
  if (!fileName) throw new AppError('notFound', 'There is no file of this (yet)');
  const stream = slowStream(async (push) => {
    for (let position = 0; ; position += 1) {
      const piece = await services.database.transaction((repositories) =>
        repositories.work.piece(id, position),
      );
      if (!piece) return;
      await push(piece);
    }
  });
  return { name: fileName, stream };
}

/** Work of others is for leads alone; to anybody else it is not there. */
async function mustFindWork(repositories: Repositories, person: SignedIn, id: string): Promise<StoredWork> {
  const work = await repositories.work.byId(id);
  if (!work || !mayStop(work, person)) throw new AppError('notFound', 'No such work');
  return work;
}

const mayStop = (work: StoredWork, person: SignedIn) => person.role === 'lead' || work.askedBy === person.id;

/** Work as whoever asks sees it. */
export async function viewWith(
  repositories: Repositories,
  work: StoredWork,
  person: SignedIn,
): Promise<WorkView> {
  const names = await namesOf(repositories, [work.askedBy]);
  return viewOf(work, person, names[work.askedBy] ?? '');
}

const viewOf = (work: StoredWork, person: SignedIn, askedBy: string): WorkView => ({
  id: work.id,
  kind: work.kind,
  title: work.title,
  askedBy,
  askedAt: work.askedAt.toISOString(),
  state: work.state,
  done: work.done,
  total: work.total,
  problem: work.problem ?? null,
  endedAt: work.endedAt?.toISOString() ?? null,
  file: work.fileName ?? null,
  mayStop: mayStop(work, person),
});
