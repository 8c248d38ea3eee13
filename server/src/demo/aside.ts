import type { Hono } from 'hono';
import { openSession } from '../auth/auth.service.ts';
import { startChanges } from '../changes/changes.ts';
import { DEMO_MOUNT } from '@brine/contract/paths';
import type { Config } from '../config.ts';
import { databaseOn } from '../database/database.ts';
import { makeDatabase, migrate, oneAtATime, openOrm } from '../database/orm.ts';
import type { Caller, Means, Services, SignedIn } from '../http/context.ts';
import { AppError } from '../http/errors.ts';
import { startSummaries } from '../summaries/summaries.ts';
import { startQueue } from '../work/queue.ts';
import { loadDemo } from './loadDemo.ts';

/** Follows the name of the company's database. */
const DEMO_DATABASE = '_demo';

/** The demo company beside a real one: in a database of its own, made when somebody first looks. */
export interface Aside {
  /** Opens a session there for somebody of the company, in the role they have; the secret of its cookie. */
  enter(person: SignedIn, caller: Caller): Promise<string>;
  /** Answers a request below {@link DEMO_MOUNT}. */
  fetch(request: Request, environment: unknown): Promise<Response>;
  close(): Promise<void>;
}

interface Opened {
  readonly services: Services;
  readonly app: Pick<Hono, 'fetch'>;
  close(): Promise<void>;
}

/** Prepares the demo beside; nothing is opened before somebody looks. `createApp` is handed in: the application holds this. */
export function demoAside(means: Means, createApp: (services: Services) => Pick<Hono, 'fetch'>): Aside {
  let opening: Promise<Opened> | null = null;
  const opened = (): Promise<Opened> => {
    opening ??= open(means, createApp).catch((error: unknown) => {
      // The next who looks tries anew.
      opening = null;
      throw error;
    });
    return opening;
  };
  return {
    async enter(person, caller) {
      const { services } = await opened();
      return services.database.transaction(async (repositories) => {
        const people = await repositories.people.all();
        const stand = people.find((one) => one.demo && one.role === person.role) ?? people[0]!;
        return (await openSession(repositories, stand, 'demo', caller, means.now())).cookie;
      });
    },
    async fetch(request, environment) {
      return (await opened()).app.fetch(request, environment);
    },
    async close() {
      await (await opening?.catch(() => null))?.close();
    },
  };
}

async function open(means: Means, createApp: (services: Services) => Pick<Hono, 'fetch'>): Promise<Opened> {
  const config: Config = {
    ...means.config,
    databaseUrl: await databaseBeside(means.config.databaseUrl),
    demo: true,
    mount: DEMO_MOUNT,
    phones: means.config.phones && {
      ...means.config.phones,
      address: `${means.config.phones.address}${DEMO_MOUNT}`,
    },
    webFolder: null,
  };
  const orm = await openOrm(config.databaseUrl);
  await migrate(orm);
  const own: Means = { ...means, config, database: databaseOn(orm, means.log) };
  await oneAtATime(orm, () => loadDemo(own));
  const queue = await startQueue(own);
  const summaries = startSummaries(own);
  const changes = startChanges(config.databaseUrl, means.log);
  const services: Services = { ...own, queue, changes, aside: null };
  return {
    services,
    app: createApp(services),
    async close() {
      await changes.close();
      await queue.close();
      await summaries.close();
      await own.database.close();
    },
  };
}

/** The address of the database beside the company's own, made where it is not there. */
async function databaseBeside(databaseUrl: string): Promise<string> {
  const beside = new URL(databaseUrl);
  const name = `${decodeURIComponent(beside.pathname.slice(1))}${DEMO_DATABASE}`;
  beside.pathname = `/${name}`;
  await makeDatabase(databaseUrl, name).catch((error: unknown) => {
    throw new AppError(
      'unavailable',
      'The demo company needs a database of its own, which the database’s user may not make',
      { cause: error },
    );
  });
  return beside.href;
}
