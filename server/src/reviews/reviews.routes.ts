import { object, string } from 'yup';
import { goalIds, type GoalId } from '@brine/core/judgement/tuning';
import { uuid } from '../http/fields.ts';
import { route } from '../http/route.ts';
import { readReview, startReview, stopReview } from './reviews.service.ts';

const id = object({ id: uuid('id') });

export const reviewRoutes = [
  route({
    method: 'post',
    path: '/reviews',
    summary:
      'Begins a review of every unit with a plan: its findings by rule and by a simulated day, and a tuning where a goal is given',
    access: 'technician',
    status: 202,
    body: object({
      goal: string<GoalId>()
        .nullable()
        .optional()
        .default(null)
        .oneOf([...goalIds, null], `goal: expected one of ${goalIds.join(', ')}, or none`),
    }),
    handle: async ({ services, body }) => ({ review: await startReview(services, body.goal ?? null) }),
  }),
  route({
    method: 'get',
    path: '/reviews/:id',
    summary: 'How far a review is, and what is said of each unit so far',
    access: 'viewer',
    params: id,
    handle: async ({ params }) => ({ review: readReview(params.id) }),
  }),
  route({
    method: 'delete',
    path: '/reviews/:id',
    summary: 'Stops a review; what is judged stays to be read',
    access: 'technician',
    params: id,
    handle: async ({ params }) => ({ review: stopReview(params.id) }),
  }),
];
