import { api } from '@brine/contract/routes';
import { personNamed } from '../audit/about.ts';
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

/** What was changed of somebody, in words: `role` and `disabled` decide who comes in. */
const changeOf = (body: {
  readonly role?: unknown;
  readonly name?: unknown;
  readonly disabled?: unknown;
}) => ({
  ...(body.role !== undefined && { role: String(body.role) }),
  ...(body.disabled !== undefined && { disabled: body.disabled === true ? 'yes' : 'no' }),
  ...(body.name !== undefined && { name: String(body.name) }),
});

export const peopleRoutes = [
  serve(api.people, async ({ services }) => ({ people: await listPeople(services) })),
  serve(
    api.invite,
    async ({ services, body }) => ({ link: await invite(services, body.login, body.name, body.role) }),
    async ({ body }) => ({ kind: 'invited', about: { person: body.name, role: body.role } }),
  ),
  serve(
    api.changePerson,
    async ({ services, params, body }) => ({ person: await changePerson(services, params.id, body) }),
    async ({ body }, { person }) => ({
      kind: 'personChanged',
      about: { person: person.name, ...changeOf(body) },
    }),
  ),
  serve(
    api.resetPassword,
    async ({ services, params }) => ({ link: await resetPassword(services, params.id) }),
    async ({ services, params }) => ({
      kind: 'passwordReset',
      about: await personNamed(services, params.id),
    }),
  ),
  serve(
    api.endSessions,
    async ({ services, params }) => {
      await endSessions(services, params.id);
      return { done: true };
    },
    async ({ services, params }) => ({
      kind: 'sessionsEnded',
      about: await personNamed(services, params.id),
    }),
  ),
  serve(api.link, async ({ services, params }) => ({ link: await lookAtLink(services, params.token) })),
  serve(
    api.takeLink,
    async ({ services, caller, context, params, body }) =>
      withCookie(context, services, caller, await takeLink(services, params.token, body, caller)),
    async (_, { person }) => ({ kind: 'linkTaken', person }),
  ),
];
