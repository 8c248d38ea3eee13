import { api } from '@brine/contract/routes';
import { serve } from '../http/route.ts';
import { importController, listControllers, readController } from './controllers.service.ts';
import { readUses } from './uses.service.ts';

export const controllerRoutes = [
  serve(api.controllers, async ({ services }) => ({ controllers: await listControllers(services) })),
  serve(api.controller, async ({ services, params }) => readController(services, params.hash)),
  serve(api.controllerUses, async ({ services, params }) => ({
    uses: await readUses(services, params.hash),
  })),
  serve(api.addController, async ({ services, body }) => ({
    controller: await importController(services, body.definition),
  })),
];
