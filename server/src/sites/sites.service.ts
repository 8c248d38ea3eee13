import { SITES_A_PAGE, type Site as SiteView } from '@brine/contract/routes';
import { randomUUID } from 'node:crypto';
import type { Repositories } from '../database/database.ts';
import type { Reads } from '../database/reads.ts';
import type { Services } from '../http/context.ts';
import { AppError } from '../http/errors.ts';
import { Written, writtenAnswer, type WrittenAnswer } from '../http/written.ts';
import type { Site } from './site.entity.ts';

const siteFields = ['name', 'place', 'note', 'customer', 'contact', 'phone'] as const;
type SiteFields = Readonly<Record<(typeof siteFields)[number], string>>;

/** Sites that are looked for, a page of them, where the next one starts, and how many there are. */
export async function listSites(
  services: Services,
  wish: { readonly search: string; readonly archived: boolean; readonly after?: string | undefined },
): Promise<WrittenAnswer> {
  const { sites } = services.database.reads;
  const { ids, next, total } = await sites.search({
    text: wish.search,
    archived: wish.archived,
    after: wish.after ?? null,
    limit: SITES_A_PAGE,
  });
  return writtenAnswer({ sites: new Written(await sites.viewsText(ids)), next, total });
}

export function readSite(services: Services, id: string): Promise<SiteView> {
  return siteView(services.database.reads, id);
}

export function createSite(services: Services, site: SiteFields): Promise<SiteView> {
  return services.database.transaction(async (repositories) => {
    const created = await repositories.sites.create({
      id: randomUUID(),
      ...site,
      archivedAt: null,
      createdAt: services.now(),
    });
    return siteView(repositories, created.id);
  });
}

export function changeSite(
  services: Services,
  id: string,
  change: {
    readonly [Field in keyof SiteFields]?: SiteFields[Field] | undefined;
  } & {
    readonly archived?: boolean | undefined;
    readonly version: number;
  },
): Promise<SiteView> {
  return services.database.transaction(async (repositories) => {
    const site = await mustFindSite(repositories, id);
    if (site.version !== change.version)
      throw new AppError('conflict', `${site.name} was changed by somebody else meanwhile; look again`);
    for (const field of siteFields) if (change[field] !== undefined) site[field] = change[field];
    if (change.archived !== undefined)
      site.archivedAt = change.archived ? (site.archivedAt ?? services.now()) : null;
    await repositories.sites.save();
    return siteView(repositories, site.id);
  });
}

export async function mustFindSite(repositories: Repositories, id: string): Promise<Site> {
  const site = await repositories.sites.byId(id);
  if (!site) throw new AppError('notFound', 'No such site');
  return site;
}

/** A site as pages see it; what was changed has to be written before. */
export async function siteView({ sites }: Pick<Reads, 'sites'>, id: string): Promise<SiteView> {
  const view = await sites.view(id);
  if (!view) throw new AppError('notFound', 'No such site');
  return view;
}
