import { api } from '@brine/contract/routes';
import { withCookie } from '../auth/auth.routes.ts';
import { serve } from '../http/route.ts';
import {
  changePerson,
  endSessions,
  invite,
  listPeople,
  lookAtLink,
  resetPassword,
  takeLink,
} from './people.service.ts';

export const peopleRoutes = [
  serve(api.people, async ({ services }) => ({ people: await listPeople(services) })),
  serve(api.invite, async ({ services, body }) => ({
    link: await invite(services, body.login, body.name, body.role),
  })),
  serve(api.changePerson, async ({ services, params, body }) => ({
    person: await changePerson(services, params.id, body),
  })),
  serve(api.resetPassword, async ({ services, params }) => ({
    link: await resetPassword(services, params.id),
  })),
  serve(api.endSessions, async ({ services, params }) => {
    await endSessions(services, params.id);
    return { done: true };
  }),
  serve(api.link, async ({ services, params }) => ({ link: await lookAtLink(services, params.token) })),
  serve(api.takeLink, async ({ services, caller, context, params, body }) => {
    return withCookie(context, services, caller, await takeLink(services, params.token, body, caller));
  }),
];
