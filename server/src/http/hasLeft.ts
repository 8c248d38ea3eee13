import type { Context } from 'hono';

/**
 * True where the caller closed the connection before its request was read or answered, and the error is that: no fault of the server. An
 * error of ours that happens while a caller leaves stays one.
 */
export function hasLeft(context: Context, thrown: unknown): boolean {
  const { code, name, message } = (thrown ?? {}) as {
    readonly code?: unknown;
    readonly name?: unknown;
    readonly message?: unknown;
  };
  if (message === 'aborted' && code === 'ECONNRESET') return true;
  return (
    context.req.raw.signal.aborted &&
    (name === 'AbortError' || code === 'ECONNRESET' || message === 'terminated')
  );
}
