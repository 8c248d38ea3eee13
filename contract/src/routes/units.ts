import { boolean, object } from 'yup';
import { freeText, idParams, listQuery, name, uuid, version } from '../fields/index.ts';
import { LONGEST_PLATE, LONGEST_TAG } from '../files/index.ts';
import { paths } from '../paths/index.ts';
import { contract } from './route.ts';
import { list, unit } from './views.ts';

const answersUnit = object({ unit: unit.required() });

export const unitRoutes = {
  units: contract({
    ...paths.units,
    summary: 'Units by name, tag or plate, of one site or all',
    access: 'viewer',
    query: listQuery.shape({ site: uuid('site').optional() }),
    answer: object({ units: list(unit) }),
  }),
  unit: contract({
    ...paths.unit,
    summary: 'One unit',
    access: 'viewer',
    params: idParams,
    answer: answersUnit,
  }),
  createUnit: contract({
    ...paths.createUnit,
    summary: 'A new unit on a site',
    access: 'technician',
    status: 201,
    body: object({
      siteId: uuid('Site'),
      name: name('Name'),
      tag: freeText('Tag', LONGEST_TAG).default(''),
      plate: freeText('Plate', LONGEST_PLATE).default(''),
    }),
    answer: answersUnit,
  }),
  changeUnit: contract({
    ...paths.changeUnit,
    summary: 'Changes or archives a unit',
    access: 'technician',
    params: idParams,
    body: object({
      name: name('Name').optional(),
      tag: freeText('Tag', LONGEST_TAG).optional(),
      plate: freeText('Plate', LONGEST_PLATE).optional(),
      archived: boolean().optional(),
      version: version(),
    }),
    answer: answersUnit,
  }),
};
