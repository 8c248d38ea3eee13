import type { AnswerOf, api } from '@brine/contract/routes';
import { theCompany } from '../company/company.service.ts';
import type { Repositories } from '../database/database.ts';
import type { Caller, Services, SignedIn } from '../http/context.ts';
import { AppError, fieldProblem, toldAtField } from '../http/errors.ts';
import type { Person } from '../people/person.entity.ts';
import { openTicket, withSecond, withTry } from '../auth/auth.service.ts';
import { giveBack } from '../auth/rateLimit.ts';
import { hashOf } from '../auth/token.ts';
import { WRONG_CODE } from './judgeSecond.ts';
import { newRecoveryCode, RECOVERY_CODES, recoveryCodeTyped } from './recoveryCode.ts';
import { requiresSecond } from './requiresSecond.ts';
import { addressOf, newSecret, stepOf } from './totp.ts';

/** Whether one has a second factor, and how it stands with it. */
export function readSecond(services: Services, person: SignedIn): Promise<AnswerOf<typeof api.second>> {
  return services.database.transaction(async (repositories) => {
    const row = await mustFind(repositories, person);
    return {
      since: row.secondSince?.toISOString() ?? null,
      recoveryLeft: await repositories.recoveryCodes.left(person.id),
      required: requiresSecond(await theCompany(repositories), row),
    };
  });
}

/** A new secret for the app, which counts once a code of it was typed. The password is asked for: a browser left open does not set one up for somebody else. */
export async function beginSecond(
  services: Services,
  caller: Caller,
  person: SignedIn,
  password: string,
): Promise<AnswerOf<typeof api.beginSecond>> {
  refuseDemo(person);
  await samePassword(services, caller, person, password);
  return services.database.transaction(async (repositories) => {
    const row = await mustFind(repositories, person);
    if (row.secondSince) throw new AppError('conflict', 'You have a second factor already; end it first');
    row.secondSecret = newSecret();
    row.secondStep = 0;
    await repositories.people.save();
    const { name } = await theCompany(repositories);
    return { secret: row.secondSecret, address: addressOf(row.secondSecret, row.login, name) };
  });
}

/** The first code of the app: from now on signing in asks for one. Every other browser and device is signed out. Answers with the recovery codes, once. */
export function confirmSecond(
  services: Services,
  caller: Caller,
  person: SignedIn,
  { code, device }: { readonly code: string; readonly device: string },
): Promise<AnswerOf<typeof api.confirmSecond>> {
  return services.database.transaction(async (repositories) => {
    await repositories.people.lock(person.id);
    const row = await mustFind(repositories, person);
    if (!row.secondSecret || row.secondSince)
      throw new AppError('conflict', 'There is no second factor to confirm; begin again');
    const step = stepOf(row.secondSecret, code, services.now(), row.secondStep);
    if (step === null) throw fieldProblem('body.code', WRONG_CODE);
    row.secondStep = step;
    row.secondSince = services.now();
    await repositories.people.save();
    await repositories.sessions.endOthersOf(person.id, hashOf(caller.cookie ?? ''));
    await repositories.tickets.endAllOf(person.id);
    return {
      recoveryCodes: await newCodes(repositories, person.id),
      ticket: await openTicket(repositories, row, device, services.now()),
    };
  });
}

/** Another set of recovery codes; those of before end. */
export function renewRecoveryCodes(
  services: Services,
  caller: Caller,
  person: SignedIn,
  code: string,
): Promise<AnswerOf<typeof api.renewRecoveryCodes>> {
  return withCode(services, caller, person, code, async (repositories) => ({
    recoveryCodes: await newCodes(repositories, person.id),
  }));
}

/** Ends one's second factor; refused where the company asks for it. */
export function endSecond(services: Services, caller: Caller, person: SignedIn, code: string): Promise<void> {
  return withCode(services, caller, person, code, async (repositories, row) => {
    if (requiresSecond(await theCompany(repositories), row))
      throw new AppError(
        'forbidden',
        'Your company asks for a second factor; a lead can reset it for a new phone',
      );
    await takeAway(repositories, row);
  });
}

/** A lead takes somebody's second factor away: the phone is gone, and the recovery codes with it. They are signed out everywhere. */
export function resetSecond(services: Services, personId: string): Promise<void> {
  return services.database.transaction(async (repositories) => {
    const row = await repositories.people.byId(personId);
    if (!row) throw new AppError('notFound', 'No such person');
    await takeAway(repositories, row);
    await repositories.sessions.endAllOf(personId);
    await repositories.tickets.endAllOf(personId);
  });
}

/** Does something of one's own account that a code is asked for, counted as a try of signing in. */
async function withCode<Result>(
  services: Services,
  caller: Caller,
  person: SignedIn,
  code: string,
  work: (repositories: Repositories, row: Person) => Promise<Result>,
): Promise<Result> {
  const row = await services.database.transaction((repositories) => mustFind(repositories, person));
  if (!row.secondSince) throw new AppError('conflict', 'You have no second factor');
  await withSecond(services, caller, row, code).catch(toldAtField('secondFactor', 'body.code', WRONG_CODE));
  return services.database.transaction(async (repositories) =>
    work(repositories, await mustFind(repositories, person)),
  );
}

async function samePassword(
  services: Services,
  caller: Caller,
  person: SignedIn,
  password: string,
): Promise<void> {
  await withTry(services, person.login, caller, password).catch(
    toldAtField('wrongSignIn', 'body.password', 'Password: this is not it'),
  );
  await services.database.transaction((repositories) => giveBack(repositories, person.login, caller.address));
}

async function newCodes(repositories: Repositories, personId: string): Promise<readonly string[]> {
  const codes = Array.from({ length: RECOVERY_CODES }, newRecoveryCode);
  await repositories.recoveryCodes.replace(
    personId,
    codes.map((code) => hashOf(recoveryCodeTyped(code)!)),
  );
  return codes;
}

async function takeAway(repositories: Repositories, row: Person): Promise<void> {
  row.secondSecret = null;
  row.secondSince = null;
  row.secondStep = 0;
  await repositories.people.save();
  await repositories.recoveryCodes.endAllOf(row.id);
}

function refuseDemo(person: SignedIn): void {
  if (person.demo) throw new AppError('forbidden', 'Demo accounts have no second factor');
}

async function mustFind(repositories: Repositories, person: SignedIn): Promise<Person> {
  const row = await repositories.people.byId(person.id);
  if (!row) throw new AppError('notFound', 'No such person');
  return row;
}
