import { api } from '@brine/contract/routes';
import { authorOf, personOf, serve } from '../http/route.ts';
import { appendEntries, readEntries } from './entries.service.ts';
import { takeCall } from './newCall.service.ts';
import { readToday } from './today.service.ts';
import { changeJob, createJob, listJobs, readJob } from './jobs.service.ts';

export const jobRoutes = [
  serve(api.jobs, ({ services, query }) => listJobs(services, query)),
  serve(api.today, ({ services }) => readToday(services)),
  serve(api.newCall, async (input) => ({
    job: await takeCall(input.services, personOf(input), input.body),
  })),
  serve(api.job, ({ services, params }) => readJob(services, params.id)),
  serve(api.createJob, async (input) => ({
    job: await createJob(input.services, personOf(input), input.body),
  })),
  serve(api.changeJob, async ({ services, params, body }) => ({
    job: await changeJob(services, params.id, body),
  })),
  serve(api.entries, async ({ services, params, query }) => readEntries(services, params.id, query.after)),
  serve(api.sendEntries, async (input) => ({
    results: await appendEntries(input.services, authorOf(input), input.body.entries),
  })),
];
