import { boolean, object } from 'yup';
import {
  after,
  freeText,
  idParams,
  listQuery,
  LONGEST_NAME,
  LONGEST_PHONE,
  name,
  version,
} from '../fields/index.ts';
import { paths } from '../paths/index.ts';
import { contract } from './route.ts';
import { count, list, next, site, unit } from './views.ts';

const answersSite = object({ site: site.required() });

/** Sites with their units that one answer lists. */
export const PLACES_A_PAGE = 50;
/** Sites alone that one answer lists. */
export const SITES_A_PAGE = 100;

export const siteRoutes = {
  places: contract({
    ...paths.places,
    summary:
      'Sites with their units, by the name, place, customer, contact or number of the site, or by a unit; in order of name, a page at a time',
    access: 'viewer',
    query: listQuery.shape({ after: after() }),
    answer: object({
      sites: list(site),
      /** Of these sites: all of one that was found by itself, else those that were found. */
      units: list(unit),
      next: next(),
      /** How many sites there are on all pages. */
      total: count(),
    }),
  }),
  sites: contract({
    ...paths.sites,
    summary: 'Sites by name, place, customer, contact or number; in order of name, a page at a time',
    access: 'viewer',
    query: listQuery.shape({ after: after() }),
    answer: object({
      sites: list(site),
      next: next(),
      /** How many there are on all pages. */
      total: count(),
    }),
  }),
  site: contract({
    ...paths.site,
    summary: 'One site',
    access: 'viewer',
    params: idParams,
    answer: answersSite,
  }),
  createSite: contract({
    ...paths.createSite,
    summary: 'A new site',
    access: 'technician',
    status: 201,
    body: object({
      name: name('Name'),
      place: freeText('Place', 300).default(''),
      note: freeText('Note', 2000).default(''),
      customer: freeText('Customer', LONGEST_NAME).default(''),
      contact: freeText('Contact', LONGEST_NAME).default(''),
      phone: freeText('Phone', LONGEST_PHONE).default(''),
    }),
    answer: answersSite,
  }),
  changeSite: contract({
    ...paths.changeSite,
    summary: 'Changes or archives a site',
    access: 'technician',
    params: idParams,
    body: object({
      name: name('Name').optional(),
      place: freeText('Place', 300).optional(),
      note: freeText('Note', 2000).optional(),
      customer: freeText('Customer', LONGEST_NAME).optional(),
      contact: freeText('Contact', LONGEST_NAME).optional(),
      phone: freeText('Phone', LONGEST_PHONE).optional(),
      archived: boolean().optional(),
      version: version(),
    }),
    answer: answersSite,
  }),
};
