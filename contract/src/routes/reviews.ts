import { number, object, string, type InferType } from 'yup';
import { goalIds, type GoalId } from '@brine/core/judgement/tuning';
import { idParams, MAX_INTEGER, type DeepReadonly } from '../fields/index.ts';
import { paths } from '../paths/index.ts';
import { contract } from './route.ts';
import { count, flag, list, said, sentence } from './views.ts';
import { work } from './work.ts';

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
  /** Codes of its control, and how many of them do not hold in the unit what is planned, as far as anybody has seen. */
  codes: object({ planned: count(), notYet: count() }).nullable().optional().default(null),
  /** It was judged on its own box, learned from its log, not on the usual one of its kind. */
  ownBox: flag().optional(),
  advised: object({ sound: flag(), change: sentence().nullable(), reason: sentence() }).nullable().defined(),
});
export type UnitJudged = DeepReadonly<InferType<typeof unitJudged>>;

/** A unit of a review that is through: judged, without a plan so far, or not to be judged with the reason. */
const unitReviewed = object({
  /** The job it was judged by, or its newest one. */
  jobId: said(),
  unit: said(),
  site: said(),
  noPlan: flag(),
  problem: said().nullable(),
  judged: unitJudged.nullable().defined(),
});

/** A review: how far it is, and what is said of the units that came through since the last look. */
const review = object({
  work: work.required(),
  goal: goal().defined(),
  /** To be given as `after` at the next look. */
  after: count(),
  units: list(unitReviewed),
});
export type Review = DeepReadonly<InferType<typeof review>>;

export const reviewRoutes = {
  predictions: contract({
    ...paths.predictions,
    summary: 'How predictions of all units came true, as their next logs showed',
    access: 'viewer',
    answer: object({
      score: object({ logs: count(), came: count(), figures: count(), inside: count() }).required(),
    }),
  }),
  startReview: contract({
    ...paths.startReview,
    summary:
      'Begins a review of every unit: findings by rule and by a simulated day against its settings, and a tuning where a goal is given',
    access: 'technician',
    status: 202,
    body: object({ goal: goal().optional().default(null) }),
    answer: object({ work: work.required() }),
  }),
  review: contract({
    ...paths.review,
    summary: 'How far a review is, and what is said of the units that came through after a look before',
    access: 'viewer',
    params: idParams,
    query: object({
      after: number()
        .typeError('after: expected a number')
        .integer('after: expected a whole number')
        .min(0, 'after: expected 0 or more')
        .max(MAX_INTEGER, 'after: expected a smaller number')
        .default(0),
    }),
    answer: object({ review: review.required() }),
  }),
};
