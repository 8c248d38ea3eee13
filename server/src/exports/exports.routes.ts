import { api, type TableName } from '@brine/contract/routes';
import { jobNamed } from '../audit/about.ts';
import { bodyText, personOf, serve } from '../http/route.ts';
import { calendarOfJob, importJob, jobFileOf, tableOf } from './exports.service.ts';

const mediaTypes = {
  csv: 'text/csv; charset=utf-8',
  xlsx: 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet',
} as const;

const attachment = (body: BodyInit, type: string, name: string) =>
  new Response(body, {
    headers: {
      'content-type': type,
      'content-disposition': `attachment; filename="${name}"`,
      'cache-control': 'no-store',
    },
  });

export const exportRoutes = [
  serve(
    api.table,
    async ({ services, params }) => {
      const [name, format] = params.file.split('.') as [TableName, 'csv' | 'xlsx'];
      const bytes = await tableOf(services, params.id, name, format);
      return attachment(new Uint8Array(bytes), mediaTypes[format], params.file);
    },
    async ({ services, params }) => ({
      kind: 'tableTaken',
      about: { ...(await jobNamed(services, params.id)), file: params.file },
    }),
  ),
  serve(api.followUps, async ({ services, params }) =>
    attachment(await calendarOfJob(services, params.id), 'text/calendar; charset=utf-8', 'follow-ups.ics'),
  ),
  serve(
    api.jobFile,
    async ({ services, params }) =>
      attachment(await jobFileOf(services, params.id), 'application/json', 'job.brine.json'),
    async ({ services, params }) => ({ kind: 'jobFileTaken', about: await jobNamed(services, params.id) }),
  ),
  serve(
    api.importJob,
    async (input) => importJob(input.services, personOf(input), await bodyText(input.context)),
    async ({ services }, { jobId }) => ({ kind: 'jobImported', about: await jobNamed(services, jobId) }),
  ),
];
