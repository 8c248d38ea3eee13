import { mixed, object, string } from 'yup';
import { idParams } from '../fields/index.ts';
import { paths, tableNames } from '../paths/index.ts';
import { contract } from './route.ts';
import { said } from './views.ts';

/** A job with pictures, bytes. */
const LARGEST_JOB = 128 * 1024 * 1024;

export const exportRoutes = {
  table: contract({
    ...paths.table,
    summary:
      'A table of a job, settings.csv or settings.xlsx: settings, wires, readings, tests, calibrations, follow-ups',
    access: 'viewer',
    params: idParams.shape({
      file: string()
        .required('file: expected a table')
        .matches(
          new RegExp(`^(${tableNames.join('|')})\\.(csv|xlsx)$`),
          `file: expected one of ${tableNames.join(', ')} with .csv or .xlsx`,
        ),
    }),
    file: ['text/csv', 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet'],
  }),
  followUps: contract({
    ...paths.followUps,
    summary: 'The follow-ups of a job as a calendar',
    access: 'viewer',
    params: idParams,
    file: ['text/calendar'],
  }),
  jobFile: contract({
    ...paths.jobFile,
    summary: 'A job with its history, definitions and pictures, to move to another installation',
    access: 'technician',
    params: idParams,
    file: ['application/json'],
  }),
  importJob: contract({
    ...paths.importJob,
    summary: 'Imports a job from another installation; its entries are marked as foreign',
    access: 'technician',
    status: 201,
    limit: LARGEST_JOB,
    readInside: true,
    body: object({ file: mixed<object>().required('file: expected the content of a *.brine.json') }),
    answer: object({ jobId: said() }),
  }),
};
