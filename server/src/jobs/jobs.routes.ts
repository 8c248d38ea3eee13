import { array, boolean, mixed, number, object, string } from 'yup';
import { AppError } from '../http/errors.ts';
import { idParams, listQuery, name, uuid, version } from '../http/fields.ts';
import { personOf, route } from '../http/route.ts';
import { appendEntries, readEntries, type SentEntry } from './entries.service.ts';
import { changeJob, createJob, listJobs, readJob } from './jobs.service.ts';

/** Most entries in one post. */
export const MOST_ENTRIES = 200;

const sentEntry = object({
  id: uuid('id'),
  job: uuid('job'),
  deviceSequence: number().required('deviceSequence: expected a number').integer().min(1),
  deviceTime: string().required('deviceTime: expected an ISO time').max(40),
  seen: number().required('seen: expected the last sequence seen').integer().min(0),
  body: mixed<object>().required('body: expected an object'),
});

export const jobRoutes = [
  route({
    method: 'get',
    path: '/jobs',
    summary: 'Jobs by title, unit or site',
    access: 'viewer',
    query: listQuery.concat(object({ unit: string().optional() })),
    handle: async ({ services, query }) => ({
      jobs: await listJobs(services, query.search, query.unit ?? null, query.archived),
    }),
  }),
  route({
    method: 'get',
    path: '/jobs/:id',
    summary: 'One job',
    access: 'viewer',
    params: idParams,
    handle: async ({ services, params }) => ({ job: await readJob(services, params.id) }),
  }),
  route({
    method: 'post',
    path: '/jobs',
    summary: 'Opens a job on a unit',
    access: 'technician',
    status: 201,
    body: object({ unitId: uuid('Unit'), title: name('Title', 300) }),
    handle: async (input) => ({ job: await createJob(input.services, personOf(input), input.body) }),
  }),
  route({
    method: 'patch',
    path: '/jobs/:id',
    summary: 'Renames or archives a job',
    access: 'technician',
    params: idParams,
    body: object({ title: name('Title', 300).optional(), archived: boolean().optional(), version }),
    handle: async ({ services, params, body }) => ({ job: await changeJob(services, params.id, body) }),
  }),
  route({
    method: 'get',
    path: '/jobs/:id/entries',
    summary: 'The stream of a job after a sequence',
    access: 'viewer',
    params: idParams,
    query: object({ after: number().default(0).integer().min(0) }),
    handle: async ({ services, params, query }) => readEntries(services, params.id, query.after),
  }),
  route({
    method: 'post',
    path: '/entries',
    summary: 'Hands in entries of one author; each is accepted or refused alone',
    access: 'ticket',
    limit: 2 * 1024 * 1024,
    body: object({
      entries: array(sentEntry)
        .required('entries: expected a list')
        .min(1)
        .max(MOST_ENTRIES, `entries: expected at most ${MOST_ENTRIES} at once`),
    }),
    async handle({ services, caller, body, context }) {
      const ticket = context.req.header('x-brine-ticket');
      if (!ticket) throw new AppError('notSignedIn', 'x-brine-ticket: expected a ticket');
      return { results: await appendEntries(services, caller, ticket, body.entries as readonly SentEntry[]) };
    },
  }),
];
