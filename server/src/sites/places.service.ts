import { PLACES_A_PAGE, type AnswerOf, type api } from '@brine/contract/routes';
import type { Services } from '../http/context.ts';
import { viewsOf } from '../units/units.service.ts';
import { siteView } from './sites.service.ts';

/** Sites with their units, a page of them, and how many sites there are. */
export function listPlaces(
  services: Services,
  { search, archived, page }: { readonly search: string; readonly archived: boolean; readonly page: number },
): Promise<AnswerOf<typeof api.places>> {
  return services.database.transaction(async (repositories) => {
    const { siteIds, unitIds, total } = await repositories.sites.places({
      text: search,
      archived,
      offset: page * PLACES_A_PAGE,
      limit: PLACES_A_PAGE,
    });
    const sites = new Map((await repositories.sites.byIds(siteIds)).map((site) => [site.id, site]));
    const units = new Map(
      (await viewsOf(repositories, await repositories.units.byIds(unitIds))).map((unit) => [unit.id, unit]),
    );
    return {
      sites: siteIds.flatMap((id) => sites.get(id) ?? []).map(siteView),
      units: unitIds.flatMap((id) => units.get(id) ?? []),
      total,
    };
  });
}
