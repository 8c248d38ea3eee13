import { boolean, object, string } from 'yup';
import { device, withCookie } from '../auth/auth.routes.ts';
import { idParams, name, version } from '../http/fields.ts';
import { route } from '../http/route.ts';
import {
  changePerson,
  endSessions,
  invite,
  listPeople,
  lookAtLink,
  resetPassword,
  takeLink,
} from './people.service.ts';
import { roles, type Role } from './person.entity.ts';

const role = string<Role>().oneOf([...roles], `role: expected one of ${roles.join(', ')}`);
const tokenParams = object({ token: string().required().max(100) });

export const peopleRoutes = [
  route({
    method: 'get',
    path: '/people',
    summary: 'Everybody with an account',
    access: 'lead',
    handle: async ({ services }) => ({ people: await listPeople(services) }),
  }),
  route({
    method: 'post',
    path: '/people',
    summary: 'Invites somebody; answers with a one-time link',
    access: 'lead',
    status: 201,
    body: object({ login: name('Login'), name: name('Name'), role: role.required('role: expected a role') }),
    handle: async ({ services, body }) => ({
      link: await invite(services, body.login, body.name, body.role),
    }),
  }),
  route({
    method: 'patch',
    path: '/people/:id',
    summary: 'Changes role or name, disables or enables',
    access: 'lead',
    params: idParams,
    body: object({
      role: role.optional(),
      name: name('Name').optional(),
      disabled: boolean().optional(),
      version,
    }),
    handle: async ({ services, params, body }) => ({ person: await changePerson(services, params.id, body) }),
  }),
  route({
    method: 'post',
    path: '/people/:id/reset',
    summary: 'Ends the password; answers with a one-time link for a new one',
    access: 'lead',
    params: idParams,
    handle: async ({ services, params }) => ({ link: await resetPassword(services, params.id) }),
  }),
  route({
    method: 'post',
    path: '/people/:id/end-sessions',
    summary: 'Signs somebody out everywhere',
    access: 'lead',
    params: idParams,
    async handle({ services, params }) {
      await endSessions(services, params.id);
      return { done: true };
    },
  }),
  route({
    method: 'get',
    path: '/links/:token',
    summary: 'What a one-time link is for',
    access: 'public',
    params: tokenParams,
    handle: async ({ services, params }) => ({ link: await lookAtLink(services, params.token) }),
  }),
  route({
    method: 'post',
    path: '/links/:token',
    summary: 'Takes a one-time link: sets the password and signs in',
    access: 'public',
    params: tokenParams,
    body: object({
      login: string().nullable().default(null).max(200),
      name: string().nullable().default(null).max(200),
      password: string().required('Password: expected a password').max(500),
      device,
    }),
    async handle({ services, caller, context, params, body }) {
      return withCookie(context, caller, await takeLink(services, params.token, body));
    },
  }),
];
