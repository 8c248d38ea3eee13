import { boolean, number, object, string, type InferType } from 'yup';
import { practiceKinds } from '@brine/core/practice/drills';
import { name, uuid, type DeepReadonly } from '../fields/index.ts';
import { paths } from '../paths/index.ts';
import { contract } from './route.ts';
import { count, list, said } from './views.ts';

const upTo = (label: string, most: number) =>
  number()
    .required(`${label}: expected a number`)
    .integer(`${label}: expected a whole number`)
    .min(0, `${label}: expected 0 or more`)
    .max(most, `${label}: expected at most ${most}`);

/** How far somebody is with one controller and kind of drill. */
const progressLine = object({
  person: said(),
  name: said(),
  definitionId: said(),
  family: said(),
  drill: said(),
  runs: count(),
  passed: count(),
  bestSeconds: number().nullable().defined(),
  lastAt: said(),
});
export type ProgressLine = DeepReadonly<InferType<typeof progressLine>>;

export const practiceRoutes = {
  progress: contract({
    ...paths.progress,
    summary: 'Drills done and passed; one’s own, a lead sees everybody’s',
    access: 'viewer',
    answer: object({
      progress: list(progressLine),
    }),
  }),
  keepRun: contract({
    ...paths.keepRun,
    summary: 'Keeps a finished drill; the same id twice is kept once',
    access: 'viewer',
    status: 201,
    body: object({
      id: uuid('id'),
      definitionId: name('definitionId', 100),
      family: name('family'),
      drill: string<(typeof practiceKinds)[number]>()
        .required('drill: expected a kind of drill')
        .oneOf(practiceKinds, `drill: expected one of ${practiceKinds.join(', ')}`),
      passed: boolean().required('passed: expected true or false'),
      seconds: upTo('seconds', 86400),
      strokes: upTo('strokes', 100000),
      fewest: upTo('fewest', 100000),
      hints: upTo('hints', 10000),
    }),
    answer: object({ run: object({ id: said() }).required() }),
  }),
};
