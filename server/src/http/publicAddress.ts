import type { Context } from 'hono';
import type { Config } from '../config.ts';

/** The address links begin with: the one people type where it is configured, else the one this request came to. */
export function publicAddress(context: Context, config: Config): string {
  if (config.publicUrl !== null) return config.publicUrl;
  const host = context.req.header('host');
  const scheme = config.tls !== null ? 'https' : 'http';
  return host && /^[\w.:[\]-]+$/.test(host) ? `${scheme}://${host}` : `${scheme}://localhost:${config.port}`;
}
