import { getConnInfo } from '@hono/node-server/conninfo';
import type { Context } from 'hono';
import { getCookie } from 'hono/cookie';
import type { Config } from '../config.ts';
import type { Caller } from './context.ts';

/** As long as its column. */
const LONGEST_BROWSER = 300;
/** The demo beside a real company has a session of its own. */
export const sessionCookie = ({ mount }: Pick<Config, 'mount'>) =>
  mount === '' ? 'brine_session' : 'brine_demo_session';

/** Who asks, from where. Forwarded headers count only behind a trusted proxy, and never make anybody local. */
export function callerOf(context: Context, requestId: string, config: Config): Caller {
  const socket = socketAddress(context);
  const forwarded = context.req.header('x-forwarded-for') ?? context.req.header('forwarded');
  const last = config.trustProxy
    ? context.req.header('x-forwarded-for')?.split(',').at(-1)?.trim()
    : undefined;
  const viaHttps =
    config.tls !== null || (config.trustProxy && context.req.header('x-forwarded-proto') === 'https');
  const onThisMachine =
    isLoopback(socket) && forwarded === undefined && isLoopbackHost(context.req.header('host'));
  return {
    requestId,
    address: last ?? socket,
    onThisMachine,
    mayBeDemo: onThisMachine || config.mount !== '',
    https: viaHttps,
    cookie: getCookie(context, sessionCookie(config)) ?? null,
    browser: (context.req.header('user-agent') ?? '').slice(0, LONGEST_BROWSER),
  };
}

/** True for 127.0.0.0/8 and ::1, IPv4-mapped spellings included. */
export function isLoopback(address: string): boolean {
  const plain = address.replace(/^::ffff:/i, '');
  return plain === '::1' || /^127(\.\d{1,3}){3}$/.test(plain);
}

function isLoopbackHost(host: string | undefined): boolean {
  if (host === undefined) return false;
  const name = host.replace(/:\d+$/, '').replace(/^\[|\]$/g, '');
  return name === 'localhost' || isLoopback(name);
}

function socketAddress(context: Context): string {
  try {
    return getConnInfo(context).remote.address ?? 'unknown';
  } catch {
    return 'unknown'; // Not behind a socket, as in tests without a server.
  }
}
