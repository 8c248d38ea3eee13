import type { IncomingMessage, Server } from 'node:http';
import type { Socket } from 'node:net';

/** A body may be on its way this long in all, and stand still this long. */
const LONGEST_REQUEST_MS = 15 * 60_000;
const STALLED_MS = 30_000;

/** Lets go of connections whose body stops coming; one that comes slowly may take its time, and an answer may take its own. */
export function letGoOfStalledBodies(
  server: Pick<Server, 'on' | 'requestTimeout'>,
  stalledMs: number = STALLED_MS,
): void {
  server.requestTimeout = LONGEST_REQUEST_MS;
  server.on('request', (request: IncomingMessage) => {
    const { headers, socket } = request;
    const hasBody = headers['transfer-encoding'] !== undefined || Number(headers['content-length']) > 0;
    if (!hasBody) return;
    const free = () => socket.setTimeout(0);
    socket.setTimeout(stalledMs);
    request.once('end', free);
    request.once('close', free);
  });
  server.on('timeout', (socket: Socket) => socket.destroy());
}
