import type { Person } from '@brine/contract/routes';
import type { Logger } from 'pino';
import type { Config } from '../config.ts';
import type { Database } from '../database/database.ts';

/** What every use case is given: the store, the time, the configuration. Passed in, so that tests set them. */
export interface Services {
  readonly database: Database;
  readonly now: () => Date;
  readonly config: Config;
  readonly log: Logger;
}

/** Who asks, from where. */
export interface Caller {
  readonly requestId: string;
  readonly address: string;
  /** True only for a browser on this very machine: loopback socket, loopback host name, no proxy in between. */
  readonly onThisMachine: boolean;
  readonly https: boolean;
  readonly cookie: string | null;
  /** What the browser says of itself. */
  readonly browser: string;
}

/** The signed-in person a route works for. */
export type SignedIn = Person;
