import { api } from '@brine/contract/routes';
import { serve } from '../http/route.ts';
import { changeCompany, readCompany } from './company.service.ts';
import { readKinds, useKind } from './kinds.service.ts';

export const companyRoutes = [
  serve(api.company, async ({ services }) => ({ company: await readCompany(services) })),
  serve(api.kinds, async ({ services }) => ({ kinds: await readKinds(services) })),
  serve(api.useKind, ({ services, body }) => useKind(services, body)),
  serve(api.phones, ({ services }) => Promise.resolve({ phones: services.config.phones })),
  serve(
    api.changeCompany,
    async ({ services, body }) => ({
      company: await changeCompany(services, { ...body, schools: body.schools }),
    }),
    ({ body }) =>
      Promise.resolve({
        kind: 'companyChanged',
        about: {
          fields: Object.keys(body)
            .filter((field) => field !== 'version' && body[field as keyof typeof body] !== undefined)
            .join(', '),
          ...(body.secondFactor && { secondFactor: body.secondFactor }),
        },
      }),
  ),
];
