import type { WorkKind } from '@brine/contract/routes';
import { readOverBus } from '../bus/busRead.work.ts';
import { followOverBus } from '../bus/busFollow.work.ts';
import { tryOverBus } from '../bus/busTry.work.ts';
import { writeOverBus } from '../bus/busWrite.work.ts';
import { writeJobFiles } from '../exports/jobFiles.work.ts';
import { makeReport } from '../reports/report.work.ts';
import { reviewUnits } from '../reviews/review.work.ts';
import { makeSheets } from '../sheets/sheets.work.ts';
import type { DoWork } from './kind.ts';

/** What does each kind of work. */
export const workKinds: Readonly<Record<WorkKind, DoWork>> = {
  review: reviewUnits,
  sheets: makeSheets,
  jobFiles: writeJobFiles,
  report: makeReport,
  busTry: tryOverBus,
  busRead: readOverBus,
  busWrite: writeOverBus,
  busFollow: followOverBus,
};
