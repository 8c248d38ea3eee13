import { array, boolean, mixed, object, string, type InferType } from 'yup';
import {
  freeText,
  idParams,
  listQuery,
  LONGEST_NAME,
  name,
  sequence,
  uuid,
  version,
  type DeepReadonly,
} from '../fields/index.ts';
import { LONGEST_TITLE } from '../files/index.ts';
import { paths } from '../paths/index.ts';
import { contract } from './route.ts';
import { count, entryPage, job, list, said } from './views.ts';

/** Most entries in one post. */
export const MAX_ENTRIES = 200;
/** Largest post of entries, bytes. */
const ENTRIES_LIMIT = 2 * 1024 * 1024;

const answersJob = object({ job: job.required() });

/** What became of one sent entry, in the order sent. A refused one stays on the device, with the sentence. */
const entryResult = object({
  /** Of the entry; empty where it had none. */
  id: said(),
  status: string<'accepted' | 'refused'>().oneOf(['accepted', 'refused']).required(),
  sequence: count().optional(),
  receivedAt: string().optional(),
  code: string().optional(),
  message: string().optional(),
});
export type EntryResult = DeepReadonly<InferType<typeof entryResult>>;

export const jobRoutes = {
  jobs: contract({
    ...paths.jobs,
    summary: 'Jobs by title, unit or site',
    access: 'viewer',
    query: listQuery.shape({ unit: uuid('unit').optional() }),
    answer: object({ jobs: list(job) }),
  }),
  job: contract({
    ...paths.job,
    summary: 'One job',
    access: 'viewer',
    params: idParams,
    answer: answersJob,
  }),
  createJob: contract({
    ...paths.createJob,
    summary: 'Opens a job on a unit',
    access: 'technician',
    status: 201,
    body: object({ unitId: uuid('Unit'), title: name('Title', LONGEST_TITLE) }),
    answer: answersJob,
  }),
  changeJob: contract({
    ...paths.changeJob,
    summary: 'Renames, plans, hands on or archives a job',
    access: 'technician',
    params: idParams,
    body: object({
      title: name('Title', LONGEST_TITLE).optional(),
      assignedTo: uuid('assignedTo').nullable().optional().default(undefined),
      plannedFor: string()
        .matches(/^\d{4}-\d{2}-\d{2}$/, 'plannedFor: expected a day, 2026-11-30, or null')
        .nullable()
        .optional()
        .default(undefined),
      waitsFor: freeText('Waits for', LONGEST_NAME).optional(),
      archived: boolean().optional(),
      version: version(),
    }),
    answer: answersJob,
  }),
  changes: contract({
    ...paths.changes,
    summary:
      'Server-sent events: the id of each job that changed, as it changes; an empty one stands for any',
    access: 'viewer',
    file: ['text/event-stream'],
  }),
  entries: contract({
    ...paths.entries,
    summary: 'The stream of a job after a sequence',
    access: 'viewer',
    params: idParams,
    query: object({ after: sequence('after').default(0) }),
    answer: entryPage,
  }),
  sendEntries: contract({
    ...paths.sendEntries,
    summary: 'Hands in entries of one author; each is accepted or refused alone',
    access: 'ticket',
    limit: ENTRIES_LIMIT,
    judgedInside: true,
    body: object({
      entries: array(mixed<object>().nullable())
        .required('entries: expected a list')
        .min(1, 'entries: expected at least 1')
        .max(MAX_ENTRIES, `entries: expected at most ${MAX_ENTRIES} at once`),
    }),
    answer: object({ results: list(entryResult) }),
  }),
};
