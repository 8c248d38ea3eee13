import type { Context } from 'hono';
import type { AnyObject, ObjectSchema } from 'yup';
import type { DeepReadonly } from '@brine/contract/fields';
import type { AuditKind, RouteContract } from '@brine/contract/routes';
import { checked } from '@brine/contract/validate';
import type { Author } from '../auth/auth.service.ts';
import type { Caller, Services, SignedIn } from './context.ts';
import { AppError } from './errors.ts';
import type { WrittenAnswer } from './written.ts';

const NO_LINK = 'x-brine-link: expected the token of a link';

/** What a handler is given: validated input and the person it works for (null on public and ticket routes). */
export interface RouteInput<Params, Query, Body> {
  readonly params: Params;
  readonly query: Query;
  readonly body: Body;
  readonly person: SignedIn | null;
  /** Who writes with a ticket; null on every other route. */
  readonly author: Author | null;
  /** The program on site that asks, by its token; null on every other route. */
  readonly link: string | null;
  readonly caller: Caller;
  readonly services: Services;
  readonly context: Context;
}

/** A route of the contract with what does it. */
export interface ServedRoute {
  readonly contract: RouteContract;
  handle(input: RouteInput<AnyObject, AnyObject, AnyObject>): Promise<unknown>;
  /** What of it a lead can look up afterwards. */
  readonly noted?: (input: RouteInput<AnyObject, AnyObject, AnyObject>, result: unknown) => Promise<Noted>;
}

/** What the audit keeps of an answer that was given: what was done, about what by name; by whom, where nobody was signed in before. */
export interface Noted {
  readonly kind: AuditKind;
  readonly about?: Readonly<Record<string, string>>;
  readonly person?: { readonly id: string; readonly login: string };
}

/** Serves a route of the contract: input and answer have its types. A `Response` is sent as it is (files), and so is what the database wrote. */
export function serve<
  Params extends AnyObject,
  Query extends AnyObject,
  Body extends AnyObject,
  Answer extends AnyObject,
>(
  contract: RouteContract<Params, Query, Body, Answer>,
  handle: (
    input: RouteInput<Params, Query, Body>,
  ) => Promise<DeepReadonly<Answer> | Response | WrittenAnswer>,
  noted?: (input: RouteInput<Params, Query, Body>, result: DeepReadonly<Answer>) => Promise<Noted>,
): ServedRoute {
  return { contract, handle, ...(noted && { noted }) } as unknown as ServedRoute;
}

/** What the audit keeps where the kind says all. */
export const noted = (kind: AuditKind) => (): Promise<Noted> => Promise.resolve({ kind });

/** The person of a route whose access has been checked. */
export function personOf(input: { readonly person: SignedIn | null }): SignedIn {
  if (!input.person) throw new AppError('notSignedIn', 'Sign in first');
  return input.person;
}

/** The link of a route whose token has been checked. */
export function linkOf(input: { readonly link: string | null }): string {
  if (input.link === null) throw new AppError('notSignedIn', NO_LINK);
  return input.link;
}

/** The author of a ticket that has been checked. */
export function authorOf(input: { readonly author: Author | null }): Author {
  if (!input.author) throw new AppError('notSignedIn', 'x-brine-ticket: expected a ticket');
  return input.author;
}

/** The body of a request as the text of JSON that it must be. */
export async function bodyText(context: Context): Promise<string> {
  const type = context.req.header('content-type') ?? '';
  if (!type.toLowerCase().startsWith('application/json'))
    throw new AppError('wrongType', 'Expected content-type application/json');
  return context.req.text();
}

/** Validates one part of a request once, at the edge; at most five problems are told. Unknown fields are dropped. */
export function validated(
  schema: ObjectSchema<AnyObject> | undefined,
  data: unknown,
  part: 'path' | 'query' | 'body',
  judgedInside = false,
): AnyObject {
  if (!schema) return {};
  const result = checked(schema, data, judgedInside);
  if ('value' in result) return result.value;
  const problems = result.problems.map(({ path, message }) => ({
    field: path ? `${part}.${path}` : part,
    message,
  }));
  throw badInput(problems);
}

function badInput(problems: readonly { readonly field: string; readonly message: string }[]): AppError {
  return new AppError('badInput', problems.map((p) => p.message).join('; '), { problems });
}
