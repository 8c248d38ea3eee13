import type { OneTimeLink } from '@brine/contract/routes';
import type { PersonLine } from '@brine/contract/routes';
import type { api, AnswerOf } from '@brine/contract/routes';
import { randomUUID } from 'node:crypto';
import { openSession, withSecond, type SignInResult } from '../auth/auth.service.ts';
import { hashPassword } from '../auth/password.ts';
import { refuseWeak } from '../auth/passwordRules.ts';
import { hashOf, newToken } from '../auth/token.ts';
import type { Repositories } from '../database/database.ts';
import type { Caller, Means, Services } from '../http/context.ts';
import { AppError } from '../http/errors.ts';
import type { Invitation } from './invitation.entity.ts';
import type { Person } from './person.entity.ts';
import type { Role } from '@brine/contract/routes';

/** Nobody begins with a second factor. */
export const noSecond = { secondSecret: null, secondSince: null, secondStep: 0 } as const;
const DAY_MS = 86_400_000;
const LINK_DAYS = 7;

export function listPeople(services: Services): Promise<readonly PersonLine[]> {
  return services.database.transaction(async (repositories) => (await repositories.people.all()).map(lineOf));
}

/** Invites somebody: the account exists at once, and opens with the link. */
export function invite(services: Services, login: string, name: string, role: Role): Promise<OneTimeLink> {
  return services.database.transaction(async (repositories) => {
    if (await repositories.people.byLogin(login))
      throw new AppError('conflict', `${login}: somebody has this login already`);
    const person = await repositories.people.create({
      id: randomUUID(),
      login,
      name,
      role,
      passwordHash: null,
      disabledAt: null,
      demo: false,
      ...noSecond,
      createdAt: services.now(),
    });
    return makeLink(repositories, services.now(), { kind: 'invite', role, name, login, personId: person.id });
  });
}

/** A new link for somebody who lost the password (or the first link). The old password and sessions end. */
export function resetPassword(services: Services, personId: string): Promise<OneTimeLink> {
  return services.database.transaction(async (repositories) => {
    const person = await mustFind(repositories, personId);
    if (person.passwordHash !== null) await keepALead(repositories, person, 'reset');
    person.passwordHash = null;
    await repositories.people.save();
    await endEverything(repositories, person.id);
    return makeLink(repositories, services.now(), {
      kind: 'reset',
      role: person.role,
      name: person.name,
      login: person.login,
      personId,
    });
  });
}

/** Changes role or name, disables or enables. One lead always stays. */
export function changePerson(
  services: Services,
  personId: string,
  change: {
    readonly role?: Role | undefined;
    readonly name?: string | undefined;
    readonly disabled?: boolean | undefined;
    readonly version: number;
  },
): Promise<PersonLine> {
  return services.database.transaction(async (repositories) => {
    const person = await mustFind(repositories, personId);
    if (person.version !== change.version)
      throw new AppError('conflict', `${person.name} was changed by somebody else meanwhile; look again`);
    const losesLead = (change.role !== undefined && change.role !== 'lead') || change.disabled === true;
    if (losesLead) await keepALead(repositories, person, 'change');
    if (change.role !== undefined) person.role = change.role;
    if (change.name !== undefined) person.name = change.name;
    if (change.disabled !== undefined)
      person.disabledAt = change.disabled ? (person.disabledAt ?? services.now()) : null;
    await repositories.people.save();
    if (change.disabled === true) await endEverything(repositories, person.id);
    return lineOf(person);
  });
}

/** Ends every session and ticket of a person. */
export function endSessions(services: Services, personId: string): Promise<void> {
  return services.database.transaction(async (repositories) =>
    endEverything(repositories, (await mustFind(repositories, personId)).id),
  );
}

/** What a link is for; refused once used or expired. */
export function lookAtLink(services: Services, token: string): Promise<AnswerOf<typeof api.link>['link']> {
  return services.database.transaction(async (repositories) => {
    const { kind, name, login, role } = await usableLink(repositories, token, services.now());
    return { kind, name, login: login ?? null, role };
  });
}

/** Takes a link: sets the password (and, for the first lead, login and name) and signs in. */
export async function takeLink(
  services: Services,
  token: string,
  taken: {
    readonly login: string | null;
    readonly name: string | null;
    readonly password: string;
    readonly code?: string | undefined;
    readonly device: string;
  },
  caller: Caller,
): Promise<SignInResult> {
  const known = await services.database.transaction(async (repositories) => {
    const link = await usableLink(repositories, token, services.now());
    const person = link.personId ? await repositories.people.byId(link.personId) : null;
    return {
      person: person?.secondSince ? person : null,
      words: [link.login, link.name, taken.login, taken.name].flatMap((text) => text ?? []),
    };
  });
  refuseWeak(taken.password, known.words);
  // Another password is no way around the second factor.
  if (known.person) await withSecond(services, caller, known.person, taken.code ?? null);
  const passwordHash = await hashPassword(taken.password);
  return services.database.transaction(async (repositories) => {
    const now = services.now();
    const link = await usableLink(repositories, token, now);
    const person =
      link.kind === 'firstLead'
        ? await firstLead(repositories, taken, now)
        : await mustFind(repositories, link.personId!);
    if (person.disabledAt !== null) throw new AppError('forbidden', 'This account is disabled');
    person.passwordHash = passwordHash;
    link.usedAt = now;
    await repositories.people.save();
    return openSession(repositories, person, taken.device, caller, now);
  });
}

/** The link for the first lead, or null where one signs in already. Each start makes a new one and voids the last. */
export function firstLeadLink(services: Means): Promise<OneTimeLink | null> {
  return services.database.transaction(async (repositories) => {
    if ((await repositories.people.countActiveLeads()) > 0) return null;
    await repositories.invitations.dropUnused('firstLead', null);
    return makeLink(repositories, services.now(), {
      kind: 'firstLead',
      role: 'lead',
      name: '',
      login: null,
      personId: null,
    });
  });
}

/** True when somebody else would be needed to lead. */
export function isLast(leads: number, person: Pick<Person, 'role' | 'disabledAt' | 'passwordHash'>): boolean {
  return leads <= 1 && person.role === 'lead' && person.disabledAt === null && person.passwordHash !== null;
}

async function keepALead(
  repositories: Repositories,
  person: Person,
  what: 'change' | 'reset',
): Promise<void> {
  // Held to the end of the transaction: two leads who demote each other at once come one after the other.
  await repositories.people.lockLeads();
  if (!isLast(await repositories.people.countActiveLeads(), person)) return;
  throw new AppError(
    'conflict',
    `${person.name} is the only lead; ${what === 'reset' ? 'another lead must do this' : 'make somebody else a lead first'}`,
  );
}

async function firstLead(
  repositories: Repositories,
  taken: { readonly login: string | null; readonly name: string | null },
  now: Date,
): Promise<Person> {
  const [login, name] = [taken.login?.trim() ?? '', taken.name?.trim() ?? ''];
  if (login === '' || name === '')
    throw new AppError('badInput', 'Login and name: expected both for the first lead');
  if (await repositories.people.byLogin(login))
    throw new AppError('conflict', `${login}: somebody has this login already`);
  return repositories.people.create({
    id: randomUUID(),
    login,
    name,
    role: 'lead',
    passwordHash: null,
    disabledAt: null,
    demo: false,
    ...noSecond,
    createdAt: now,
  });
}

async function usableLink(repositories: Repositories, token: string, now: Date): Promise<Invitation> {
  const link = await repositories.invitations.byHash(hashOf(token));
  if (!link) throw new AppError('notFound', 'This link is unknown; a newer one may have replaced it');
  if (link.usedAt !== null || link.expiresAt <= now)
    throw new AppError('linkUsed', 'This link was used or is too old; ask a lead for a new one');
  return link;
}

async function makeLink(
  repositories: Repositories,
  now: Date,
  invitation: Pick<Invitation, 'kind' | 'role' | 'name' | 'login' | 'personId'>,
): Promise<OneTimeLink> {
  const token = newToken();
  const expiresAt = new Date(now.getTime() + LINK_DAYS * DAY_MS);
  await repositories.invitations.create({
    ...invitation,
    hash: hashOf(token),
    createdAt: now,
    expiresAt,
    usedAt: null,
  });
  return { token, expiresAt: expiresAt.toISOString() };
}

async function endEverything(repositories: Repositories, personId: string): Promise<void> {
  await repositories.sessions.endAllOf(personId);
  await repositories.tickets.endAllOf(personId);
}

async function mustFind(repositories: Repositories, id: string): Promise<Person> {
  const person = await repositories.people.byId(id);
  if (!person) throw new AppError('notFound', 'No such person');
  return person;
}

function lineOf(person: Person): PersonLine {
  return {
    id: person.id,
    login: person.login,
    name: person.name,
    role: person.role,
    disabled: person.disabledAt !== null,
    invited: person.passwordHash === null,
    demo: person.demo,
    second: Boolean(person.secondSince),
    version: person.version,
  };
}

/** Names by id, for those who read what others wrote. */
export async function namesOf(
  repositories: Repositories,
  ids: readonly string[],
): Promise<Readonly<Record<string, string>>> {
  const people = await repositories.people.byIds([...new Set(ids)]);
  return Object.fromEntries(people.map((person) => [person.id, person.name]));
}
