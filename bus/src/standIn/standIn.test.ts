import { execFile, spawn, type ChildProcess } from 'node:child_process';
import { promisify } from 'node:util';
import { fileURLToPath } from 'node:url';
import { describe, expect, test } from '@jest/globals';
import { onLine } from '../../testing/trial.ts';

const root = fileURLToPath(new URL('../../..', import.meta.url));
const MBPOLL = process.env['BRINE_MBPOLL'] ?? 'mbpoll';
const LIBRARIES = process.env['BRINE_MBPOLL_LIBRARIES'];

/** Asks by mbpoll, a client of another's making. Its references count from 1: 17 is address 16. Rejects where it is refused, with its words. */
async function mbpoll(port: number, ...more: readonly string[]): Promise<string> {
  const env = LIBRARIES ? { ...process.env, LD_LIBRARY_PATH: LIBRARIES } : process.env;
  const args = ['-m', 'tcp', '-a', '1', '-1', '-p', String(port), ...more];
  const at = args.indexOf('--');
  const values = at < 0 ? [] : args.splice(at).slice(1);
  try {
    return (await promisify(execFile)(MBPOLL, [...args, '127.0.0.1', ...values], { env })).stdout;
  } catch (error) {
    const { stdout, stderr } = error as { stdout: string; stderr: string };
    throw new Error(`${stdout}${stderr}`);
  }
}

/** `[17]: 20` of its output, by reference. */
const valuesIn = (output: string): ReadonlyMap<number, number> =>
  new Map(
    [...output.matchAll(/^\[(\d+)\]:\s+(-?\d+)/gm)].map(([, at, value]) => [Number(at), Number(value)]),
  );

describe('a stand-in, asked by a client that nobody here wrote', () => {
  test('its values are read, and one that is written stands in its machine', () =>
    onLine(async ({ device, serving: { port } }) => {
      const values = valuesIn(await mbpoll(port, '-t', '4', '-r', '17', '-c', '2'));
      expect(values.get(17)).toBe(Number(device.memory.get('t1')) * 10);
      expect(values.get(18)).toBe(Number(device.memory.get('t2')) * 10);
      await mbpoll(port, '-t', '4', '-r', '17', '--', '35');
      expect(device.memory.get('t1')).toBe(3.5);
      // A set point further up: the machine of the stand-in lets the air go there.
      device.pass(4 * 3600);
      expect(device.readings!.air).toBeGreaterThan(2.5);
    }));

  test('readings and outputs are told', () =>
    onLine(async ({ device, serving: { port } }) => {
      device.pass(1800);
      const air = valuesIn(await mbpoll(port, '-t', '3', '-r', '257', '-c', '1')).get(257)!;
      expect(Math.abs(air / 10 - device.readings!.air)).toBeLessThan(0.06);
      const bits = valuesIn(await mbpoll(port, '-t', '1', '-r', '1', '-c', '4'));
      expect(bits.get(1)).toBe(device.readings!.compressor ? 1 : 0);
    }));

  test('what it refuses, it refuses as the standard says', () =>
    onLine(
      async ({ serving: { port } }) => {
        await expect(mbpoll(port, '-t', '4', '-r', '2000', '-c', '1')).rejects.toThrow(
          'Illegal data address',
        );
        await expect(mbpoll(port, '-t', '4', '-r', '17', '--', '9000')).rejects.toThrow('Illegal data value');
        await expect(mbpoll(port, '-t', '4', '-r', '18', '--', '30')).rejects.toThrow(
          /Slave device or server failure|failed/,
        );
        await expect(mbpoll(port, '-t', '0', '-r', '1', '-c', '1')).rejects.toThrow('Illegal data address');
      },
      { faults: ['lock=t2'] },
    ));
});

describe('npm run stand-in', () => {
  const start = (
    ...args: readonly string[]
  ): { readonly child: ChildProcess; readonly said: Promise<string> } => {
    const child = spawn(
      process.execPath,
      ['--import', 'tsx', '--conditions=brine-src', 'bus/src/standIn/main.ts', ...args],
      { cwd: root, env: { ...process.env, NODE_OPTIONS: '' } },
    );
    const said = new Promise<string>((resolve) => {
      let text = '';
      for (const stream of [child.stdout, child.stderr])
        stream.on('data', (data: Buffer) => {
          text += data.toString();
          if (text.includes('\n')) resolve(text);
        });
    });
    return { child, said };
  };

  test('says where it listens, answers there, and ends when it is told to', async () => {
    const { child, said } = start(
      '--controller',
      'demo/controllers/skerry-dx.controller.json',
      '--port',
      '0',
    );
    try {
      const port = Number(/port (\d+)/.exec(await said)![1]);
      expect(valuesIn(await mbpoll(port, '-t', '4', '-r', '17', '-c', '1')).get(17)).toBe(20);
    } finally {
      const ended = new Promise((done) => child.once('exit', done));
      child.kill('SIGTERM');
      expect(await ended).toBe(0);
    }
  });

  test.each([
    [['--controller', 'demo/controllers/tarn-1.controller.json'], 'expected a register table'],
    [['--controller', 'nothing.json'], 'nothing.json'],
    [
      ['--controller', 'demo/controllers/skerry-dx.controller.json', '--port', 'x'],
      '--port: expected a whole number',
    ],
    [
      ['--controller', 'demo/controllers/skerry-dx.controller.json', '--fault', 'clamp=zz:1:2'],
      'zz is no code',
    ],
  ])('says what is wrong with %j', async (args, words) => {
    const { child, said } = start(...args);
    const ended = new Promise((done) => child.once('exit', done));
    expect(await said).toContain(words);
    expect(await ended).toBe(2);
  });
});
