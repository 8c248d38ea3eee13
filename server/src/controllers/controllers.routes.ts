import { mixed, object, string } from 'yup';
import { route } from '../http/route.ts';
import { importController, listControllers, readController } from './controllers.service.ts';
import { readUses } from './uses.service.ts';

export const controllerRoutes = [
  route({
    method: 'get',
    path: '/controllers',
    summary: 'The library of controller families',
    access: 'viewer',
    handle: async ({ services }) => ({ controllers: await listControllers(services) }),
  }),
  route({
    method: 'get',
    path: '/controllers/:hash',
    summary: 'One version of a definition',
    access: 'viewer',
    params: object({ hash: string().required().max(64) }),
    handle: async ({ services, params }) => readController(services, params.hash),
  }),
  route({
    method: 'get',
    path: '/controllers/:hash/uses',
    summary: 'Units whose jobs name this family as the old or the new control',
    access: 'viewer',
    params: object({ hash: string().required().max(64) }),
    handle: async ({ services, params }) => ({ uses: await readUses(services, params.hash) }),
  }),
  route({
    method: 'post',
    path: '/controllers',
    summary: 'Takes a definition into the library; refused with every fault and its path',
    access: 'technician',
    status: 201,
    limit: 1024 * 1024,
    body: object({ definition: mixed<object>().required('definition: expected a controller definition') }),
    handle: async ({ services, body }) => ({ controller: await importController(services, body.definition) }),
  }),
];
