/** Codes of the one application error, with the HTTP status of each. Documented in docs/errors.md; a test holds the two together. */
export const statusOf = {
  badInput: 400,
  notSignedIn: 401,
  wrongSignIn: 401,
  forbidden: 403,
  notFound: 404,
  conflict: 409,
  linkUsed: 410,
  tooLarge: 413,
  wrongType: 415,
  tooMany: 429,
  internal: 500,
  unavailable: 503,
} as const;

export type ErrorCode = keyof typeof statusOf;

/** One field that does not fit, with the sentence for it. */
export interface FieldProblem {
  readonly field: string;
  readonly message: string;
}

/** The one error the application throws on purpose. `message` is safe to show; the cause is only logged. */
export class AppError extends Error {
  readonly code: ErrorCode;
  readonly problems: readonly FieldProblem[];

  constructor(
    code: ErrorCode,
    message: string,
    options: { cause?: unknown; problems?: readonly FieldProblem[] } = {},
  ) {
    super(message, { cause: options.cause });
    this.code = code;
    this.problems = options.problems ?? [];
  }
}

/** An unknown throw as an application error: its text is never shown. */
export function asAppError(error: unknown): AppError {
  if (error instanceof AppError) return error;
  if (isConnectionFailure(error))
    return new AppError('unavailable', 'The database does not answer; try again in a moment', {
      cause: error,
    });
  return new AppError('internal', 'Something went wrong on the server', { cause: error });
}

/** The shape every error has on the wire. */
export function errorBody(error: AppError, requestId: string) {
  return { error: { code: error.code, message: error.message, requestId, problems: error.problems } };
}

function isConnectionFailure(error: unknown): boolean {
  const code = (error as { code?: unknown } | null)?.code;
  return (
    typeof code === 'string' &&
    ['ECONNREFUSED', 'ECONNRESET', '57P01', '57P03', '08006', '08001'].includes(code)
  );
}
