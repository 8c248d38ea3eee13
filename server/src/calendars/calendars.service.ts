import { randomUUID } from 'node:crypto';
import { hashOf, newLinkToken } from '../auth/token.ts';
import type { Services, SignedIn } from '../http/context.ts';
import { AppError } from '../http/errors.ts';
import { dayCalendar } from './dayCalendar.ts';

/** Most events of each sort: a calendar program reads all of them every few hours. */
const MOST = 500;

/** A link that was just made: its token is told here, once. */
export interface NewCalendarLink {
  readonly token: string;
  readonly createdAt: string;
}

/** Whether a person's calendar has an open link. */
export function calendarLinkOf(
  services: Services,
  person: SignedIn,
): Promise<{ readonly createdAt: string } | null> {
  return services.database.transaction(async (repositories) => {
    const feed = await repositories.calendarFeeds.openOf(person.id);
    return feed && { createdAt: feed.createdAt.toISOString() };
  });
}

/** Makes a link to one's own calendar. The one before leads nowhere from now on: a lost phone stops reading. */
export function makeCalendarLink(services: Services, person: SignedIn): Promise<NewCalendarLink> {
  const token = newLinkToken();
  const createdAt = services.now();
  return services.database.transaction(async (repositories) => {
    // Two pages that ask at once follow each other.
    await repositories.people.lock(person.id);
    await repositories.calendarFeeds.revokeOf(person.id, createdAt);
    await repositories.calendarFeeds.create({
      id: randomUUID(),
      tokenHash: hashOf(token),
      personId: person.id,
      createdAt,
      revokedAt: null,
    });
    return { token, createdAt: createdAt.toISOString() };
  });
}

export async function endCalendarLink(services: Services, person: SignedIn): Promise<void> {
  const ended = await services.database.transaction((repositories) =>
    repositories.calendarFeeds.revokeOf(person.id, services.now()),
  );
  if (ended === 0) throw new AppError('notFound', 'Your calendar has no open link');
}

/**
 * The calendar behind a link: the planned jobs of its person, and what they have to come back for.
 *
 * @throws AppError notFound: a wrong and a revoked link, and that of somebody who may no longer sign in, look the same from outside
 */
export function readCalendar(services: Services, token: string, address: string): Promise<string> {
  return services.database.transaction(async (repositories) => {
    const feed = await repositories.calendarFeeds.openByHash(hashOf(token));
    const person = feed && (await repositories.people.byId(feed.personId));
    if (!person || person.disabledAt !== null)
      throw new AppError('notFound', 'This link leads nowhere (any more)');
    const planned = await repositories.jobs.plannedOf(person.id, MOST);
    const due = await repositories.jobs.dueOf(person.id, MOST);
    const jobs = await repositories.jobs.views([...planned, ...due]);
    const sites = await repositories.sites.byIds([...new Set(jobs.map((job) => job.unit.siteId))]);
    return dayCalendar({
      person: person.name,
      planned: jobs.slice(0, planned.length),
      due: jobs.slice(planned.length),
      siteById: new Map(sites.map((site) => [site.id, site])),
      address,
      now: services.now(),
    });
  });
}
