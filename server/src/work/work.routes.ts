import { api } from '@brine/contract/routes';
import { publicAddress } from '../http/publicAddress.ts';
import { noted, personOf, serve } from '../http/route.ts';
import { askForJobFiles } from '../exports/jobFiles.service.ts';
import { askForReport } from '../reports/reports.service.ts';
import { askForSheets } from '../sheets/manySheets.service.ts';
import { listWork, readWork, stopWork, streamFile } from './work.service.ts';

const mediaTypes: Readonly<Record<string, string>> = {
  pdf: 'application/pdf',
  xlsx: 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet',
  zip: 'application/zip',
  json: 'application/json',
};
const mediaTypeOf = (name: string) => mediaTypes[name.split('.').at(-1)!] ?? 'application/octet-stream';

export const workRoutes = [
  serve(api.works, async (input) => ({ works: await listWork(input.services, personOf(input)) })),
  serve(api.work, async (input) => ({
    work: await readWork(input.services, personOf(input), input.params.id),
  })),
  serve(api.stopWork, async (input) => ({
    work: await stopWork(input.services, personOf(input), input.params.id),
  })),
  serve(api.workFile, async (input) => {
    const { name, stream } = await streamFile(input.services, personOf(input), input.params.id);
    return new Response(stream, {
      headers: {
        'content-type': mediaTypeOf(name),
        'content-disposition': `attachment; filename="${name}"`,
        'cache-control': 'private, no-store',
      },
    });
  }),
  serve(api.startSheets, async (input) => ({
    work: await askForSheets(input.services, personOf(input), {
      ...input.body,
      site: input.body.site ?? null,
      address: publicAddress(input.context, input.services.config),
    }),
  })),
  serve(
    api.startReport,
    async (input) => ({
      work: await askForReport(input.services, personOf(input), {
        ...input.body,
        site: input.body.site ?? null,
        from: input.body.from,
        to: input.body.to,
      }),
    }),
    ({ body }) => Promise.resolve({ kind: 'reportAsked', about: { from: body.from, to: body.to } }),
  ),
  serve(
    api.startJobFiles,
    async (input) => ({
      work: await askForJobFiles(input.services, personOf(input)),
    }),
    noted('jobFilesAsked'),
  ),
];
