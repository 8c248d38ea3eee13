import type { Context } from 'hono';
import { AppError } from './errors.ts';

/**
 * Refuses a change that another site's page asks for. Beside the SameSite cookie: a browser always sends Origin (or Sec-Fetch-Site)
 * with such a request; a program that sends neither carries no cookie of a browser either.
 */
export function refuseForeignOrigin(context: Context, trustProxy: boolean): void {
  const site = context.req.header('sec-fetch-site');
  if (site !== undefined && site !== 'same-origin' && site !== 'none') throw refused();
  const origin = context.req.header('origin');
  if (origin === undefined) return;
  // What a proxy says of the host counts only where a proxy was announced: anybody may send the header.
  const hosts = [context.req.header('host'), trustProxy ? context.req.header('x-forwarded-host') : undefined];
  try {
    if (hosts.includes(new URL(origin).host)) return;
  } catch {
    // "null" or no URL at all: refused below.
  }
  throw refused();
}

function refused(): AppError {
  return new AppError(
    'forbidden',
    'This request came from another site; open Brine Dial itself and try again',
  );
}
