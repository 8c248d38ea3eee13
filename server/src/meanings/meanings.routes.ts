import { api } from '@brine/contract/routes';
import { personOf, serve } from '../http/route.ts';
import { learnMeanings, readMeanings } from './meanings.service.ts';

export const meaningRoutes = [
  serve(api.meanings, async ({ services }) => ({ meanings: await readMeanings(services) })),
  serve(api.learnMeanings, async (input) =>
    learnMeanings(input.services, personOf(input), input.body.choices),
  ),
];
