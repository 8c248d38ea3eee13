import writeXlsxFile from 'write-excel-file/node';
import { JOB_FORMAT, type JobFile } from '@brine/contract/files';
import type { TableName } from '@brine/contract/routes';
import { writeCsv } from '@brine/core/foundation/files';
import { tablesOf, type Table } from '@brine/core/record/handover';
import { provingOf, wiringOf } from '@brine/core/record/job';
import type { JobMaterial } from '../jobs/jobMaterial.ts';
import { jobProgramOf, readMaterial } from '../jobs/jobProgram.ts';
import { followUpCalendar } from '../calendars/followUpCalendar.ts';
import { sheetRows } from './spreadsheet.ts';

/** A table of a job as the bytes of its file. */
export async function tableFile({
  material,
  name,
  format,
}: {
  readonly material: JobMaterial;
  readonly name: TableName;
  readonly format: 'csv' | 'xlsx';
}): Promise<Uint8Array> {
  const { program, wiring, proving } = provenJob(material);
  const table = tablesOf(program, wiring, proving).find((candidate) => candidate.name === name)!;
  return format === 'csv'
    ? new TextEncoder().encode(`\uFEFF${writeCsv(table.header, table.rows)}`)
    : xlsxOf(table);
}

/** The follow-ups of a job as a calendar. */
export function calendarFile({
  material,
  jobId,
  unit,
  site,
  now,
}: {
  readonly material: JobMaterial;
  readonly jobId: string;
  readonly unit: string;
  readonly site: string;
  readonly now: Date;
}): string {
  return followUpCalendar(jobId, unit, site, provenJob(material).proving, now);
}

/** A job as `*.brine.json`. Its pictures come by their ids. */
export function jobFileText({
  material,
  head,
  pictures,
}: {
  readonly material: JobMaterial;
  readonly head: Pick<JobFile, 'site' | 'unit' | 'title'>;
  readonly pictures: Readonly<Record<string, Uint8Array>>;
}): string {
  const { entries, definitions } = readMaterial(material);
  const file: JobFile = {
    format: JOB_FORMAT,
    ...head,
    entries: entries.map((e) => ({
      id: e.id,
      author: e.foreign?.author ?? material.names[e.author] ?? '',
      device: e.device,
      deviceSequence: e.deviceSequence,
      deviceTime: e.deviceTime,
      seen: e.seen,
      sequence: e.sequence,
      receivedAt: e.foreign?.receivedAt ?? e.receivedAt,
      body: e.body,
    })),
    controllers: Object.values(definitions),
    pictures: Object.fromEntries(
      Object.entries(pictures).map(([id, bytes]) => [id, Buffer.from(bytes).toString('base64')]),
    ),
  };
  return JSON.stringify(file);
}

function provenJob(material: JobMaterial) {
  const { state, program, control } = jobProgramOf(material);
  const wiring = wiringOf(state, program.unit, control);
  const proving = provingOf(state, program, wiring, control, null, program.display?.unit ?? 'degC');
  return { program, wiring, proving };
}

/** A spreadsheet of one sheet. */
const xlsxOf = async (table: Table) => new Uint8Array(await writeXlsxFile(sheetRows(table)).toBuffer());
