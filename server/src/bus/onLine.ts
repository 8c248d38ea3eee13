import { setTimeout as pause } from 'node:timers/promises';
import { Line, LineFailure, type Master } from '@brine/bus/line';
import type { Means } from '../http/context.ts';
import { AppError } from '../http/errors.ts';
import type { WorkUnderWay } from '../work/kind.ts';
import type { OnLine } from './bus.service.ts';
import { mustBeOpen } from './lines.service.ts';
import { LinkedLine } from './linkedLine.ts';

/** How often a line that another has is asked for, and how long, ms. */
const ASK_MS = 300;
const WAIT_MS = 60_000;
/** How often work says that it still has its line, ms. */
const SAY_MS = 1000;

/** A device on a line that is held, and where it is told how far the work is. */
export interface AtDevice {
  readonly line: Master;
  readonly device: number;
  readonly progress: (done: number, of: number) => void;
}

/**
 * Does something on a line that this piece of work alone has meanwhile: it waits its turn, says that it lives, and ends where the line is shut, the work is
 * stopped, or another took the line. What the line cannot do is told as what it is.
 */
export async function onLine<Result>(
  means: Means,
  work: WorkUnderWay,
  play: (at: AtDevice) => Promise<Result>,
): Promise<Result> {
  const { database } = means;
  const wish = work.subject as OnLine;
  const hold = () => database.transaction((repositories) => repositories.busLines.hold(wish.line, work.id));
  await turnOf(means, work, wish, hold);
  const stored = await database.transaction(
    async (repositories) => (await repositories.busLines.byId(wish.line))!,
  );
  const address = { host: stored.host, port: stored.port, kind: stored.kind };
  const line: Master = stored.linkId ? new LinkedLine(database, stored.linkId, address) : new Line(address);
  const progress = (done: number, of: number): void => {
    // Where it cannot be told the work goes on: whether it still has its line is asked for elsewhere.
    database
      .transaction((repositories) => repositories.work.progress(work.id, work.runner, done, of))
      .catch(() => undefined);
  };
  const lost = new AbortController();
  const saying = setInterval(() => {
    hold()
      .then((ours) => {
        if (ours) return;
        lost.abort();
        line.close();
      })
      .catch(() => undefined);
  }, SAY_MS);
  const stop = () => line.close();
  work.signal.addEventListener('abort', stop);
  try {
    return await play({ line, device: wish.device, progress });
  } catch (error) {
    work.signal.throwIfAborted();
    if (lost.signal.aborted)
      throw new AppError('conflict', `${stored.name} was shut meanwhile`, { cause: error });
    if (error instanceof LineFailure)
      throw new AppError('badInput', error.message.replace(/\.$/, ''), { cause: error });
    throw error;
  } finally {
    clearInterval(saying);
    work.signal.removeEventListener('abort', stop);
    line.close();
    await database.transaction((repositories) => repositories.busLines.letGo(wish.line, work.id));
  }
}

async function turnOf(
  { database }: Means,
  work: WorkUnderWay,
  wish: OnLine,
  hold: () => Promise<boolean>,
): Promise<void> {
  const until = performance.now() + WAIT_MS;
  while (!(await hold())) {
    const line = await database.transaction(async ({ busLines }) => {
      await busLines.want(wish.line);
      return busLines.byId(wish.line);
    });
    mustBeOpen(line);
    if (performance.now() > until)
      throw new AppError(
        'conflict',
        `${line.name} is busy: something else is read or written there. Try again`,
      );
    await pause(ASK_MS, undefined, { signal: work.signal });
  }
}
