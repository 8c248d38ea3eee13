import { api } from '@brine/contract/routes';
import { serve } from '../http/route.ts';
import { changeUnit, createUnit, listUnits, readUnit } from './units.service.ts';

export const unitRoutes = [
  serve(api.units, ({ services, query }) => listUnits(services, query)),
  serve(api.unit, async ({ services, params }) => ({ unit: await readUnit(services, params.id) })),
  serve(api.createUnit, async ({ services, body }) => ({ unit: await createUnit(services, body) })),
  serve(api.changeUnit, async ({ services, params, body }) => ({
    unit: await changeUnit(services, params.id, body),
  })),
];
