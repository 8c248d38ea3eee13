import { array, object, string } from 'yup';
import { name } from '../http/fields.ts';
import { personOf, route } from '../http/route.ts';
import { learnMeanings, readMeanings } from './meanings.service.ts';

export const meaningRoutes = [
  route({
    method: 'get',
    path: '/meanings',
    summary: 'What the company took rows of booklets to mean: suggestions learn from it',
    access: 'viewer',
    handle: async ({ services }) => ({ meanings: await readMeanings(services) }),
  }),
  route({
    method: 'post',
    path: '/meanings',
    summary: 'Keeps what somebody decided on rows of a booklet',
    access: 'technician',
    status: 201,
    limit: 512 * 1024,
    body: object({
      choices: array(object({ description: name('description', 300), setting: string().nullable().max(100) }))
        .required('choices: expected a list')
        .max(500, 'choices: expected at most 500'),
    }),
    handle: async (input) => learnMeanings(input.services, personOf(input), input.body.choices),
  }),
];
