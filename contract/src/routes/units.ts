import { boolean, object } from 'yup';
import { after, freeText, idParams, listQuery, name, uuid, version } from '../fields/index.ts';
import { LONGEST_PLATE, LONGEST_TAG } from '../files/index.ts';
import { paths } from '../paths/index.ts';
import { contract } from './route.ts';
import { count, list, next, unit } from './views.ts';

/** Units that one answer lists. */
export const UNITS_A_PAGE = 100;

const answersUnit = object({ unit: unit.required() });

export const unitRoutes = {
  units: contract({
    ...paths.units,
    summary: 'Units by name, tag or plate, of one site or all; by tag and name, a page at a time',
    access: 'viewer',
    query: listQuery.shape({ site: uuid('site').optional(), after: after() }),
    answer: object({
      units: list(unit),
      next: next(),
      /** How many there are on all pages. */
      total: count(),
    }),
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
