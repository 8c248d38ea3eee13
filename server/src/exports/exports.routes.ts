import { mixed, object, string } from 'yup';
import writeXlsxFile from 'write-excel-file/node';
import { writeCsv } from '@brine/core/foundation/files';
import { tableNames, type Table, type TableName } from '@brine/core/record/handover';
import { idParams } from '../http/fields.ts';
import { personOf, route } from '../http/route.ts';
import { calendarOfJob, importJob, jobFileOf, tableOf } from './exports.service.ts';

/** A job with pictures. */
const LARGEST_JOB = 128 * 1024 * 1024;

const attachment = (body: BodyInit, type: string, name: string) =>
  new Response(body, {
    headers: {
      'content-type': type,
      'content-disposition': `attachment; filename="${name}"`,
      'cache-control': 'no-store',
    },
  });

export const exportRoutes = [
  route({
    method: 'get',
    path: '/jobs/:id/tables/:file',
    summary:
      'A table of a job, settings.csv or settings.xlsx: settings, wires, readings, tests, calibrations, follow-ups',
    access: 'viewer',
    params: idParams.concat(
      object({
        file: string()
          .required()
          .matches(
            new RegExp(`^(${tableNames.join('|')})\\.(csv|xlsx)$`),
            `file: expected one of ${tableNames.join(', ')} with .csv or .xlsx`,
          ),
      }),
    ),
    async handle({ services, params }) {
      const [name, format] = params.file.split('.') as [TableName, 'csv' | 'xlsx'];
      const table = await tableOf(services, params.id, name);
      return format === 'csv'
        ? attachment(`\uFEFF${writeCsv(table.header, table.rows)}`, 'text/csv; charset=utf-8', params.file)
        : attachment(
            await xlsxOf(table),
            'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet',
            params.file,
          );
    },
  }),
  route({
    method: 'get',
    path: '/jobs/:id/follow-ups.ics',
    summary: 'The follow-ups of a job as a calendar',
    access: 'viewer',
    params: idParams,
    handle: async ({ services, params }) =>
      attachment(await calendarOfJob(services, params.id), 'text/calendar; charset=utf-8', 'follow-ups.ics'),
  }),
  route({
    method: 'get',
    path: '/jobs/:id/job.brine.json',
    summary: 'A job with its history, definitions and pictures, to move to another installation',
    access: 'technician',
    params: idParams,
    handle: async ({ services, params }) =>
      attachment(JSON.stringify(await jobFileOf(services, params.id)), 'application/json', 'job.brine.json'),
  }),
  route({
    method: 'post',
    path: '/import',
    summary: 'Takes in a job from another installation; its entries are marked as foreign',
    access: 'technician',
    status: 201,
    limit: LARGEST_JOB,
    body: object({ file: mixed<object>().required('file: expected the content of a *.brine.json') }),
    handle: async (input) => importJob(input.services, personOf(input), input.body.file),
  }),
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
