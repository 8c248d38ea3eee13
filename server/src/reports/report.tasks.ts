import { readFileSync } from 'node:fs';
import writeXlsxFile from 'write-excel-file/node';
import type { TemperatureUnit } from '@brine/core/foundation/quantities';
import type { LeaveBehindSheet } from '@brine/core/record/handover';
import { inUnitOf } from '@brine/core/record/inUnit';
import { standing } from '@brine/core/record/fold';
import { reportDocument } from '@brine/core/record/print';
import {
  reportTables,
  unitReport,
  type CustomerReport,
  type ReportedLog,
  type ReportPeriod,
  type UnitReport,
} from '@brine/core/record/report';
import { sheetRows } from '../exports/spreadsheet.ts';
import { jobProgramOf, readMaterial } from '../jobs/jobProgram.ts';
import { print } from '../sheets/pdf.ts';
import { sheetFrom, type SheetInput } from '../sheets/sheets.tasks.ts';

/** A job of a unit, as the thread is handed it. */
export interface ReportJob {
  readonly id: string;
  readonly title: string;
  readonly sheet: SheetInput;
  /** Its logs with air; the readings lie in a file. */
  readonly logs: readonly (Omit<ReportedLog, 'air'> & { readonly path: string })[];
}

/** The report of a unit from its jobs, newest first. */
export function unitReportTask({
  jobs,
  period,
  today,
  reader,
}: {
  readonly jobs: readonly ReportJob[];
  readonly period: ReportPeriod;
  readonly today: string;
  readonly reader: TemperatureUnit;
}): UnitReport {
  const [{ sheet: newest }] = jobs as readonly [ReportJob];
  return unitReport({
    unit: { site: newest.site, ...newest.unit },
    jobs: jobs.map(({ id, title, sheet }) => ({
      id,
      title,
      createdAt: sheet.openedAt,
      entries: readMaterial(sheet.material).entries,
    })),
    names: Object.assign({}, ...jobs.map(({ sheet }) => sheet.material.names)) as Record<string, string>,
    ...papersOf(jobs, reader),
    logs: jobs.flatMap(({ logs }) => logs.map(({ path, ...log }) => ({ ...log, air: airOf(path) }))),
    period,
    today,
    reader,
  });
}

/** The papers of the newest job with a control, and those of the newest in which somebody saw what is in the unit, with what it is set to. */
function papersOf(jobs: readonly ReportJob[], reader: TemperatureUnit) {
  let newest: LeaveBehindSheet | null = null;
  for (const { sheet: input } of jobs) {
    const computed = jobProgramOf(input.material);
    const sheet = sheetFrom({ ...input, reader }, computed);
    if (!sheet) continue;
    newest ??= sheet;
    const { state, program, pin, control } = computed;
    const old = standing(state, 'control:old', 'control')?.definition ?? null;
    const { known, settings } = inUnitOf(state, program, control, { old, replacement: pin });
    if (known.length > 0) return { newest, now: { sheet, settings } };
  }
  return { newest, now: null };
}

/** Readings from lines of `seconds,°C`; a missing one is empty. */
function* airOf(path: string): Generator<readonly [number, number]> {
  const text = readFileSync(path, 'utf8');
  for (let at = 0; at < text.length;) {
    const end = text.indexOf('\n', at);
    const line = text.slice(at, end === -1 ? undefined : end);
    const comma = line.indexOf(',');
    const celsius = line.slice(comma + 1);
    yield [Number(line.slice(0, comma)), celsius === '' ? NaN : Number(celsius)];
    at = end === -1 ? text.length : end + 1;
  }
}

/** The report as the bytes of its file. */
export async function reportFile({
  report,
  format,
  paper,
}: {
  readonly report: CustomerReport;
  readonly format: 'pdf' | 'xlsx';
  readonly paper: 'A4' | 'LETTER';
}): Promise<Uint8Array> {
  if (format === 'pdf') return (await print(reportDocument(report, paper))).bytes;
  const sheets = reportTables(report).map(({ name, ...table }) => ({
    sheet: name,
    data: sheetRows(table),
    stickyRowsCount: 1,
  }));
  return new Uint8Array(await writeXlsxFile(sheets).toBuffer());
}
