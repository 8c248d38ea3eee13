import { randomUUID } from 'node:crypto';
import { setTimeout as pause } from 'node:timers/promises';
import type { BusLink, LinkAnswer, LinkCall } from '@brine/contract/routes';
import { hashOf, newToken } from '../auth/token.ts';
import type { Services, SignedIn } from '../http/context.ts';
import { AppError } from '../http/errors.ts';
import { mustFindSite } from '../sites/sites.service.ts';
import type { StoredBusLink } from './busLink.entity.ts';

/** How long a link waits for calls in one request, and how often it is looked for them, ms. */
const WAIT_MS = 5000;
const LOOK_MS = 50;

export function listLinks(services: Services, site: string): Promise<readonly BusLink[]> {
  return services.database.transaction(async (repositories) => {
    await mustFindSite(repositories, site);
    return (await repositories.busLinks.ofSite(site)).map(viewOf);
  });
}

/** A link of a site. Its token stands in this answer and nowhere else. */
export function createLink(
  services: Services,
  person: SignedIn,
  site: string,
  name: string,
): Promise<{ readonly link: BusLink; readonly token: string }> {
  const token = newToken();
  return services.database.transaction(async (repositories) => {
    await mustFindSite(repositories, site);
    const made = await repositories.busLinks.create({
      id: randomUUID(),
      siteId: site,
      name,
      tokenHash: hashOf(token),
      madeBy: person.id,
      madeAt: services.now(),
    });
    services.log.info({ link: made.id, site, by: person.id }, 'a link was made');
    return { link: viewOf(made), token };
  });
}

/** Ends a link: its token opens nothing from then on. Its lines stay, and are not reached. */
export function endLink(services: Services, person: SignedIn, id: string): Promise<BusLink> {
  return services.database.transaction(async ({ busLinks }) => {
    const link = await busLinks.byId(id);
    if (!link) throw new AppError('notFound', 'No such link');
    link.endedAt ??= services.now();
    await busLinks.save();
    services.log.info({ link: id, by: person.id }, 'a link was ended');
    return viewOf(link);
  });
}

/** What waits for a link; asked with nothing there, it waits some seconds for it. */
export async function callsFor(
  services: Services,
  link: string,
  signal: AbortSignal,
): Promise<readonly LinkCall[]> {
  const { database } = services;
  await database.transaction(({ busLinks }) => busLinks.seen(link));
  const until = performance.now() + WAIT_MS;
  for (;;) {
    const calls = await database.transaction(({ busLinks }) => busLinks.take(link));
    if (calls.length > 0 || signal.aborted || performance.now() > until) return calls;
    await pause(LOOK_MS);
  }
}

export const keepLinkAnswer = (services: Services, link: string, answer: LinkAnswer): Promise<void> =>
  services.database.transaction(({ busLinks }) => busLinks.answer(link, answer));

const viewOf = ({ id, name, seenAt, endedAt }: StoredBusLink): BusLink => ({
  id,
  name,
  seenAt: seenAt?.toISOString() ?? null,
  ended: endedAt !== null,
});
