import type { Person } from '@brine/contract/routes';
import type { Logger } from 'pino';
import type { Aside } from '../demo/aside.ts';
import type { Changes } from '../changes/changes.ts';
import type { Config } from '../config.ts';
import type { Database } from '../database/database.ts';
import type { Threads } from '../threads/threads.ts';
import type { Queue } from '../work/queue.ts';

/** What work is done with: the store, the time, the configuration. Passed in, so that tests set them. */
export interface Means {
  readonly database: Database;
  readonly now: () => Date;
  readonly config: Config;
  readonly log: Logger;
  /** For what takes the processor longer than an answer may wait. */
  readonly threads: Threads;
}

/** What every use case is given: the means, and the queue for work that goes on after its answer. */
export interface Services extends Means {
  readonly queue: Queue;
  /** What changed in the database, whoever changed it. */
  readonly changes: Changes;
  /** The demo company beside this one; null where this is the demo. */
  readonly aside: Aside | null;
}

/** Who asks, from where. */
export interface Caller {
  readonly requestId: string;
  readonly address: string;
  /** True only for a browser on this very machine: loopback socket, loopback host name, no proxy in between. */
  readonly onThisMachine: boolean;
  /** Whether a demo account counts from there: on this machine, and in the demo beside a real company, which only people of the company enter. */
  readonly mayBeDemo: boolean;
  readonly https: boolean;
  readonly cookie: string | null;
  /** What the browser says of itself. */
  readonly browser: string;
}

/** The signed-in person a route works for. */
export type SignedIn = Person;
