import { array, boolean, mixed, object, string, type InferType } from 'yup';
import {
  after,
  day,
  freeText,
  idParams,
  listQuery,
  LONGEST_NAME,
  LONGEST_PHONE,
  name,
  sequence,
  uuid,
  version,
  type DeepReadonly,
} from '../fields/index.ts';
import { LONGEST_PLATE, LONGEST_TAG, LONGEST_TITLE } from '../files/index.ts';
import { paths } from '../paths/index.ts';
import { contract } from './route.ts';
import { count, entryPage, job, list, next, said } from './views.ts';

/** Most entries in one post. */
export const MAX_ENTRIES = 200;
/** Largest post of entries, bytes. */
const ENTRIES_LIMIT = 2 * 1024 * 1024;

/** How a job stands: late is planned for a day that is over; finished is handed over with everything answered for. */
export const jobStates = ['all', 'open', 'late', 'waiting', 'finished'] as const;
export type JobState = (typeof jobStates)[number];
/** In which order jobs are listed: the newest first, the earliest planned first, or by site and tag. */
export const jobOrders = ['newest', 'planned', 'site'] as const;
export type JobOrder = (typeof jobOrders)[number];
/** Jobs that one answer lists. */
export const JOBS_A_PAGE = 50;

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
    summary:
      'Jobs by title, unit, site, contact or telephone number, and by how they stand; a page at a time',
    access: 'viewer',
    query: listQuery.shape({
      unit: uuid('unit').optional(),
      state: string<JobState>()
        .oneOf(jobStates, `state: expected one of ${jobStates.join(', ')}`)
        .default('all'),
      order: string<JobOrder>()
        .oneOf(jobOrders, `order: expected one of ${jobOrders.join(', ')}`)
        .default('newest'),
      person: uuid('person').optional(),
      /** The day where the reader is: late is what was planned before it. */
      today: day().optional().default(undefined),
      after: after(),
    }),
    answer: object({
      jobs: list(job),
      next: next(),
      /** How many there are on all pages. */
      total: count(),
    }),
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
      plannedFor: day().nullable().optional().default(undefined),
      waitsFor: freeText('Waits for', LONGEST_NAME).optional(),
      archived: boolean().optional(),
      version: version(),
    }),
    answer: answersJob,
  }),
  today: contract({
    ...paths.today,
    summary: 'Jobs that are not finished, with what each waits for, and what is due from those that are',
    access: 'viewer',
    answer: object({
      /** Not handed over, or handed over with something open that nobody answered for. */
      jobs: list(job),
      /** How many there are, however many are told. */
      total: count(),
      /** Handed over since yesterday. */
      handedOver: list(job),
      /** Finished ones of which something is due: to come back, to calibrate. */
      due: list(job),
      /** Units in use that were never handed over with a sheet; some of them, and how many there are. */
      withoutSheet: object({
        units: list(object({ id: said(), tag: said(), name: said(), siteName: said() })),
        total: count(),
      }).required(),
      people: list(object({ id: said(), name: said() })),
    }),
  }),
  newCall: contract({
    ...paths.newCall,
    summary: 'A call comes in: the site, the unit and the job at once, with what is known of them',
    access: 'technician',
    status: 201,
    body: object({
      /** A site that is known; null makes a new one. */
      siteId: uuid('Site').nullable().defined('expected a site, or null for a new one'),
      site: object({
        name: freeText('Site', LONGEST_NAME).default(''),
        place: freeText('Place', 300).default(''),
        customer: freeText('Customer', LONGEST_NAME).default(''),
        contact: freeText('Contact', LONGEST_NAME).default(''),
        phone: freeText('Phone', LONGEST_PHONE).default(''),
      }).default(undefined),
      unitId: uuid('Unit').nullable().defined('expected a unit, or null for a new one'),
      unit: object({
        name: freeText('Unit', LONGEST_NAME).default(''),
        tag: freeText('Tag', LONGEST_TAG).default(''),
        plate: freeText('Plate', LONGEST_PLATE).default(''),
      }).default(undefined),
      title: name('Title', LONGEST_TITLE),
      assignedTo: uuid('assignedTo').nullable().default(null),
      plannedFor: day().nullable().default(null),
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
