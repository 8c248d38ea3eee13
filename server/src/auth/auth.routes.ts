import { api } from '@brine/contract/routes';
import type { Context } from 'hono';
import { deleteCookie, setCookie } from 'hono/cookie';
import { sessionCookie } from '../http/caller.ts';
import { DEMO_MOUNT } from '@brine/contract/paths';
import type { Config } from '../config.ts';
import type { Caller, Services } from '../http/context.ts';
import { AppError } from '../http/errors.ts';
import { noted, personOf, serve } from '../http/route.ts';
import { note } from '../audit/audit.service.ts';
import { changePassword, endOwnSession, sessionsOf } from './account.service.ts';
import { endTicket, renewTicket, signIn, signOut, type SignInResult } from './auth.service.ts';

/** Sends the session cookie and answers with what the page may know. */
export function withCookie(context: Context, { config }: Services, caller: Caller, result: SignInResult) {
  keepSession(context, config, caller, result.cookie);
  return { person: result.person, ticket: result.ticket };
}

/** Sends the cookie of a session, for the pages of the company or of the demo beside it. */
export function keepSession(
  context: Context,
  config: Pick<Config, 'mount'>,
  caller: Caller,
  cookie: string,
): void {
  setCookie(context, sessionCookie(config), cookie, {
    httpOnly: true,
    sameSite: 'Strict',
    secure: caller.https,
    path: config.mount || '/',
    maxAge: 14 * 86_400,
  });
}

/** A sign-in that was refused is kept; that a code is asked for is no refusal, and one who tries on when it is shut is kept once. */
async function noteRefused(services: Services, caller: Caller, login: string, error: unknown): Promise<void> {
  if (!(error instanceof AppError)) return;
  const asksForCode = error.code === 'secondFactor' && error.problems.length === 0;
  const event = { personId: null, login, about: { why: error.code } };
  if (error.code === 'tooMany') await note(services, caller, { ...event, kind: 'signInShut' }, 'once');
  else if (['wrongSignIn', 'secondFactor', 'forbidden'].includes(error.code) && !asksForCode)
    await note(services, caller, { ...event, kind: 'signInRefused' });
}

export const authRoutes = [
  serve(api.signIn, async ({ body, services, caller, context }) => {
    const login = body.login.trim();
    const result = await signIn(services, caller, login, body.password, body.device, body.code ?? null).catch(
      async (error: unknown) => {
        await noteRefused(services, caller, login, error);
        throw error;
      },
    );
    const kind = result.second === 'recovery' ? 'recoveryUsed' : 'signedIn';
    await note(services, caller, { kind, personId: result.person.id, login, about: {} });
    return withCookie(context, services, caller, result);
  }),
  serve(api.signOut, async ({ services, caller, context }) => {
    const who = await signOut(services, caller.cookie);
    if (who !== null)
      await note(services, caller, { kind: 'signedOut', personId: who, login: '', about: {} });
    deleteCookie(context, sessionCookie(services.config), { path: services.config.mount || '/' });
    return { done: true };
  }),
  serve(api.lookAround, async (input) => {
    const { services, caller, context } = input;
    if (!services.aside) throw new AppError('notFound', 'This is the demo company itself');
    const cookie = await services.aside.enter(personOf(input), caller);
    keepSession(context, { mount: DEMO_MOUNT }, caller, cookie);
    return { at: DEMO_MOUNT };
  }),
  serve(api.me, async (input) => ({ person: personOf(input) })),
  serve(api.renewTicket, async (input) => ({
    ticket: await renewTicket(input.services, personOf(input), input.body.device),
  })),
  serve(
    api.changePassword,
    async (input) => ({
      ticket: await changePassword(input.services, input.caller, personOf(input), input.body),
    }),
    noted('passwordChanged'),
  ),
  serve(api.sessions, async (input) => ({
    sessions: await sessionsOf(input.services, input.caller, personOf(input)),
  })),
  serve(
    api.endSession,
    async (input) => {
      await endOwnSession(input.services, personOf(input), input.params.id);
      return { done: true };
    },
    noted('sessionEnded'),
  ),
  serve(api.endTicket, async ({ services, context }) => {
    await endTicket(services, context.req.header('x-brine-ticket') ?? '');
    return { done: true };
  }),
];
