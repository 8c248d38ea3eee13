import { api } from '@brine/contract/routes';
import { serve } from '../http/route.ts';
import { listPlaces } from './places.service.ts';
import { changeSite, createSite, listSites, readSite } from './sites.service.ts';

export const siteRoutes = [
  serve(api.places, ({ services, query }) => listPlaces(services, query)),
  serve(api.sites, ({ services, query }) => listSites(services, query)),
  serve(api.site, async ({ services, params }) => ({ site: await readSite(services, params.id) })),
  serve(api.createSite, async ({ services, body }) => ({ site: await createSite(services, body) })),
  serve(api.changeSite, async ({ services, params, body }) => ({
    site: await changeSite(services, params.id, body),
  })),
];
