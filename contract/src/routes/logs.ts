import { object, string } from 'yup';
import { idParams, uuid } from '../fields/index.ts';
import { paths } from '../paths/index.ts';
import { contract } from './route.ts';
import { list, log } from './views.ts';

const MOMENT = /^\d{4}-\d\d-\d\dT\d\d:\d\d:\d\dZ$/;
/** A moment of a window: the first belongs to it, the last does not. */
const moment = (label: string) =>
  string()
    .optional()
    .test(
      'moment',
      `${label}: expected a moment such as 2026-03-01T00:00:00Z`,
      (at) => at === undefined || (MOMENT.test(at) && !Number.isNaN(Date.parse(at))),
    );

const params = idParams.shape({ log: uuid('log') });

export const logRoutes = {
  logs: contract({
    ...paths.logs,
    summary: 'The logs of a job',
    access: 'viewer',
    params: idParams,
    answer: object({ logs: list(log) }),
  }),
  takeLog: contract({
    ...paths.takeLog,
    summary: 'Takes in a logger’s file as it is (text/csv), read by the layout given as JSON',
    access: 'technician',
    status: 201,
    params,
    query: object({
      name: string()
        .required('name: expected the name of the file')
        .max(200, 'name: expected at most 200 characters'),
      layout: string()
        .required('layout: expected how the file is laid out, as JSON')
        .max(12_000, 'layout: expected at most 12000 characters'),
    }),
    upload: 'text/csv',
    answer: object({ log: log.required() }),
  }),
  log: contract({
    ...paths.log,
    summary: 'A log in the open format, as CSV; all of it, or what lies between two moments',
    access: 'viewer',
    params,
    query: object({ from: moment('from'), to: moment('to') }),
    file: ['text/csv'],
  }),
};
