import { describe, expect, test } from '@jest/globals';
import { openGateway } from '../../testing/gateway.ts';
import { onLine } from '../../testing/trial.ts';
import { Line, LineFailure } from './index.ts';

/** Published frames, unit 0x11: Modbus Application Protocol V1.1b3, 6.3, 6.6, 6.12 and 7, with the CRC of Modbus over Serial Line V1.02, 6.2.2. */
const READ = ['11 03 00 6B 00 03 76 87', '11 03 06 02 2B 00 00 00 64 C8 BA'] as const;
const WRITE_ONE = '11 06 00 01 00 03 9A 9B';
const WRITE_TWO = ['11 10 00 01 00 02 04 00 0A 01 02 C6 F0', '11 10 00 01 00 02 12 98'] as const;
const REFUSED = { read: '11 83 02 C1 34', one: '11 86 03 03 A4', two: '11 90 04 4C 06' } as const;

async function atGateway(
  answer: (frame: string) => string | null,
  play: (line: Line, frames: readonly string[]) => Promise<void>,
  options: object = {},
): Promise<void> {
  const gateway = await openGateway(answer);
  const line = new Line({ host: '127.0.0.1', port: gateway.port, kind: 'rtuOverTcp' }, options);
  try {
    await play(line, gateway.frames);
  } finally {
    line.close();
    await gateway.close();
  }
}

/** A frame with its CRC: the algorithm of Modbus over Serial Line V1.02, 6.2.2. */
function framed(bytes: string): string {
  let crc = 0xffff;
  for (const byte of bytes.split(' ').map((hex) => Number.parseInt(hex, 16))) {
    crc ^= byte;
    for (let bit = 0; bit < 8; bit += 1) crc = crc & 1 ? (crc >> 1) ^ 0xa001 : crc >> 1;
  }
  const hex = (byte: number) => byte.toString(16).toUpperCase().padStart(2, '0');
  return `${bytes} ${hex(crc & 0xff)} ${hex(crc >> 8)}`;
}

const failing = async (asked: Promise<unknown>): Promise<LineFailure> => {
  try {
    await asked;
  } catch (error) {
    expect(error).toBeInstanceOf(LineFailure);
    return error as LineFailure;
  }
  throw new Error('expected a failure');
};

describe('a line to a serial gateway', () => {
  test('what is asked and what is written goes out as the published frames, and their answers are understood', () =>
    atGateway(
      (frame) =>
        ({ [READ[0]]: READ[1], [WRITE_ONE]: WRITE_ONE, [WRITE_TWO[0]]: WRITE_TWO[1] })[frame] ?? null,
      async (line, frames) => {
        expect(await line.read(0x11, { function: 3, address: 0x6b, count: 3 })).toEqual([0x022b, 0, 0x64]);
        await line.write(0x11, 6, 1, [3]);
        await line.write(0x11, 16, 1, [0x0a, 0x0102]);
        expect(frames).toEqual([READ[0], WRITE_ONE, WRITE_TWO[0]]);
      },
    ));

  test('exceptions are told in words, and are not asked again', () =>
    atGateway(
      (frame) =>
        frame.startsWith('11 03') ? REFUSED.read : frame.startsWith('11 06') ? REFUSED.one : REFUSED.two,
      async (line, frames) => {
        const read = await failing(line.read(0x11, { function: 3, address: 0, count: 1 }));
        expect(read).toMatchObject({ kind: 'refused', exception: 2 });
        expect(read.message).toBe('Device 17 refuses: it has no such register.');
        expect((await failing(line.write(0x11, 6, 0, [1]))).message).toContain('does not take this value');
        expect((await failing(line.write(0x11, 16, 0, [1, 2]))).exception).toBe(4);
        expect(frames).toHaveLength(3);
      },
    ));

  test('an answer that noise damaged is asked for again; one that never comes is told', async () => {
    let times = 0;
    await atGateway(
      (frame) => {
        times += 1;
        // A bit turned over on the way: the CRC no longer fits.
        return frame === READ[0] ? (times < 3 ? READ[1].replace('2B', '2A') : READ[1]) : null;
      },
      async (line) => {
        expect(await line.read(0x11, { function: 3, address: 0x6b, count: 3 })).toEqual([0x022b, 0, 0x64]);
        expect(times).toBe(3);
        expect((await failing(line.read(0x12, { function: 3, address: 0, count: 1 }))).kind).toBe('noAnswer');
      },
      { answerMs: 150 },
    );
  });

  test('a second master on the line: answers that were for it are never taken for ours, and ours is asked for again', async () => {
    // The published frames are the oracle of the check below.
    expect(framed('11 03 00 6B 00 03')).toBe(READ[0]);
    const foreign = [
      // Of another device; of another function; of another length.
      framed('12 03 06 FF FF FF FF FF FF'),
      framed('11 04 06 FF FF FF FF FF FF'),
      framed('11 03 02 FF FF'),
      // Its question, heard by the gateway as well.
      framed('11 03 00 00 00 01'),
    ];
    for (const heard of foreign) {
      let times = 0;
      await atGateway(
        () => {
          times += 1;
          return times === 1 ? heard : READ[1];
        },
        async (line) => {
          const words = await line.read(0x11, { function: 3, address: 0x6b, count: 3 });
          expect([heard, words]).toEqual([heard, [0x022b, 0, 0x64]]);
          expect(times).toBe(2);
        },
        { answerMs: 150 },
      );
    }
  });

  test('a write that gets no answer is sent once: whoever asked for it reads back', () =>
    atGateway(
      () => null,
      async (line, frames) => {
        expect((await failing(line.write(0x11, 6, 1, [3]))).kind).toBe('noAnswer');
        expect(frames).toEqual([WRITE_ONE]);
      },
      { answerMs: 100 },
    ));

  test('nobody there: said with the place, and in time', async () => {
    const line = new Line({ host: '127.0.0.1', port: 1, kind: 'tcp' }, { connectMs: 500 });
    const failure = await failing(line.read(1, { function: 3, address: 0, count: 1 }));
    expect(failure.kind).toBe('noConnection');
    expect(failure.message).toContain('127.0.0.1, port 1');
  });
});

describe('a line to a device over TCP', () => {
  test('one request at a time: what is asked together is answered in its order', () =>
    onLine(
      async ({ line }) => {
        const asked = [16, 17, 18, 19].map((address) => line.read(1, { function: 3, address, count: 1 }));
        const one = (await Promise.all(asked)).flat();
        expect(one).toEqual(await line.read(1, { function: 3, address: 16, count: 4 }));
      },
      { faults: ['slow=5'] },
    ));

  test('after a moment in which the device is dead the line is taken up again by itself', () =>
    onLine(
      async ({ line }) => {
        const block = { function: 3, address: 16, count: 1 } as const;
        const before = await line.read(1, block);
        await new Promise((done) => setTimeout(done, 400));
        expect(await line.read(1, block)).toEqual(before);
      },
      { faults: ['dead=0.3-0.8'], answerMs: 200, readAgain: 5 },
    ));

  test('a connection that breaks every few requests loses no reading', () =>
    onLine(
      async ({ line, device }) => {
        const words = [];
        for (let i = 0; i < 12; i += 1)
          words.push(await line.read(1, { function: 3, address: 16, count: 2 }));
        expect(new Set(words.map(String)).size).toBe(1);
        expect(device.memory.get('t1')).toBe(words[0]![0]! / 10);
      },
      { faults: ['noise=4'], answerMs: 400 },
    ));

  test('given up in the middle of a question, the question ends', () =>
    onLine(
      async ({ line }) => {
        const asked = failing(line.read(1, { function: 3, address: 16, count: 1 }));
        const next = failing(line.read(1, { function: 3, address: 17, count: 1 }));
        await new Promise((done) => setTimeout(done, 100));
        line.close();
        expect((await asked).kind).toBe('stopped');
        expect((await next).kind).toBe('stopped');
      },
      { faults: ['slow=900'] },
    ));

  test('given up, it asks nothing more', () =>
    onLine(async ({ line, serving }) => {
      await line.read(1, { function: 3, address: 16, count: 1 });
      line.close();
      expect((await failing(line.read(1, { function: 3, address: 16, count: 1 }))).kind).toBe('stopped');
      expect(serving.requests()).toBe(1);
    }));
});
