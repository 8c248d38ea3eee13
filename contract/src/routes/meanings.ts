import { array, mixed, object, string } from 'yup';
import type { SettingId } from '@brine/core/foundation/settings';
import { name } from '../fields/index.ts';
import { paths } from '../paths/index.ts';
import { contract } from './route.ts';
import { count, list, said } from './views.ts';

/** Most rows of a booklet decided at once. */
const MAX_CHOICES = 500;

export const meaningRoutes = {
  meanings: contract({
    ...paths.meanings,
    summary: 'What the company took rows of booklets to mean: suggestions learn from it',
    access: 'viewer',
    answer: object({
      meanings: list(object({ description: said(), setting: mixed<SettingId>().nullable().defined() })),
    }),
  }),
  learnMeanings: contract({
    ...paths.learnMeanings,
    summary: 'Keeps what somebody decided on rows of a booklet',
    access: 'technician',
    status: 201,
    limit: 512 * 1024,
    body: object({
      choices: array(
        object({
          description: name('description', 300),
          setting: string().nullable().max(100, 'setting: expected at most 100 characters'),
        }),
      )
        .required('choices: expected a list')
        .max(MAX_CHOICES, `choices: expected at most ${MAX_CHOICES}`),
    }),
    answer: object({ kept: count() }),
  }),
};
