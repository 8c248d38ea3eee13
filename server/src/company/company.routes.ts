import { object, string } from 'yup';
import { schools, type SchoolId, type Sides } from '@brine/core/foundation/unit';
import { name, version } from '../http/fields.ts';
import { route } from '../http/route.ts';
import { changeCompany, readCompany } from './company.service.ts';

const sides = object(
  Object.fromEntries(
    (Object.keys(schools) as SchoolId[]).map((id) => {
      const known = Object.keys(schools[id].sides);
      return [
        id,
        string()
          .optional()
          .oneOf(known, `${id}: expected one of ${known.join(', ')}`),
      ];
    }),
  ),
);

export const companyRoutes = [
  route({
    method: 'get',
    path: '/company',
    summary: 'The company and the sides it takes',
    access: 'viewer',
    handle: async ({ services }) => ({ company: await readCompany(services) }),
  }),
  route({
    method: 'patch',
    path: '/company',
    summary: 'Changes name, usual unit or sides',
    access: 'lead',
    body: object({
      name: name('Name').optional(),
      schools: sides.optional().default(undefined),
      displayUnit: string<'celsius' | 'fahrenheit'>()
        .optional()
        .oneOf(['celsius', 'fahrenheit'], 'displayUnit: expected celsius or fahrenheit'),
      version,
    }),
    handle: async ({ services, body }) => ({
      company: await changeCompany(services, { ...body, schools: body.schools as Sides | undefined }),
    }),
  }),
];
