import { api } from '@brine/contract/routes';
import { publicAddress } from '../http/publicAddress.ts';
import { noted, personOf, serve } from '../http/route.ts';
import { calendarLinkOf, endCalendarLink, makeCalendarLink, readCalendar } from './calendars.service.ts';

export const calendarRoutes = [
  serve(api.calendarLink, async (input) => ({
    link: await calendarLinkOf(input.services, personOf(input)),
  })),
  serve(
    api.makeCalendarLink,
    async (input) => ({ link: await makeCalendarLink(input.services, personOf(input)) }),
    noted('calendarMade'),
  ),
  serve(
    api.endCalendarLink,
    async (input) => {
      await endCalendarLink(input.services, personOf(input));
      return { done: true };
    },
    noted('calendarEnded'),
  ),
  serve(api.calendar, async ({ services, params, context }) => {
    const token = params.file.replace(/\.ics$/, '');
    const text = await readCalendar(services, token, publicAddress(context, services.config));
    return new Response(text, {
      headers: {
        'content-type': 'text/calendar; charset=utf-8',
        'content-disposition': 'inline; filename="brine-dial.ics"',
        'cache-control': 'no-store',
      },
    });
  }),
];
