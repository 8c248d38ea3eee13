import { randomUUID } from 'node:crypto';
import { setTimeout as pause } from 'node:timers/promises';
import type { LinkCall } from '@brine/contract/routes';
import { LineFailure, type LineAddress, type Master } from '@brine/bus/line';
import type { Database } from '../database/database.ts';

/** How often it is looked whether the answer is there, ms. */
const LOOK_MS = 25;
/** A link that does not take a call for so long is not there; one that took it and does not answer for so long has lost it, ms. */
const TAKES_MS = 6000;
const ANSWERS_MS = 20_000;

/** A line that a program on site holds: what is asked is written down for it, and its answer waited for. Requests take turns there. */
export class LinkedLine implements Master {
  private readonly database: Database;
  private readonly link: string;
  private readonly line: LineAddress;
  private readonly given = new AbortController();
  requests = 0;

  constructor(database: Database, link: string, line: LineAddress) {
    this.database = database;
    this.link = link;
    this.line = line;
  }

  read(
    device: number,
    { function: by, address, count }: { function: 1 | 2 | 3 | 4; address: number; count: number },
  ): Promise<readonly number[]> {
    return this.ask({ device, read: { function: by, address, count }, write: null });
  }

  async write(device: number, by: 5 | 6 | 16, address: number, words: readonly number[]): Promise<void> {
    await this.ask({ device, read: null, write: { by, address, words } });
  }

  close(): void {
    this.given.abort();
  }

  private async ask(asked: Pick<LinkCall, 'device' | 'read' | 'write'>): Promise<readonly number[]> {
    const { database, link, given } = this;
    const call = { id: randomUUID(), line: this.line, ...asked };
    const isGivenUp = () => given.signal.aborted;
    if (isGivenUp()) throw new LineFailure('stopped', 'The line was given up.');
    this.requests += 1;
    await database.transaction(({ busLinks }) => busLinks.ask(link, call));
    const began = performance.now();
    try {
      for (;;) {
        await pause(LOOK_MS, undefined, { signal: given.signal });
        const state = await database.transaction(({ busLinks }) => busLinks.stateOf(call.id));
        if (state?.answer) {
          const { words, failure } = state.answer;
          if (failure) throw new LineFailure(failure.kind, failure.message, failure.exception);
          return words;
        }
        const waited = performance.now() - began;
        if (!state?.given && waited > TAKES_MS && (await this.takenBack(call.id)))
          throw new LineFailure(
            'noConnection',
            'The link on site is not there: start it there, with “npx brine link”.',
          );
        if (waited > TAKES_MS + ANSWERS_MS)
          throw new LineFailure('noAnswer', 'The link on site took the request and did not answer.');
      }
    } catch (error) {
      if (isGivenUp() && !(error instanceof LineFailure))
        throw new LineFailure('stopped', 'The line was given up.');
      throw error;
    } finally {
      await database.transaction(({ busLinks }) => busLinks.forget(call.id)).catch(() => undefined);
    }
  }

  /** What was not taken yet is never done later. */
  private takenBack(call: string): Promise<boolean> {
    return this.database.transaction(({ busLinks }) => busLinks.takeBack(call));
  }
}
