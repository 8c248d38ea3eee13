import type { SessionLine } from '@brine/contract/routes';
import type { Caller, Services, SignedIn } from '../http/context.ts';
import { AppError, toldAtField } from '../http/errors.ts';
import { openTicket, withTry } from './auth.service.ts';
import { hashPassword } from './password.ts';
import { refuseWeak } from './passwordRules.ts';
import { giveBack } from './rateLimit.ts';
import { hashOf } from './token.ts';

/** A new password, by its owner, who says the old one. Every other browser and device is signed out. */
export async function changePassword(
  services: Services,
  caller: Caller,
  signedInAs: SignedIn,
  change: { readonly current: string; readonly next: string; readonly device: string },
): Promise<string | null> {
  refuseWeak(change.next, [signedInAs.login, signedInAs.name], 'body.next');
  const { id } = await withTry(services, signedInAs.login, caller, change.current).catch(
    toldAtField('wrongSignIn', 'body.current', 'Present password: this is not it'),
  );
  const passwordHash = await hashPassword(change.next);
  return services.database.transaction(async (repositories) => {
    await giveBack(repositories, signedInAs.login, caller.address);
    const person = await repositories.people.byId(id);
    if (!person) throw new AppError('notFound', 'No such person');
    if (person.demo) throw new AppError('forbidden', 'Demo accounts keep their password');
    person.passwordHash = passwordHash;
    await repositories.people.save();
    await repositories.sessions.endOthersOf(id, hashOf(caller.cookie ?? ''));
    await repositories.tickets.endAllOf(id);
    return openTicket(repositories, person, change.device, services.now());
  });
}

/** Where a person is signed in, last used first. */
export function sessionsOf(
  services: Services,
  caller: Caller,
  person: SignedIn,
): Promise<readonly SessionLine[]> {
  const own = caller.cookie === null ? '' : hashOf(caller.cookie);
  return services.database.transaction(async (repositories) =>
    (await repositories.sessions.of(person.id, services.now())).map((session) => ({
      id: session.id,
      browser: session.browser,
      createdAt: session.createdAt.toISOString(),
      lastUsedAt: session.lastUsedAt.toISOString(),
      current: session.hash === own,
    })),
  );
}

/** Ends one of a person's own sessions. */
export function endOwnSession(services: Services, person: SignedIn, id: string): Promise<void> {
  return services.database.transaction(async (repositories) => {
    if ((await repositories.sessions.endOneOf(person.id, id)) === 0)
      throw new AppError('notFound', 'This session has ended already');
  });
}
