import type { AnyObject, ObjectSchema } from 'yup';
import type { DeepReadonly } from '../fields/index.ts';

/** Who may call a route: anybody, a signed-in person of at least a role, a device with a writing ticket, or a program on site with a link's token. */
export type Access = 'public' | 'viewer' | 'technician' | 'lead' | 'ticket' | 'link';

/** One route as data: what may be asked, by whom, and what is answered. */
export interface RouteContract<
  Params extends AnyObject = AnyObject,
  Query extends AnyObject = AnyObject,
  Body extends AnyObject = AnyObject,
  Answer extends AnyObject = AnyObject,
> {
  readonly method: 'get' | 'post' | 'patch' | 'delete';
  /** Path below `/api`, parameters as `:name`. */
  readonly path: string;
  readonly summary: string;
  readonly access: Access;
  readonly params?: ObjectSchema<Params>;
  readonly query?: ObjectSchema<Query>;
  readonly body?: ObjectSchema<Body>;
  /** The JSON it answers with; absent where it answers with a file. */
  readonly answer?: ObjectSchema<Answer>;
  /** The media types of the file it answers with. */
  readonly file?: readonly string[];
  /** The media type of a body that is no JSON. */
  readonly upload?: string;
  /** What the body's fields hold is judged by the service, item by item: each is refused by itself. */
  readonly judgedInside?: true;
  /** The body is read and judged by the service, in a thread: it may be large. */
  readonly readInside?: true;
  /** Answered also while a second factor is still to be set up. */
  readonly beforeSecond?: true;
  readonly status?: 200 | 201 | 202;
  /** Largest body in bytes; {@link BODY_LIMIT} where absent. */
  readonly limit?: number;
}

/** Largest body in bytes where a route names no limit of its own. */
export const BODY_LIMIT = 64 * 1024;

/** States a route with the types of its schemas kept. */
export const contract = <
  // An empty object where a route has no such part.
  Params extends AnyObject = Record<never, never>,
  Query extends AnyObject = Record<never, never>,
  Body extends AnyObject = Record<never, never>,
  Answer extends AnyObject = Record<never, never>,
>(
  route: RouteContract<Params, Query, Body, Answer>,
): RouteContract<Params, Query, Body, Answer> => route;

/** What a route answers with, as a type. */
// eslint-disable-next-line @typescript-eslint/no-explicit-any -- any route
export type AnswerOf<Route extends RouteContract<any, any, any, any>> =
  NonNullable<Route['answer']> extends ObjectSchema<infer Answer> ? DeepReadonly<Answer> : never;
