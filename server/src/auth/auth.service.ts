import { randomUUID } from 'node:crypto';
import type { Caller, Services, SignedIn } from '../http/context.ts';
import { AppError } from '../http/errors.ts';
import type { Person } from '../people/person.entity.ts';
import type { Repositories } from '../database/database.ts';
import type { SecondFactorOf } from '@brine/contract/company';
import { judgeSecond, WRONG_CODE, type SecondTyped } from '../secondFactor/judgeSecond.ts';
import { requiresSecond } from '../secondFactor/requiresSecond.ts';
import { matchesPassword } from './password.ts';
import { giveBack, giveBackHere, reserveTry } from './rateLimit.ts';
import { hashOf, newToken } from './token.ts';

const DAY_MS = 86_400_000;
/** A session ends this long after its last use; a ticket this long after it was given out. */
const SESSION_DAYS = 14;
const TICKET_DAYS = 30;
/** A session's last use is written at most this often. */
const TOUCH_MS = 5 * 60_000;

/** Of a company that nobody has made yet. */
const asksNobody = { secondFactor: 'nobody' } as const;
/** When a session ends that is used now. */
const endOf = (now: Date): Date => new Date(now.getTime() + SESSION_DAYS * DAY_MS);

/** A fresh session: the cookie's secret, the ticket for the device (none for viewers), and the person. */
export interface SignInResult {
  readonly cookie: string;
  readonly ticket: string | null;
  readonly person: SignedIn;
  /** What was typed beside the password, where it was asked for. */
  readonly second?: SecondTyped;
}

/** Checks login and password, and opens a session and a writing ticket for the device. */
export async function signIn(
  services: Services,
  caller: Caller,
  login: string,
  password: string,
  device: string,
  code: string | null,
): Promise<SignInResult> {
  const { database, now } = services;
  const person = await withTry(services, login, caller, password);
  if (person.demo && !caller.onThisMachine)
    throw new AppError(
      'forbidden',
      'Demo sign-ins work only on the machine itself, at 127.0.0.1 or localhost',
    );
  const second = await secondOf(services, caller, person, code);
  return database.transaction(async (repositories) => {
    await giveBack(repositories, login, caller.address);
    await repositories.attempts.forgetExpired(now());
    await repositories.sessions.endExpired(now());
    await repositories.tickets.endExpired(now());
    // Whoever sat at this browser before has left it.
    if (caller.cookie) await repositories.sessions.end(hashOf(caller.cookie));
    return { ...(await openSession(repositories, person, device, caller, now())), second };
  });
}

/**
 * The second factor of somebody whose password was right. Without a code one is asked for: the try was no guess and is given back to the address, but stays with
 * the login there, so that guesses of codes are as few as guesses of passwords.
 *
 * @throws AppError secondFactor where it is asked for, or is wrong
 */
async function secondOf(
  services: Services,
  caller: Caller,
  person: Person,
  code: string | null,
): Promise<SecondTyped> {
  if (!person.secondSince) return 'none';
  const typed = await services.database.transaction((repositories) =>
    judgeSecond(repositories, person, code, services.now()),
  );
  if (typed === 'wrong')
    throw new AppError('secondFactor', WRONG_CODE, {
      problems: [{ field: 'body.code', message: WRONG_CODE }],
    });
  if (typed !== 'none') return typed;
  await services.database.transaction((repositories) =>
    giveBackHere(repositories, person.login, caller.address),
  );
  throw new AppError('secondFactor', 'Type the six digits that your app shows, or a recovery code');
}

/** The person of a login and password. A try is taken before the password is looked at, and kept unless it was right. */
export async function withTry(
  { database, now }: Services,
  login: string,
  caller: Caller,
  password: string,
): Promise<Person> {
  const person = await database.transaction(async (repositories) => {
    await reserveTry(repositories, login, caller.address, now());
    return repositories.people.byLogin(login);
  });
  const matches = await matchesPassword(password, person?.passwordHash ?? null);
  if (!person || !matches || person.disabledAt !== null)
    throw new AppError(
      'wrongSignIn',
      'Login and password do not belong together, or the account is disabled',
    );
  return person;
}

/** Asks somebody who has one for the second factor, where no password was looked at before: a try is taken for it. */
export async function withSecond(
  services: Services,
  caller: Caller,
  person: Person,
  code: string | null,
): Promise<void> {
  const { database, now } = services;
  await database.transaction((repositories) => reserveTry(repositories, person.login, caller.address, now()));
  await secondOf(services, caller, person, code);
  await database.transaction((repositories) => giveBack(repositories, person.login, caller.address));
}

/** Opens a session and, for those who may write, a ticket. */
export async function openSession(
  repositories: Repositories,
  person: Person,
  device: string,
  caller: Caller,
  now: Date,
): Promise<SignInResult> {
  const cookie = newToken();
  await repositories.sessions.create({
    hash: hashOf(cookie),
    id: randomUUID(),
    browser: caller.browser,
    personId: person.id,
    createdAt: now,
    lastUsedAt: now,
    expiresAt: endOf(now),
  });
  const view = signedIn(person, (await repositories.company.find()) ?? asksNobody);
  // Nothing is written before a second factor that is asked for is there.
  const ticket = view.needsSecond ? null : await openTicket(repositories, person, device, now);
  return { cookie, ticket, person: view };
}

/** Ends the session of a cookie, and says whose it was. Tickets stay: entries still waiting on the device arrive under their author. */
export function signOut(services: Services, cookie: string | null): Promise<string | null> {
  return services.database.transaction(async (repositories) =>
    cookie === null ? null : repositories.sessions.end(hashOf(cookie)),
  );
}

/** The person of a session cookie, or null. A disabled person has no session. */
export async function personOfSession(services: Services, caller: Caller): Promise<SignedIn | null> {
  const { cookie } = caller;
  if (cookie === null) return null;
  const { database, now } = services;
  const hash = hashOf(cookie);
  const session = await database.reads.sessions.open(hash, now());
  if (!session || (session.demo && !caller.mayBeDemo)) return null;
  if (now().getTime() - session.lastUsedAt.getTime() > TOUCH_MS)
    await database.transaction(({ sessions }) => sessions.used(hash, now(), endOf(now())));
  return signedIn(session, session);
}

/** A new ticket for a signed-in person's device; refused to viewers, who write nothing. */
export function renewTicket(services: Services, person: SignedIn, device: string): Promise<string | null> {
  return services.database.transaction(async (repositories) => {
    const row = await repositories.people.byId(person.id);
    return row ? openTicket(repositories, row, device, services.now()) : null;
  });
}

/** Who writes with a ticket, and from which device. */
export interface Author {
  readonly person: Person;
  readonly device: string;
}

/** The person and device of a ticket, with the role the person has today. */
export async function authorOfTicket(
  repositories: Repositories,
  ticket: string,
  caller: Caller,
  now: Date,
): Promise<Author> {
  const row = await repositories.tickets.byHash(hashOf(ticket));
  const person = row && row.expiresAt > now ? await repositories.people.byId(row.personId) : null;
  if (!row || !person || person.disabledAt !== null)
    throw new AppError('notSignedIn', 'This device may no longer write for its author; sign in again there');
  if (person.demo && !caller.mayBeDemo)
    throw new AppError('forbidden', 'Demo sign-ins work only on the machine itself');
  if (person.role === 'viewer') throw new AppError('forbidden', 'Viewers read; ask a lead for another role');
  return { person, device: row.device };
}

/** Ends a ticket that is needed no longer. */
export function endTicket(services: Services, ticket: string): Promise<unknown> {
  return services.database.transaction((repositories) => repositories.tickets.end(hashOf(ticket)));
}

/** A ticket for a device; none for viewers, who write nothing. */
export async function openTicket(
  repositories: Repositories,
  person: Person,
  device: string,
  now: Date,
): Promise<string | null> {
  if (person.role === 'viewer') return null;
  const ticket = newToken();
  await repositories.tickets.create({
    hash: hashOf(ticket),
    personId: person.id,
    device,
    createdAt: now,
    expiresAt: new Date(now.getTime() + TICKET_DAYS * DAY_MS),
  });
  return ticket;
}

/** What others may know of a person. */
export function signedIn(
  person: Omit<SignedIn, 'needsSecond'> & { readonly secondSince?: Date | null | undefined },
  company: { readonly secondFactor: SecondFactorOf },
): SignedIn {
  const { id, name, login, role, demo, secondSince } = person;
  return { id, name, login, role, demo, needsSecond: !secondSince && requiresSecond(company, person) };
}
