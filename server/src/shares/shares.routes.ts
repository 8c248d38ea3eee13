import { api } from '@brine/contract/routes';
import { unitNamed } from '../audit/about.ts';
import { personOf, serve } from '../http/route.ts';
import { makeShare, readShare, revokeShare, shareOf, unitOfShare } from './shares.service.ts';

export const shareRoutes = [
  serve(api.share, async ({ services, params }) => ({ share: await shareOf(services, params.id) })),
  serve(
    api.makeShare,
    async (input) => ({ share: await makeShare(input.services, personOf(input), input.params.id) }),
    async ({ services, params }) => ({ kind: 'shareMade', about: await unitNamed(services, params.id) }),
  ),
  serve(
    api.revokeShare,
    async ({ services, params }) => {
      await revokeShare(services, params.id);
      return { revoked: true };
    },
    async ({ services, params }) => ({ kind: 'shareRevoked', about: await unitNamed(services, params.id) }),
  ),
  serve(api.sharedPage, async ({ services, params }) => ({ page: await readShare(services, params.token) })),
  serve(api.sharedUnit, async ({ services, params }) => ({
    unitId: await unitOfShare(services, params.token),
  })),
];
