import { createServer, type Server } from 'node:http';
import { connect, type AddressInfo, type Socket } from 'node:net';
import { afterEach, beforeEach, expect, test } from '@jest/globals';
import { letGoOfStalledBodies } from './stalledBodies.ts';

const STALLED_MS = 300;
let server: Server;
const rest = (ms: number) => new Promise((done) => setTimeout(done, ms));

beforeEach(async () => {
  // Answers once the body is whole, and then only after longer than a body may stand still.
  server = createServer((request, response) => {
    request.resume().on('end', () => setTimeout(() => response.end('taken'), 3 * STALLED_MS));
  });
  letGoOfStalledBodies(server, STALLED_MS);
  await new Promise<void>((done) => server.listen(0, '127.0.0.1', done));
});
afterEach(() => {
  server.closeAllConnections();
  server.close();
});

/** A connection that has sent the head of a post, and what came of it. */
function posting(length: number) {
  const socket: Socket = connect((server.address() as AddressInfo).port, '127.0.0.1');
  const seen = { text: '', closed: false };
  socket.on('data', (piece: Buffer) => (seen.text += piece.toString()));
  socket.on('close', () => (seen.closed = true));
  socket.on('error', () => undefined);
  socket.write(`POST / HTTP/1.1\r\nhost: x\r\ncontent-length: ${length}\r\n\r\n`);
  return { socket, seen };
}

test('bodies that stop coming are let go, all of them', async () => {
  const stalled = Array.from({ length: 150 }, () => posting(100));
  for (const { socket } of stalled) socket.write('half');
  const end = Date.now() + 30_000;
  while (stalled.some(({ seen }) => !seen.closed) && Date.now() < end) await rest(50);
  expect(stalled.filter(({ seen }) => !seen.closed)).toEqual([]);
  expect(stalled.map(({ seen }) => seen.text).join('')).not.toContain('taken');
});

test('one that comes slowly is taken, and its answer may take longer than a body may stand still', async () => {
  const { socket, seen } = posting(8);
  for (let i = 0; i < 8; i += 1) {
    socket.write('x');
    await rest(STALLED_MS / 4);
  }
  const end = Date.now() + 30_000;
  while (!seen.text.includes('taken') && Date.now() < end) await rest(50);
  expect(seen.text).toContain('taken');
  socket.destroy();
});
