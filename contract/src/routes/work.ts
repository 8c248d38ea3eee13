import { object, string, type InferType } from 'yup';
import { day, idParams, uuid, type DeepReadonly } from '../fields/index.ts';
import { paths } from '../paths/index.ts';
import { contract } from './route.ts';
import { count, flag, list, said } from './views.ts';

/** Work on lines: it waits for devices, and has a queue of its own. */
export const busWorkKinds = ['busTry', 'busRead', 'busWrite', 'busFollow'] as const;
export const workKinds = ['review', 'sheets', 'jobFiles', 'report', ...busWorkKinds] as const;
export type WorkKind = (typeof workKinds)[number];

export const workStates = ['waiting', 'running', 'done', 'failed', 'stopped'] as const;
export type WorkState = (typeof workStates)[number];

/** Work that goes on after its answer, on whichever server takes it up: what it is, who asked for it, how far it is. */
export const work = object({
  id: said(),
  kind: string<WorkKind>().oneOf(workKinds).required(),
  title: said(),
  askedBy: said(),
  askedAt: said(),
  state: string<WorkState>().oneOf(workStates).required(),
  done: count(),
  total: count(),
  /** Why it failed. */
  problem: said().nullable(),
  endedAt: said().nullable(),
  /** Name of the file it made. */
  file: said().nullable(),
  /** Whether whoever reads this may stop it: its asker and leads may. */
  mayStop: flag(),
});
export type Work = DeepReadonly<InferType<typeof work>>;
export const answersWork = object({ work: work.required() });

export const workRoutes = {
  works: contract({
    ...paths.works,
    summary: 'Work under way and done, newest first: one’s own; a lead sees everybody’s',
    access: 'viewer',
    answer: object({ works: list(work) }),
  }),
  work: contract({
    ...paths.work,
    summary: 'How far a piece of work is; for its asker and for leads',
    access: 'viewer',
    params: idParams,
    answer: answersWork,
  }),
  stopWork: contract({
    ...paths.stopWork,
    summary: 'Stops a piece of work; what is done of it stays. For its asker and for leads',
    access: 'technician',
    params: idParams,
    answer: answersWork,
  }),
  workFile: contract({
    ...paths.workFile,
    summary: 'The file that a piece of work made; for its asker and for leads',
    access: 'viewer',
    params: idParams,
    file: [
      'application/zip',
      'application/pdf',
      'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet',
      'application/json',
    ],
  }),
  startSheets: contract({
    ...paths.startSheets,
    summary: 'Begins making the leave-behind sheets of every unit of a site, or of all sites, as one ZIP',
    access: 'technician',
    status: 202,
    body: object({
      site: uuid('site').nullable().optional().default(null),
      paper: string<'A4' | 'LETTER'>().oneOf(['A4', 'LETTER'], 'paper: expected A4 or LETTER').default('A4'),
      type: string<'small' | 'large'>()
        .oneOf(['small', 'large'], 'type: expected small or large')
        .default('small'),
    }),
    answer: answersWork,
  }),
  startReport: contract({
    ...paths.startReport,
    summary:
      'Begins a report for the customer on the units of a site, or of all sites, for a period of days, as PDF or spreadsheet',
    access: 'technician',
    status: 202,
    body: object({
      site: uuid('site').nullable().optional().default(null),
      from: day().required('from: expected a day'),
      to: day()
        .required('to: expected a day')
        .test(
          'order',
          'to: expected the same day as from, or one after it',
          (to, { parent }) => String(to) >= String((parent as { from?: unknown }).from),
        ),
      format: string<'pdf' | 'xlsx'>().oneOf(['pdf', 'xlsx'], 'format: expected pdf or xlsx').default('pdf'),
      paper: string<'A4' | 'LETTER'>().oneOf(['A4', 'LETTER'], 'paper: expected A4 or LETTER').default('A4'),
    }),
    answer: answersWork,
  }),
  startJobFiles: contract({
    ...paths.startJobFiles,
    summary: 'Begins writing every job with its history as *.brine.json into one ZIP',
    access: 'lead',
    status: 202,
    answer: answersWork,
  }),
};
