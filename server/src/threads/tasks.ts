import { calendarFile, jobFileText, tableFile } from '../exports/exports.tasks.ts';
import { takenApart } from '../exports/import.task.ts';
import { readLog } from '../logs/readLog.task.ts';
import { reportFile, unitReportTask } from '../reports/report.tasks.ts';
import { reviewJob } from '../reviews/reviewJob.task.ts';
import { summariseJob } from '../summaries/summariseJob.task.ts';
import { zipFiles } from '../work/zipFiles.task.ts';
import { sharedPageOf, sheetPdf } from '../sheets/sheets.tasks.ts';

/** What threads can be asked to do: pure, plain data in and out. */
export const tasks = {
  reviewJob,
  unitReport: unitReportTask,
  reportFile,
  sheetPdf,
  summariseJob,
  sharedPageOf,
  tableFile,
  calendarFile,
  jobFileText,
  takenApart,
  readLog,
  zipFiles,
} as const;

type Tasks = typeof tasks;
export type TaskName = keyof Tasks;
export type TaskInput<Name extends TaskName> = Parameters<Tasks[Name]>[0];
export type TaskOutput<Name extends TaskName> = Awaited<ReturnType<Tasks[Name]>>;
