import { createServer, type AddressInfo, type Socket } from 'node:net';

/** A serial gateway's far end for tests: takes RTU frames over TCP, keeps what came, and answers what it is told to. */
export interface Gateway {
  readonly port: number;
  /** Every frame that came, as hex with spaces. */
  readonly frames: readonly string[];
  close(): Promise<void>;
}

/** `answer`: the frame to a request, both as hex with spaces; null says nothing. */
export function openGateway(answer: (frame: string) => string | null): Promise<Gateway> {
  const frames: string[] = [];
  const sockets = new Set<Socket>();
  const server = createServer((socket) => {
    sockets.add(socket);
    socket.on('error', () => undefined);
    socket.on('data', (data) => {
      const frame = spaced(data);
      frames.push(frame);
      const told = answer(frame);
      if (told !== null) socket.write(Buffer.from(told.replaceAll(' ', ''), 'hex'));
    });
  });
  return new Promise((resolve) =>
    server.listen(0, '127.0.0.1', () =>
      resolve({
        port: (server.address() as AddressInfo).port,
        frames,
        close: () =>
          new Promise((done) => {
            for (const socket of sockets) socket.destroy();
            server.close(() => done());
          }),
      }),
    ),
  );
}

const spaced = (data: Buffer): string =>
  data
    .toString('hex')
    .toUpperCase()
    .replace(/(..)(?=.)/g, '$1 ');
