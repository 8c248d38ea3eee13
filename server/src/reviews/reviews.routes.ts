import { api } from '@brine/contract/routes';
import { serve } from '../http/route.ts';
import { readReview, startReview, stopReview } from './reviews.service.ts';

export const reviewRoutes = [
  serve(api.startReview, async ({ services, body }) => ({
    review: await startReview(services, body.goal ?? null),
  })),
  serve(api.review, async ({ params }) => ({ review: readReview(params.id) })),
  serve(api.stopReview, async ({ params }) => ({ review: stopReview(params.id) })),
];
