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

  /** True where sending again later may work: the server is away or busy. */
  get isTransient(): boolean {
    return this.status === 0 || this.status >= 500;
  }
}

export interface CallOptions {
  readonly body?: unknown;
  readonly ticket?: string;
}

/** Calls the API and returns its JSON. Throws an {@link ApiError} with a sentence a person can act on. */
export async function call<Result>(
  method: 'GET' | 'POST' | 'PATCH' | 'DELETE',
  path: string,
  options: CallOptions = {},
): Promise<Result> {
  let response: Response;
  try {
    response = await fetch(`/api${path}`, {
      method,
      credentials: 'same-origin',
      headers: {
        ...(options.body !== undefined && { 'content-type': 'application/json' }),
        ...(options.ticket !== undefined && { 'x-brine-ticket': options.ticket }),
      },
      ...(options.body !== undefined && { body: JSON.stringify(options.body) }),
    });
  } catch {
    throw new ApiError('unreachable', 'The server does not answer', 0);
  }
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
