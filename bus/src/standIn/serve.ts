import { createServer, type AddressInfo } from 'node:net';
import { ServerTCP, type IServiceVector } from 'modbus-serial';
import { EXCEPTION, type LineTroubles, type StandInDevice } from '@brine/core/practice/standIn';

export interface ServeOptions {
  readonly host: string;
  readonly port: number;
  /** The address on the line, 1 to 247. */
  readonly unit: number;
  /** Seconds of the unit in one second of the clock. */
  readonly speed: number;
  readonly line: LineTroubles;
}

/** A stand-in that answers. */
export interface Serving {
  /** The port it listens on: chosen by the system where 0 was asked for. */
  readonly port: number;
  readonly requests: () => number;
  close(): Promise<void>;
}

const TICK_MS = 200;
type Tell = (error: Error | null, words: number[]) => void;

/** Puts a stand-in behind Modbus TCP and lets its time pass. Resolves once it listens. */
export async function serve(device: StandInDevice, options: ServeOptions): Promise<Serving> {
  const { host, port, unit, speed, line } = options;
  const listensAt = port === 0 ? await freePort(host) : port;
  const began = performance.now();
  let [passed, requests] = [0, 0];
  const clock = setInterval(() => {
    const due = Math.floor(((performance.now() - began) / 1000) * speed) - passed;
    if (due <= 0) return;
    device.pass(due);
    passed += due;
  }, TICK_MS);

  /** What the line does to every request before the device sees it. */
  const over = async <T>(asked: number, answer: () => T): Promise<T> => {
    requests += 1;
    const at = (performance.now() - began) / 1000;
    // A device that is dead, and one that is not addressed, says nothing at all.
    if (asked !== unit || line.dead.some(([from, to]) => at >= from && at < to))
      return new Promise<T>(() => undefined);
    if (line.slow > 0) await new Promise((done) => setTimeout(done, line.slow));
    if (line.noiseEvery > 0 && requests % line.noiseEvery === 0) {
      for (const socket of server.socks.keys()) socket.destroy();
      return new Promise<T>(() => undefined);
    }
    if (line.busyEvery > 0 && requests % line.busyEvery === 0) throw { modbusErrorCode: EXCEPTION.busy };
    return answer();
  };
  const read = (by: 1 | 2 | 3 | 4, asked: number, address: number, count: number) =>
    over(asked, () => {
      const words = device.read(by, address, count);
      if (typeof words === 'number') throw { modbusErrorCode: words };
      return [...words];
    });
  const write = (by: 5 | 6 | 16, asked: number, address: number, words: readonly number[]) =>
    over(asked, () => {
      const refused = device.write(by, address, words);
      if (refused !== null) throw { modbusErrorCode: refused };
    });

  const vector: IServiceVector = {
    getCoil: async (address: number, asked: number) => (await read(1, asked, address, 1))[0] !== 0,
    getDiscreteInput: async (address: number, asked: number) => (await read(2, asked, address, 1))[0] !== 0,
    getHoldingRegister: async (address: number, asked: number) => (await read(3, asked, address, 1))[0]!,
    getInputRegister: async (address: number, asked: number) => (await read(4, asked, address, 1))[0]!,
    // Of several registers the library wants to be called back.
    getMultipleHoldingRegisters: (address: number, count: number, asked: number, tell: Tell) =>
      void read(3, asked, address, count).then(
        (words) => tell(null, words),
        (why) => tell(why as Error, []),
      ),
    getMultipleInputRegisters: (address: number, count: number, asked: number, tell: Tell) =>
      void read(4, asked, address, count).then(
        (words) => tell(null, words),
        (why) => tell(why as Error, []),
      ),
    setCoil: (address: number, value: boolean, asked: number) => write(5, asked, address, [value ? 1 : 0]),
    setRegister: (address: number, value: number, asked: number) => write(6, asked, address, [value]),
    setRegisterArray: (address: number, values: number[], asked: number) => write(16, asked, address, values),
  };
  const server = new ServerTCP(vector, { host, port: listensAt, unitID: 255 });
  return new Promise((resolve, reject) => {
    server.on('serverError', (error) => {
      clearInterval(clock);
      reject(error);
    });
    server.on('socketError', () => undefined);
    server.on('initialized', () => {
      resolve({
        port: listensAt,
        requests: () => requests,
        close: () =>
          new Promise<void>((done) => {
            clearInterval(clock);
            for (const socket of server.socks.keys()) socket.destroy();
            server.close(() => done());
          }),
      });
    });
  });
}

/** A port that is free: the library takes 0 for its own default. */
function freePort(host: string): Promise<number> {
  const probe = createServer();
  return new Promise((resolve, reject) => {
    probe.once('error', reject);
    probe.listen(0, host, () => {
      const { port } = probe.address() as AddressInfo;
      probe.close(() => resolve(port));
    });
  });
}
