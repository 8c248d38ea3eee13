import { boolean, number, object, string } from 'yup';
import { practiceKinds } from '@brine/core/practice/drills';
import { name, uuid } from '../http/fields.ts';
import { personOf, route } from '../http/route.ts';
import { keepRun, readProgress } from './practice.service.ts';

const count = (label: string, most: number) =>
  number()
    .required(`${label}: expected a number`)
    .integer(`${label}: expected a whole number`)
    .min(0, `${label}: expected 0 or more`)
    .max(most, `${label}: expected at most ${most}`);

export const practiceRoutes = [
  route({
    method: 'get',
    path: '/practice/progress',
    summary: 'Drills done and passed; one’s own, a lead sees everybody’s',
    access: 'viewer',
    handle: async (input) => ({ progress: await readProgress(input.services, personOf(input)) }),
  }),
  route({
    method: 'post',
    path: '/practice/runs',
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
      seconds: count('seconds', 86400),
      strokes: count('strokes', 100000),
      fewest: count('fewest', 100000),
      hints: count('hints', 10000),
    }),
    handle: async (input) => ({ run: await keepRun(input.services, personOf(input), input.body) }),
  }),
];
