import { object, string, type InferType } from 'yup';
import { goalIds, type GoalId } from '@brine/core/judgement/tuning';
import { uuid, type DeepReadonly } from '../fields/index.ts';
import { paths } from '../paths/index.ts';
import { contract } from './route.ts';
import { count, flag, list, said, sentence } from './views.ts';

const params = object({ id: uuid('id') });
const goal = () =>
  string<GoalId>()
    .nullable()
    .oneOf([...goalIds, null], `goal: expected one of ${goalIds.join(', ')}, or none`);

/** What is said of a unit: findings by rule and by a simulated day, gravest first, and what tuning advises. */
const unitJudged = object({
  findings: list(
    object({
      code: said(),
      severity: string<'error' | 'warning' | 'note'>().oneOf(['error', 'warning', 'note']).required(),
      message: sentence(),
      remedy: sentence().nullable(),
    }),
  ),
  advised: object({ sound: flag(), change: sentence().nullable(), reason: sentence() }).nullable().defined(),
});
export type UnitJudged = DeepReadonly<InferType<typeof unitJudged>>;

/** How far a review is, and what is said of each unit so far. */
const review = object({
  id: said(),
  goal: goal().defined(),
  total: count(),
  done: count(),
  stopped: flag(),
  units: list(
    object({
      jobId: said(),
      unit: said(),
      site: said(),
      problem: said().nullable(),
      judged: unitJudged.nullable().defined(),
    }),
  ),
});
export type Review = DeepReadonly<InferType<typeof review>>;
const answersReview = object({ review: review.required() });

export const reviewRoutes = {
  startReview: contract({
    ...paths.startReview,
    summary:
      'Begins a review of every unit with a plan: its findings by rule and by a simulated day, and a tuning where a goal is given',
    access: 'technician',
    status: 202,
    body: object({ goal: goal().optional().default(null) }),
    answer: answersReview,
  }),
  review: contract({
    ...paths.review,
    summary: 'How far a review is, and what is said of each unit so far',
    access: 'viewer',
    params,
    answer: answersReview,
  }),
  stopReview: contract({
    ...paths.stopReview,
    summary: 'Stops a review; what is judged stays to be read',
    access: 'technician',
    params,
    answer: answersReview,
  }),
};
