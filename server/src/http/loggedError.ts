/** So deep is looked for a cause. */
const DEEPEST = 5;
/** Fields of a database's error that name things and hold no values. */
const NAMING = ['code', 'severity', 'constraint', 'table', 'column', 'schema', 'routine'] as const;

/** An error as it goes into the log. */
export interface LoggedError {
  readonly type: string;
  readonly message: string;
  readonly stack: readonly string[];
  readonly [naming: string]: unknown;
}

/**
 * An error for the log without what people typed: the ORM puts a statement with its values before the database's own words, and the
 * database's detail holds the values again. Kept are the words after the statement, the names of things, and where it was thrown.
 */
export function loggedError(thrown: unknown, depth = 0): LoggedError {
  if (!(thrown instanceof Error))
    return { type: typeof thrown, message: 'something that is no error was thrown', stack: [] };
  const named = thrown as Error & { readonly [key: string]: unknown };
  const naming = Object.fromEntries(
    NAMING.flatMap((key) => (typeof named[key] === 'string' ? [[key, named[key]] as const] : [])),
  );
  const fromDatabase = 'query' in named || 'severity' in named || /Exception$/.test(thrown.name);
  const words = thrown.message.split(' - ').at(-1)!;
  return {
    type: thrown.name,
    // The database quotes what it could not read: `invalid input syntax for type uuid: "…"`.
    message: fromDatabase ? words.replace(/"[^"]*"(?=[^"]*$)/, '"…"') : thrown.message,
    ...naming,
    stack: (thrown.stack ?? '')
      .split('\n')
      .filter((line) => /^\s+at /.test(line))
      .map((line) => line.trim()),
    ...(thrown.cause !== undefined && depth < DEEPEST && { cause: loggedError(thrown.cause, depth + 1) }),
  };
}
