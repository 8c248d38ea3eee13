import { PLACES_A_PAGE } from '@brine/contract/routes';
import type { Services } from '../http/context.ts';
import { Written, writtenAnswer, type WrittenAnswer } from '../http/written.ts';

/** Sites with their units, a page of them, where the next one starts, and how many sites there are. */
export async function listPlaces(
  services: Services,
  wish: { readonly search: string; readonly archived: boolean; readonly after?: string | undefined },
): Promise<WrittenAnswer> {
  const { sites } = services.database.reads;
  const { search: text, archived } = wish;
  const found = await sites.places({ text, archived, after: wish.after ?? null, limit: PLACES_A_PAGE });
  const [ofSites, ofUnits] = await Promise.all([
    sites.viewsText(found.ids),
    sites.unitsText(found.ids, text, archived),
  ]);
  return writtenAnswer({
    sites: new Written(ofSites),
    units: new Written(ofUnits),
    next: found.next,
    total: found.total,
  });
}
