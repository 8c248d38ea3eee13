import type { Context } from 'hono';
import { ValidationError, type AnyObject, type ObjectSchema } from 'yup';
import type { Caller, Services, SignedIn } from './context.ts';
import { AppError } from './errors.ts';

/** Who may call a route: anybody, a signed-in person of at least a role, or a device with a writing ticket. */
export type Access = 'public' | 'viewer' | 'technician' | 'lead' | 'ticket';

/** What a handler is given: validated input and the person it works for (null on public and ticket routes). */
export interface RouteInput<Params, Query, Body> {
  readonly params: Params;
  readonly query: Query;
  readonly body: Body;
  readonly person: SignedIn | null;
  readonly caller: Caller;
  readonly services: Services;
  readonly context: Context;
}

/** One route as data: the OpenAPI document, the access check and the handler come from the same place. */
export interface RouteDefinition<
  Params extends AnyObject = AnyObject,
  Query extends AnyObject = AnyObject,
  Body extends AnyObject = AnyObject,
> {
  readonly method: 'get' | 'post' | 'patch' | 'delete';
  /** Path in Hono's spelling, below `/api`. */
  readonly path: string;
  readonly summary: string;
  readonly access: Access;
  readonly params?: ObjectSchema<Params>;
  readonly query?: ObjectSchema<Query>;
  readonly body?: ObjectSchema<Body>;
  readonly status?: 200 | 201 | 202;
  /** Largest body in bytes; 64 KiB where absent. */
  readonly limit?: number;
  handle(input: RouteInput<Params, Query, Body>): Promise<unknown>;
}

/** Declares a route with its types inferred from its schemas. */
export function route<Params extends AnyObject, Query extends AnyObject, Body extends AnyObject>(
  definition: RouteDefinition<Params, Query, Body>,
): RouteDefinition {
  return definition as unknown as RouteDefinition;
}

/** The person of a route whose access has been checked. */
export function personOf(input: { readonly person: SignedIn | null }): SignedIn {
  if (!input.person) throw new AppError('notSignedIn', 'Sign in first');
  return input.person;
}

/** Validates one part of a request once, at the edge; every field that does not fit is named. Unknown fields are dropped. */
export async function validated<Shape extends AnyObject>(
  schema: ObjectSchema<Shape> | undefined,
  data: unknown,
  part: string,
): Promise<Shape> {
  if (!schema) return {} as Shape;
  try {
    return (await schema.validate(data ?? {}, { abortEarly: false, stripUnknown: true })) as Shape;
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error;
    const each = error.inner.length > 0 ? error.inner : [error];
    const problems = each.map((e) => ({ field: e.path ? `${part}.${e.path}` : part, message: e.message }));
    throw new AppError('badInput', problems.map((p) => p.message).join('; '), { problems, cause: error });
  }
}
