import { api } from '@brine/contract/routes';
import { personOf, serve } from '../http/route.ts';
import { readPredictions, readReview, startReview } from './reviews.service.ts';

export const reviewRoutes = [
  serve(api.predictions, async ({ services }) => ({ score: await readPredictions(services) })),
  serve(api.startReview, async (input) => ({
    work: await startReview(input.services, personOf(input), input.body.goal ?? null),
  })),
  serve(api.review, async (input) => ({
    review: await readReview(input.services, personOf(input), input.params.id, input.query.after),
  })),
];
