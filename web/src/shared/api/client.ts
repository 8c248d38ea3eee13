import { paths, type RouteName } from '@brine/contract/paths';
import type { DeepReadonly, Sent } from '@brine/contract/fields';
import type { Api, RouteContract } from '@brine/contract/routes';
import { mount } from '../mount/mount.ts';
import { noteContact } from './contact.ts';
import { takeEarly } from './early.ts';
import { keeperOf } from './keptAnswers.ts';
import { asRequest, asUnderWay } from './underWay.ts';

/** A phone that comes back from a dead spot may hold a connection over which nothing will ever come: what is asked for is given up then, and asked anew. */
const LONGEST_WAIT_MS = 60_000;

/** What may be sent twice without harm, or changes nothing. */
const mayBeGivenUp = (name: RouteName) => paths[name].method === 'get' || name === 'sendEntries';

/** An error the server told of, or a server that did not answer. */
export class ApiError extends Error {
  readonly code: string;
  readonly status: number;
  readonly problems: readonly { readonly field: string; readonly message: string }[];

  constructor(code: string, message: string, status: number, problems: ApiError['problems'] = []) {
    super(message);
    this.code = code;
    this.status = status;
    this.problems = problems;
  }

  /** True where the server is away: nothing came back, or something in front of it says so. A fault of the server (500) is an answer. */
  get isAway(): boolean {
    return this.status === 0 || [502, 503, 504].includes(this.status);
  }

  /** True where sending the same again later may work. */
  get isTransient(): boolean {
    return this.isAway || this.status >= 500;
  }
}

type Parts<Route> =
  Route extends RouteContract<infer Params, infer Query, infer Body, infer Answer>
    ? { readonly params: Params; readonly query: Query; readonly body: Body; readonly answer: Answer }
    : never;
type IsEmpty<T> = keyof T extends never ? true : false;

/** What a route is asked with: its parameters and its body where it has them; of its query what differs from the usual. */
export type Asked<Name extends RouteName> = (IsEmpty<Parts<Api[Name]>['params']> extends true
  ? { readonly params?: never }
  : { readonly params: DeepReadonly<Parts<Api[Name]>['params']> }) &
  (IsEmpty<Parts<Api[Name]>['query']> extends true
    ? { readonly query?: never }
    : { readonly query?: DeepReadonly<Partial<Parts<Api[Name]>['query']>> }) &
  (IsEmpty<Parts<Api[Name]>['body']> extends true
    ? { readonly body?: never }
    : { readonly body: Sent<Parts<Api[Name]>['body']> }) & {
    /** The writing ticket, for routes that take one. */
    readonly ticket?: string;
  };

/** What a route answers with. */
export type Answered<Name extends RouteName> = DeepReadonly<Parts<Api[Name]>['answer']>;

/** Asks a route of the contract. Throws an {@link ApiError} with a sentence a person can act on. */
export async function request<Name extends RouteName>(
  name: Name,
  ...[input]: Record<never, never> extends Asked<Name> ? [input?: Asked<Name>] : [input: Asked<Name>]
): Promise<Answered<Name>> {
  const { method } = paths[name];
  const asked = (input ?? {}) as {
    readonly params?: Readonly<Record<string, string>>;
    readonly query?: Readonly<Record<string, unknown>>;
    readonly body?: unknown;
    readonly ticket?: string;
  };
  // A change carries JSON even where there is nothing to say: a form of another site cannot.
  const body = asked.body ?? (method === 'post' ? {} : undefined);
  const address = addressOf(name, asked.params, asked.query);
  const kept = method === 'get' ? keeperOf(name) : null;
  try {
    const early = method === 'get' ? takeEarly(address) : undefined;
    const asking =
      early ??
      fetch(address, {
        method: method.toUpperCase(),
        credentials: 'same-origin',
        headers: {
          ...(body !== undefined && { 'content-type': 'application/json' }),
          ...(asked.ticket !== undefined && { 'x-brine-ticket': asked.ticket }),
        },
        ...(body !== undefined && { body: JSON.stringify(body) }),
        ...(mayBeGivenUp(name) && { signal: AbortSignal.timeout(LONGEST_WAIT_MS) }),
      });
    const sent = asking.catch(() => {
      noteContact(false);
      throw new ApiError('unreachable', 'The server does not answer', 0);
    });
    const response = await asRequest(method === 'get' ? sent : asUnderWay(sent));
    noteContact(![502, 503, 504].includes(response.status));
    const answer = await answerOf<Answered<Name>>(response);
    kept?.keep(address, answer);
    return answer;
  } catch (error) {
    // Without signal the last answer serves, as long as there is one.
    const last =
      kept && error instanceof ApiError && error.isAway ? await kept.find(name, address) : undefined;
    if (last === undefined) throw error;
    return last as Answered<Name>;
  }
}

/** The address of a route, for links and for what is no JSON. */
export function addressOf(
  name: RouteName,
  params: Readonly<Record<string, string>> = {},
  query: Readonly<Record<string, unknown>> = {},
): string {
  const path = paths[name].path.replace(/:(\w+)/g, (_, key: string) => encodeURIComponent(params[key] ?? ''));
  const asked = Object.entries(query).filter(([, value]) => value !== undefined && value !== null);
  const search = new URLSearchParams(asked.map(([key, value]) => [key, String(value)])).toString();
  return `${mount}/api${path}${search === '' ? '' : `?${search}`}`;
}

/** The JSON of an answer, or the error it tells of. */
export async function answerOf<Result>(response: Response): Promise<Result> {
  const json = (await response.json().catch(() => null)) as {
    error?: { code: string; message: string; problems: ApiError['problems'] };
  } | null;
  if (response.ok && json !== null) return json as Result;
  if (!json?.error)
    throw new ApiError(
      'unreachable',
      'The server does not answer as it should',
      response.ok ? 0 : response.status,
    );
  throw new ApiError(json.error.code, json.error.message, response.status, json.error.problems);
}

/** A sentence for whatever went wrong. */
export function messageOf(error: unknown): string {
  return error instanceof ApiError ? error.message : 'Something went wrong in this page; load it again';
}
