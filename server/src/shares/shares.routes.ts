import { object, string } from 'yup';
import { idParams } from '../http/fields.ts';
import { personOf, route } from '../http/route.ts';
import { makeShare, readShare, revokeShare, shareOf } from './shares.service.ts';

export const shareRoutes = [
  route({
    method: 'get',
    path: '/units/:id/share',
    summary: 'The open link to the read-only page of a unit, if there is one',
    access: 'viewer',
    params: idParams,
    handle: async ({ services, params }) => ({ share: await shareOf(services, params.id) }),
  }),
  route({
    method: 'post',
    path: '/units/:id/share',
    summary: 'Makes the link to the read-only page of a unit, or gives the open one',
    access: 'technician',
    status: 201,
    params: idParams,
    handle: async (input) => ({ share: await makeShare(input.services, personOf(input), input.params.id) }),
  }),
  route({
    method: 'delete',
    path: '/units/:id/share',
    summary: 'Revokes the link of a unit',
    access: 'technician',
    params: idParams,
    async handle({ services, params }) {
      await revokeShare(services, params.id);
      return { revoked: true };
    },
  }),
  route({
    method: 'get',
    path: '/share/:token',
    summary: 'The read-only page of a unit: no people, pictures or access codes',
    access: 'public',
    params: object({ token: string().required().max(40) }),
    handle: async ({ services, params }) => ({ page: await readShare(services, params.token) }),
  }),
];
