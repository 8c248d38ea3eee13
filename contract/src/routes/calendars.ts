import { object, string } from 'yup';
import { paths } from '../paths/index.ts';
import { contract } from './route.ts';
import { done, said } from './views.ts';

const link = object({ createdAt: said() });

export const calendarRoutes = {
  calendarLink: contract({
    ...paths.calendarLink,
    summary: 'Whether one’s own calendar has an open link, and since when',
    access: 'viewer',
    answer: object({ link: link.nullable().defined() }),
  }),
  makeCalendarLink: contract({
    ...paths.makeCalendarLink,
    summary:
      'Makes a link to one’s own calendar; its secret is told once, and the link before it leads nowhere',
    access: 'viewer',
    status: 201,
    answer: object({ link: link.shape({ token: said() }).required() }),
  }),
  endCalendarLink: contract({
    ...paths.endCalendarLink,
    summary: 'Revokes the link to one’s own calendar',
    access: 'viewer',
    answer: done,
  }),
  calendar: contract({
    ...paths.calendar,
    summary: 'The planned jobs of a person and what they have to come back for, for a calendar program',
    access: 'public',
    params: object({
      file: string()
        .required('file: expected the secret of a link')
        .matches(/^[\w-]{1,40}\.ics$/, 'file: expected the secret of a link with .ics'),
    }),
    file: ['text/calendar'],
  }),
};
