import type { RouteContract } from '@brine/contract/routes';
import type { Caller, Services, SignedIn } from '../http/context.ts';
import { AppError } from '../http/errors.ts';
import { hashOf } from './token.ts';
import { authorOfTicket, personOfSession, type Author } from './auth.service.ts';

/** Who was let in: a person by a session, an author by a ticket, or neither on a public route. */
export interface Admitted {
  readonly caller: Caller;
  readonly person: SignedIn | null;
  readonly author: Author | null;
  /** The program on site whose token was shown. */
  readonly link: string | null;
}

const rank = { viewer: 0, technician: 1, lead: 2 } as const;

/** The one place where access is checked: every route states who may call it. Nothing of the body is read before. */
export async function admitted(
  { access, beforeSecond }: Pick<RouteContract, 'access' | 'beforeSecond'>,
  services: Services,
  caller: Caller,
  ticket: string | null,
  linkToken: string | null,
): Promise<Admitted> {
  if (access === 'public') return { caller, person: null, author: null, link: null };
  if (access === 'ticket') {
    if (ticket === null) throw new AppError('notSignedIn', 'x-brine-ticket: expected a ticket');
    const author = await services.database.transaction((repositories) =>
      authorOfTicket(repositories, ticket, caller, services.now()),
    );
    return { caller, person: null, author, link: null };
  }
  if (access === 'link') {
    const link =
      linkToken === null
        ? null
        : await services.database.transaction(({ busLinks }) => busLinks.byHash(hashOf(linkToken)));
    if (!link)
      throw new AppError('notSignedIn', 'x-brine-link: expected the token of a link that was not ended');
    return { caller, person: null, author: null, link: link.id };
  }
  const person = await personOfSession(services, caller);
  if (!person) throw new AppError('notSignedIn', 'Sign in first');
  if (person.needsSecond && !beforeSecond)
    throw new AppError(
      'needsSecond',
      'Your company asks for a second factor beside the password; set it up in Your account first',
    );
  if (rank[person.role] < rank[access])
    throw new AppError('forbidden', `This needs a ${access}; you are signed in as ${person.role}`);
  return { caller, person, author: null, link: null };
}
