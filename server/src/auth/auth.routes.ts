import { api } from '@brine/contract/routes';
import type { Context } from 'hono';
import { deleteCookie, setCookie } from 'hono/cookie';
import { sessionCookie } from '../http/caller.ts';
import type { Caller } from '../http/context.ts';
import { personOf, serve } from '../http/route.ts';
import { changePassword, endOwnSession, sessionsOf } from './account.service.ts';
import { endTicket, renewTicket, signIn, signOut, type SignInResult } from './auth.service.ts';

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
  serve(api.signIn, async ({ body, services, caller, context }) => {
    return withCookie(
      context,
      caller,
      await signIn(services, caller, body.login.trim(), body.password, body.device),
    );
  }),
  serve(api.signOut, async ({ services, caller, context }) => {
    await signOut(services, caller.cookie);
    deleteCookie(context, sessionCookie, { path: '/' });
    return { done: true };
  }),
  serve(api.me, async (input) => ({ person: personOf(input) })),
  serve(api.renewTicket, async (input) => ({
    ticket: await renewTicket(input.services, personOf(input), input.body.device),
  })),
  serve(api.changePassword, async (input) => ({
    ticket: await changePassword(input.services, input.caller, personOf(input), input.body),
  })),
  serve(api.sessions, async (input) => ({
    sessions: await sessionsOf(input.services, input.caller, personOf(input)),
  })),
  serve(api.endSession, async (input) => {
    await endOwnSession(input.services, personOf(input), input.params.id);
    return { done: true };
  }),
  serve(api.endTicket, async ({ services, context }) => {
    await endTicket(services, context.req.header('x-brine-ticket') ?? '');
    return { done: true };
  }),
];
