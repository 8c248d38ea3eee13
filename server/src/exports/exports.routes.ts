import { api, type TableName } from '@brine/contract/routes';
import writeXlsxFile from 'write-excel-file/node';
import { writeCsv } from '@brine/core/foundation/files';
import type { Table } from '@brine/core/record/handover';
import { personOf, serve } from '../http/route.ts';
import { calendarOfJob, importJob, jobFileOf, tableOf } from './exports.service.ts';

const attachment = (body: BodyInit, type: string, name: string) =>
  new Response(body, {
    headers: {
      'content-type': type,
      'content-disposition': `attachment; filename="${name}"`,
      'cache-control': 'no-store',
    },
  });

export const exportRoutes = [
  serve(api.table, async ({ services, params }) => {
    const [name, format] = params.file.split('.') as [TableName, 'csv' | 'xlsx'];
    const table = await tableOf(services, params.id, name);
    return format === 'csv'
      ? attachment(`\uFEFF${writeCsv(table.header, table.rows)}`, 'text/csv; charset=utf-8', params.file)
      : attachment(
          await xlsxOf(table),
          'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet',
          params.file,
        );
  }),
  serve(api.followUps, async ({ services, params }) =>
    attachment(await calendarOfJob(services, params.id), 'text/calendar; charset=utf-8', 'follow-ups.ics'),
  ),
  serve(api.jobFile, async ({ services, params }) =>
    attachment(JSON.stringify(await jobFileOf(services, params.id)), 'application/json', 'job.brine.json'),
  ),
  serve(api.importJob, async (input) => importJob(input.services, personOf(input), input.body.file)),
];

/** A spreadsheet of one sheet. Texts are stored as texts, so that none is run as a formula; one that looks like one gets an apostrophe besides. */
async function xlsxOf(table: Table): Promise<Uint8Array<ArrayBuffer>> {
  const text = (cell: string) => (/^[=+@\t\r]|^-(?![\d.]+$)/.test(cell) ? `'${cell}` : cell);
  const head = table.header.map((value) => ({ value, type: String, fontWeight: 'bold' as const }));
  const rows = table.rows.map((row) =>
    row.map((cell) =>
      cell === null
        ? null
        : typeof cell === 'number'
          ? { value: cell, type: Number }
          : { value: text(cell), type: String },
    ),
  );
  const buffer = await writeXlsxFile([head, ...rows]).toBuffer();
  return new Uint8Array(buffer);
}
