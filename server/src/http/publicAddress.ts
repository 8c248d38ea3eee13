import type { Context } from 'hono';
import type { Config } from '../config.ts';

/** The address links begin with: the one people type where it is configured, else the one this request came to. */
export function publicAddress(context: Context, config: Config): string {
  if (config.publicUrl !== null) return `${config.publicUrl}${config.mount}`;
  const host = context.req.header('host');
  const scheme = config.tls !== null ? 'https' : 'http';
  return host && /^[\w.:[\]-]+$/.test(host)
    ? `${scheme}://${host}${config.mount}`
    : `${scheme}://localhost:${config.port}${config.mount}`;
}
