/** Codes of the one application error, with the HTTP status of each. Documented in docs/errors.md; a test holds the two together. */
export const statusOf = {
  badInput: 400,
  notSignedIn: 401,
  wrongSignIn: 401,
  secondFactor: 401,
  forbidden: 403,
  needsSecond: 403,
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

/** What does not fit in one field of a request, with the sentence for it. */
export const fieldProblem = (field: string, message: string): AppError =>
  new AppError('badInput', message, { problems: [{ field, message }] });

/** Turns an error of one code into a problem of a field, for `catch`: what is typed once more on a page of one's own is no sign-in. Others stay what they are. */
export const toldAtField =
  (code: ErrorCode, field: string, message: string) =>
  (error: unknown): never => {
    throw error instanceof AppError && error.code === code ? fieldProblem(field, message) : error;
  };

/** That the database does not answer now; the same request may pass later. */
export const databaseAway = (cause?: unknown): AppError =>
  new AppError('unavailable', 'The database does not answer; try again in a moment', { cause });

/** An unknown throw as an application error: its text is never shown. */
export function asAppError(error: unknown): AppError {
  if (error instanceof AppError) return error;
  const state = sqlStateOf(error);
  if (isAway(error, state)) return databaseAway(error);
  if (state !== null && NOT_STORABLE.has(state.slice(0, 2)))
    return new AppError(
      'badInput',
      'A value of this request cannot be stored; expected one that the database keeps',
      {
        cause: error,
      },
    );
  return new AppError('internal', 'Something went wrong on the server', { cause: error });
}

/** Classes of SQLSTATE (PostgreSQL, appendix A): data exception, integrity constraint, limit of the program. */
const NOT_STORABLE: ReadonlySet<string> = new Set(['22', '23', '54']);
/** Connection, rolled back (deadlock, serialization), resources, operator, system: the same request may pass later. */
const AWAY: ReadonlySet<string> = new Set(['08', '40', '53', '57', '58']);

/** The SQLSTATE an error of the database carries, also below the ORM's own. */
function sqlStateOf(error: unknown): string | null {
  const { code, cause } = (error ?? {}) as { readonly code?: unknown; readonly cause?: unknown };
  if (typeof code === 'string' && /^[0-9A-Z]{5}$/.test(code)) return code;
  return cause === undefined ? null : sqlStateOf(cause);
}

/**
 * True where the database was not reached or did not finish: what it says itself decides; what comes from the driver without a word of the
 * database is a connection that broke, whatever its sentence.
 */
function isAway(error: unknown, state: string | null): boolean {
  if (state !== null) return AWAY.has(state.slice(0, 2));
  for (let at = error, depth = 0; at instanceof Error && depth < DEEPEST; at = at.cause, depth += 1) {
    const { code } = at as { readonly code?: unknown };
    if (typeof code === 'string' && LOST.has(code)) return true;
    if ([at.name, at.constructor.name].some((name) => BROKEN.test(name))) return true;
    if (
      /(^|; - )(Connection (terminated|ended)|Client (has encountered a connection error|was closed))/.test(
        at.message,
      )
    )
      return true;
  }
  return false;
}
const DEEPEST = 5;
const BROKEN = /(DriverException|ConnectionException|TimeoutError)$/;
const LOST: ReadonlySet<string> = new Set(['ECONNREFUSED', 'ECONNRESET', 'ETIMEDOUT', 'EPIPE']);

/** The shape every error has on the wire. */
export function errorBody(error: AppError, requestId: string) {
  return { error: { code: error.code, message: error.message, requestId, problems: error.problems } };
}
