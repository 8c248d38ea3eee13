import type { Context } from 'hono';
import { deleteCookie, setCookie } from 'hono/cookie';
import { object, string } from 'yup';
import { sessionCookie } from '../http/caller.ts';
import type { Caller } from '../http/context.ts';
import { AppError } from '../http/errors.ts';
import { personOf, route } from '../http/route.ts';
import { endTicket, renewTicket, signIn, signOut, type SignInResult } from './auth.service.ts';

export const device = string().label('device').required('device: expected an id of this browser').max(100);

/** Sends the session cookie and answers with what the page may know. */
export function withCookie(context: Context, caller: Caller, result: SignInResult) {
  setCookie(context, sessionCookie, result.cookie, {
    httpOnly: true,
    sameSite: 'Strict',
    secure: caller.https,
    path: '/',
    maxAge: 14 * 86_400,
  });
  return { person: result.person, ticket: result.ticket };
}

export const authRoutes = [
  route({
    method: 'post',
    path: '/sign-in',
    summary: 'Opens a session; answers with the person and a writing ticket for the device',
    access: 'public',
    body: object({
      login: string().required('Login: expected your login').max(200),
      password: string().required('Password: expected your password').max(500),
      device,
    }),
    async handle({ body, services, caller, context }) {
      return withCookie(
        context,
        caller,
        await signIn(services, caller, body.login.trim(), body.password, body.device),
      );
    },
  }),
  route({
    method: 'post',
    path: '/sign-out',
    summary: 'Ends this session; entries still waiting on the device stay its author’s',
    access: 'public',
    async handle({ services, caller, context }) {
      await signOut(services, caller.cookie);
      deleteCookie(context, sessionCookie, { path: '/' });
      return { done: true };
    },
  }),
  route({
    method: 'get',
    path: '/me',
    summary: 'Who is signed in',
    access: 'viewer',
    handle: async (input) => ({ person: personOf(input) }),
  }),
  route({
    method: 'post',
    path: '/me/ticket',
    summary: 'A new writing ticket for this device',
    access: 'technician',
    body: object({ device }),
    handle: async (input) => ({
      ticket: await renewTicket(input.services, personOf(input), input.body.device),
    }),
  }),
  route({
    method: 'delete',
    path: '/ticket',
    summary: 'Ends the writing ticket in the header x-brine-ticket',
    access: 'ticket',
    async handle({ services, context }) {
      const ticket = context.req.header('x-brine-ticket');
      if (!ticket) throw new AppError('notSignedIn', 'x-brine-ticket: expected a ticket');
      await endTicket(services, ticket);
      return { done: true };
    },
  }),
];
