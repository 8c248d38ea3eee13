import { randomUUID } from 'node:crypto';
import PgBoss from 'pg-boss';
import { busWorkKinds, type WorkKind } from '@brine/contract/routes';
import type { Means } from '../http/context.ts';
import { loggedError } from '../http/loggedError.ts';
import { keepHouse } from './housekeeping.ts';
import { runWork } from './runner.ts';

/** Where the queue's own tables stand. Backups leave them out: what they hold is made anew from the table `work`. */
export const QUEUE_SCHEMA = 'work_queue';
const WORK = 'work';
/** Work on lines waits for devices, not for this machine: it has a queue of its own, and more of it is done side by side. */
const LINES = 'lines';
const HOUSE = 'housekeeping';
/** Pieces of work that one server does side by side. */
const SIDE_BY_SIDE = 2;
const LINES_SIDE_BY_SIDE = 40;
/** How often each server looks for work that nobody does. */
const SWEEP_MS = 3000;
/** Every hour, at a minute when few others do their rounds. */
const HOURLY = '17 * * * *';

/** The queue of work that goes on after its answer, on PostgreSQL: shared by all servers on one database. */
export interface Queue {
  /** Puts work that stands in the table `work` into the queue. It is done once, by whichever server takes it up. */
  add(workId: string, kind: WorkKind): Promise<void>;
  /** Stops taking work; what is under way is given back to the others. */
  close(): Promise<void>;
}

/**
 * Starts this server's part of the queue. pg-boss hands each piece to one server, and calls the housekeeping once an hour whatever the number of servers. Who
 * does a piece, and how far it is, stands in the table `work`: what a dead server left, or a restore forgot, is found there by any other and put back in.
 */
export async function startQueue(means: Means): Promise<Queue> {
  const { database, log, config } = means;
  const runner = randomUUID();
  const ending = new AbortController();
  const boss = new PgBoss({
    connectionString: config.databaseUrl,
    schema: QUEUE_SCHEMA,
    application_name: 'Brine Dial',
    max: 2,
  });
  // A database that is away is told by whatever is asked meanwhile; the queue goes on when it is back.
  boss.on('error', (error) => log.warn({ err: loggedError(error) }, 'the queue'));
  await boss.start();
  const once = { policy: 'short', retryLimit: 0 } as const;
  await boss.createQueue(WORK, { name: WORK, ...once, expireInHours: 20 });
  await boss.createQueue(LINES, { name: LINES, ...once, expireInHours: 20 });
  await boss.createQueue(HOUSE, { name: HOUSE, ...once });

  const under = new Set<Promise<void>>();
  const did = (work: Promise<void>): Promise<void> => {
    under.add(work);
    return work.finally(() => under.delete(work));
  };
  const workers: string[] = [];
  for (let i = 0; i < SIDE_BY_SIDE; i += 1)
    workers.push(
      await boss.work<{ id: string }>(WORK, { batchSize: 1, pollingIntervalSeconds: 1 }, async ([job]) => {
        if (job && !ending.signal.aborted) await did(runWork(means, job.data.id, runner, ending.signal));
      }),
    );
  let onLines = 0;
  const lines = await boss.work<{ id: string }>(
    LINES,
    { batchSize: 1, pollingIntervalSeconds: 1 },
    ([job]) => {
      // What is too much here is found waiting by the sweep, of this server or another.
      if (job && !ending.signal.aborted && onLines < LINES_SIDE_BY_SIDE) {
        onLines += 1;
        did(runWork(means, job.data.id, runner, ending.signal))
          .catch((error: unknown) => log.warn({ work: job.data.id, err: loggedError(error) }, 'the queue'))
          .finally(() => (onLines -= 1));
      }
      return Promise.resolve();
    },
  );
  await boss.work(HOUSE, { pollingIntervalSeconds: 30 }, () => did(keepHouse(means)));
  await boss.schedule(HOUSE, HOURLY);

  const add = async (id: string, kind: WorkKind): Promise<void> => {
    const isOnLine = (busWorkKinds as readonly WorkKind[]).includes(kind);
    // Under one key it waits at most once, however often it is put in.
    await boss.send(isOnLine ? LINES : WORK, { id }, { singletonKey: id });
    for (const worker of isOnLine ? [lines] : workers) boss.notifyWorker(worker);
  };
  const sweep = async (): Promise<void> => {
    const orphans = await database.transaction((repositories) => repositories.work.orphans());
    for (const { id, kind } of orphans) await add(id, kind);
  };
  const sweeping = setInterval(() => {
    sweep().catch((error: unknown) => log.debug({ err: loggedError(error) }, 'the sweep'));
  }, SWEEP_MS);
  did(keepHouse(means)).catch((error: unknown) => log.warn({ err: loggedError(error) }, 'the housekeeping'));

  return {
    add,
    close: async () => {
      clearInterval(sweeping);
      ending.abort();
      await Promise.allSettled(under);
      await boss.stop({ graceful: false });
    },
  };
}
