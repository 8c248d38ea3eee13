import modbusSerial from 'modbus-serial';
import type { ModbusRTU } from 'modbus-serial/ModbusRTU.js';
import type { Block } from '@brine/core/controllers/registers';
import { failureOf, LineFailure } from './failure.ts';
import type { Master } from './master.ts';

/** The library is CommonJS: Node gives its whole module as the default, its types say otherwise. */
const Client = modbusSerial as unknown as typeof ModbusRTU;

/** Where a line is reached: Modbus TCP, or RTU frames over TCP as a serial gateway passes them on. */
export interface LineAddress {
  readonly host: string;
  readonly port: number;
  readonly kind: 'tcp' | 'rtuOverTcp';
}

export interface LineOptions {
  /** How long an answer, and a connection, may take, ms. */
  readonly answerMs?: number;
  readonly connectMs?: number;
  /** How often a reading is asked for again. A write never is: who asked for it reads back first. */
  readonly readAgain?: number;
}

/** An answer that takes longer than this is none, ms; a gateway with a slow serial line behind it needs more. Ours. */
const ANSWER_MS = 1000;
const CONNECT_MS = 3000;
const READ_AGAIN = 2;

/** One line: one request at a time, the others wait their turn. It connects when it is first needed, and anew after it broke. */
export class Line implements Master {
  readonly address: LineAddress;
  private readonly options: Required<LineOptions>;
  private client: ModbusRTU | null = null;
  private last: Promise<unknown> = Promise.resolve();
  private closed = false;
  /** Fails once the line is given up: the library leaves a question that is under way then without an answer for good. */
  private readonly givenUp: Promise<never>;
  private giveUp: () => void = () => undefined;
  /** Requests sent so far, those that were repeated included. */
  requests = 0;

  constructor(address: LineAddress, options: LineOptions = {}) {
    this.address = address;
    this.givenUp = new Promise((_, refuse) => {
      this.giveUp = () => refuse(new LineFailure('stopped', 'The line was given up.'));
    });
    this.givenUp.catch(() => undefined);
    this.options = { answerMs: ANSWER_MS, connectMs: CONNECT_MS, readAgain: READ_AGAIN, ...options };
  }

  /** The words (or bits as 0 and 1) of a block. Throws {@link LineFailure}. */
  read(unit: number, { function: by, address, count }: Omit<Block, 'registers'>): Promise<readonly number[]> {
    return this.inTurn(async () => {
      for (let again = 0; ; again += 1)
        try {
          return await this.once(unit, async (client) => {
            if (by <= 2) {
              const { data } =
                by === 1
                  ? await client.readCoils(address, count)
                  : await client.readDiscreteInputs(address, count);
              return data.slice(0, count).map(Number);
            }
            const { data } =
              by === 3
                ? await client.readHoldingRegisters(address, count)
                : await client.readInputRegisters(address, count);
            if (data.length !== count)
              throw new LineFailure(
                'badAnswer',
                `Device ${unit} answers ${data.length} registers, asked for ${count}.`,
              );
            return data;
          });
        } catch (error) {
          const failure = failureOf(error, unit);
          if (again >= this.options.readAgain || !failure.mayPass || this.closed) throw failure;
        }
    });
  }

  /** Writes once: whether it was taken is not known when it fails without an answer. Throws {@link LineFailure}. */
  write(unit: number, by: 5 | 6 | 16, address: number, words: readonly number[]): Promise<void> {
    return this.inTurn(async () => {
      try {
        await this.once(unit, async (client) => {
          if (by === 5) await client.writeCoil(address, words[0] !== 0);
          else if (by === 6) await client.writeRegister(address, words[0]!);
          else await client.writeRegisters(address, [...words]);
        });
      } catch (error) {
        throw failureOf(error, unit);
      }
    });
  }

  /** Gives the line up; what still waits fails. */
  close(): void {
    this.closed = true;
    this.giveUp();
    this.hangUp();
  }

  private inTurn<T>(ask: () => Promise<T>): Promise<T> {
    const turn = this.last.then(ask);
    this.last = turn.catch(() => undefined);
    return turn;
  }

  private async once<T>(unit: number, ask: (client: ModbusRTU) => Promise<T>): Promise<T> {
    if (this.closed) throw new LineFailure('stopped', 'The line was given up.');
    const client = this.client?.isOpen ? this.client : await this.connect();
    client.setID(unit);
    this.requests += 1;
    try {
      return await Promise.race([ask(client), this.givenUp]);
    } catch (error) {
      // What comes late would be taken for the answer to the next question.
      if (failureOf(error, unit).kind !== 'refused') this.hangUp();
      throw error;
    }
  }

  private async connect(): Promise<ModbusRTU> {
    this.hangUp();
    const { host, port, kind } = this.address;
    const client = new Client();
    client.setTimeout(this.options.answerMs);
    client.on('error', () => undefined);
    const opened = kind === 'tcp' ? client.connectTCP(host, { port }) : client.connectTelnet(host, { port });
    let timer: NodeJS.Timeout | undefined;
    const late = new Promise<never>((_, refuse) => {
      timer = setTimeout(
        () => refuse(new LineFailure('noConnection', `The line at ${host}, port ${port}, does not answer.`)),
        this.options.connectMs,
      );
    });
    try {
      await Promise.race([opened, late]);
    } catch (error) {
      opened.catch(() => undefined);
      client.destroy(() => undefined);
      throw error instanceof LineFailure
        ? error
        : new LineFailure(
            'noConnection',
            `The line at ${host}, port ${port}, cannot be reached: ${(error as Error).message}.`,
          );
    } finally {
      clearTimeout(timer);
    }
    this.client = client;
    return client;
  }

  private hangUp(): void {
    const { client } = this;
    this.client = null;
    if (client) client.destroy(() => undefined);
  }
}
