import { api } from '@brine/contract/routes';
import { serve } from '../http/route.ts';
import { importController, listControllers, readController } from './controllers.service.ts';
import { readUses } from './uses.service.ts';

export const controllerRoutes = [
  serve(api.controllers, async ({ services }) => ({ controllers: await listControllers(services) })),
  serve(api.controller, async ({ services, params }) => readController(services, params.hash)),
  serve(api.controllerUses, async ({ services, params }) => readUses(services, params.hash)),
  serve(api.addController, async ({ services, body, person }) => ({
    controller: await importController(services, body.definition, person!.id),
  })),
];
