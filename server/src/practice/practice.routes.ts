import { api } from '@brine/contract/routes';
import { personOf, serve } from '../http/route.ts';
import { keepRun, readProgress } from './practice.service.ts';

export const practiceRoutes = [
  serve(api.progress, async (input) => ({ progress: await readProgress(input.services, personOf(input)) })),
  serve(api.keepRun, async (input) => ({ run: await keepRun(input.services, personOf(input), input.body) })),
];
