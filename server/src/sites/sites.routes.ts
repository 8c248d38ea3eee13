import { boolean, object } from 'yup';
import { idParams, listQuery, name, text, version } from '../http/fields.ts';
import { route } from '../http/route.ts';
import { changeSite, createSite, listSites, readSite } from './sites.service.ts';

export const siteRoutes = [
  route({
    method: 'get',
    path: '/sites',
    summary: 'Sites by name or place',
    access: 'viewer',
    query: listQuery,
    handle: async ({ services, query }) => ({
      sites: await listSites(services, query.search, query.archived),
    }),
  }),
  route({
    method: 'get',
    path: '/sites/:id',
    summary: 'One site',
    access: 'viewer',
    params: idParams,
    handle: async ({ services, params }) => ({ site: await readSite(services, params.id) }),
  }),
  route({
    method: 'post',
    path: '/sites',
    summary: 'A new site',
    access: 'technician',
    status: 201,
    body: object({
      name: name('Name'),
      place: text('Place', 300).default(''),
      note: text('Note', 2000).default(''),
    }),
    handle: async ({ services, body }) => ({ site: await createSite(services, body) }),
  }),
  route({
    method: 'patch',
    path: '/sites/:id',
    summary: 'Changes or archives a site',
    access: 'technician',
    params: idParams,
    body: object({
      name: name('Name').optional(),
      place: text('Place', 300).optional(),
      note: text('Note', 2000).optional(),
      archived: boolean().optional(),
      version,
    }),
    handle: async ({ services, params, body }) => ({ site: await changeSite(services, params.id, body) }),
  }),
];
