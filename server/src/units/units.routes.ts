import { boolean, object, string } from 'yup';
import { idParams, listQuery, name, text, uuid, version } from '../http/fields.ts';
import { route } from '../http/route.ts';
import { changeUnit, createUnit, listUnits, readUnit } from './units.service.ts';

export const unitRoutes = [
  route({
    method: 'get',
    path: '/units',
    summary: 'Units by name, tag or plate, of one site or all',
    access: 'viewer',
    query: listQuery.concat(object({ site: string().optional() })),
    handle: async ({ services, query }) => ({
      units: await listUnits(services, query.search, query.site ?? null, query.archived),
    }),
  }),
  route({
    method: 'get',
    path: '/units/:id',
    summary: 'One unit',
    access: 'viewer',
    params: idParams,
    handle: async ({ services, params }) => ({ unit: await readUnit(services, params.id) }),
  }),
  route({
    method: 'post',
    path: '/units',
    summary: 'A new unit on a site',
    access: 'technician',
    status: 201,
    body: object({
      siteId: uuid('Site'),
      name: name('Name'),
      tag: text('Tag', 60).default(''),
      plate: text('Plate', 500).default(''),
    }),
    handle: async ({ services, body }) => ({ unit: await createUnit(services, body) }),
  }),
  route({
    method: 'patch',
    path: '/units/:id',
    summary: 'Changes or archives a unit',
    access: 'technician',
    params: idParams,
    body: object({
      name: name('Name').optional(),
      tag: text('Tag', 60).optional(),
      plate: text('Plate', 500).optional(),
      archived: boolean().optional(),
      version,
    }),
    handle: async ({ services, params, body }) => ({ unit: await changeUnit(services, params.id, body) }),
  }),
];
