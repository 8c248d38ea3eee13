import { object, string } from 'yup';
import { idParams, uuid } from '../fields/index.ts';
import { paths } from '../paths/index.ts';
import { contract } from './route.ts';
import { list, log } from './views.ts';

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
    summary: 'A log in the open format, as CSV',
    access: 'viewer',
    params,
    file: ['text/csv'],
  }),
};
