import type { Means } from '../http/context.ts';
import { AppError, asAppError } from '../http/errors.ts';
import { loggedError } from '../http/loggedError.ts';
import { NotOurs } from './kind.ts';
import { workKinds } from './kinds.ts';
import type { ClaimedWork } from './work.repository.ts';

/** How often a runner says that it lives, and looks whether its work was stopped. */
const RENEW_MS = 1000;
/** So often in a row, without a step forward, work fails before it is given up. */
const MOST_TRIES = 5;
/** So often in a row its server dies of it, or with it. */
const MOST_DEATHS = 12;

/**
 * Does one piece of work, where it is free to be done: claims it, says once a second that this server lives, and writes how it ended. `ending` is aborted when
 * the server stops: the work is then given back. Rejects only where the database is
 * away: the work is then found by another, or by this one later.
 */
export async function runWork(means: Means, id: string, runner: string, ending: AbortSignal): Promise<void> {
  const { database, log } = means;
  const work = await database.transaction((repositories) => repositories.work.claim(id, runner));
  if (!work) return;
  if (work.tries > MOST_DEATHS) {
    await end(
      means,
      work,
      runner,
      'failed',
      `Given up: its server died ${MOST_DEATHS} times in a row. Ask for it again; if it happens again, it may be the reason`,
    );
    return;
  }
  const off = new AbortController();
  const signal = AbortSignal.any([off.signal, ending]);
  const renewal = setInterval(() => {
    database
      .transaction((repositories) => repositories.work.renew(id, runner))
      .then((ours) => ours || off.abort(new NotOurs('stopped or taken up by another')))
      // The database is away: the work fails by itself, or goes on when it is back.
      .catch(() => undefined);
  }, RENEW_MS);
  try {
    await workKinds[work.kind](means, { ...work, runner, signal });
    await end(means, work, runner, 'done', null);
  } catch (thrown) {
    if (ending.aborted) await giveBack(means, id, runner, false);
    else if (!(off.signal.aborted || thrown instanceof NotOurs)) await failed(means, work, runner, thrown);
    log.debug({ work: id, err: loggedError(thrown) }, 'work ended early');
  } finally {
    clearInterval(renewal);
  }
}

/** What the asker did wrong ends it; anything else is tried again, here or elsewhere, when the queue finds it waiting. */
async function failed(means: Means, work: ClaimedWork, runner: string, thrown: unknown): Promise<void> {
  const error = asAppError(thrown);
  if (thrown instanceof AppError && error.code !== 'unavailable')
    return end(means, work, runner, 'failed', error.message);
  if (error.code !== 'unavailable')
    means.log.error({ work: work.id, err: loggedError(error.cause ?? thrown) }, 'work failed');
  if (work.tries < MOST_TRIES) await giveBack(means, work.id, runner, true);
  else
    await end(
      means,
      work,
      runner,
      'failed',
      `The server could not finish this in ${MOST_TRIES} tries; its log says why`,
    );
}

const end = (
  means: Means,
  { id }: ClaimedWork,
  runner: string,
  state: 'done' | 'failed',
  problem: string | null,
) =>
  means.database.transaction((repositories) =>
    repositories.work.end(id, runner, state, problem?.slice(0, 1000) ?? null, means.now()),
  );

const giveBack = (means: Means, id: string, runner: string, counted: boolean) =>
  means.database.transaction((repositories) => repositories.work.giveBack(id, runner, counted));
