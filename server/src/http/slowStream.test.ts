import { expect, test } from '@jest/globals';
import { slowStream } from './slowStream.ts';

const decoder = new TextDecoder();
const lines = async (stream: ReadableStream<Uint8Array>) => {
  let text = '';
  for await (const piece of stream as unknown as AsyncIterable<Uint8Array>) text += decoder.decode(piece);
  return text;
};
const rest = () => new Promise((done) => setTimeout(done, 20));

test('everything written is read, in order', async () => {
  const stream = slowStream(async (push) => {
    for (let i = 0; i < 500; i += 1) await push(`${i}\n`);
  });
  expect(await lines(stream)).toBe(Array.from({ length: 500 }, (_, i) => `${i}\n`).join(''));
});

test('no more is made than is read', async () => {
  let made = 0;
  const stream = slowStream(async (push) => {
    for (; made < 1000; made += 1) await push('x');
  });
  await rest();
  expect(made).toBeLessThan(3);
  const reader = stream.getReader();
  for (let i = 0; i < 10; i += 1) await reader.read();
  await rest();
  expect(made).toBeGreaterThan(8);
  expect(made).toBeLessThan(15);
  await reader.cancel();
});

test('a reader that leaves, or takes nothing for long, lets go of what was held', async () => {
  const ended: string[] = [];
  const endless = (stalledMs?: number) =>
    slowStream(async (push) => {
      try {
        for (;;) await push('x');
      } catch (error) {
        ended.push((error as Error).message);
        throw error;
      }
    }, stalledMs);
  const reader = endless().getReader();
  await reader.read();
  await reader.cancel();
  await rest();
  endless(10);
  await rest();
  await rest();
  expect(ended).toEqual(['the reader has left', 'the reader has left']);
});

test('an error of the writer reaches the reader', async () => {
  const stream = slowStream(async (push) => {
    await push('half');
    throw new Error('the disk is gone');
  });
  await expect(lines(stream)).rejects.toThrow('the disk is gone');
});
