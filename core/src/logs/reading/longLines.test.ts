import { expect, test } from '@jest/globals';
import { guessLayout } from './guessLayout.ts';
import { LogReader, LONGEST_LINE } from './LogReader.ts';

const head = 'time,air_degC\n2026-03-01T00:00:00,2.0\n';
const tail = '2026-03-01T00:05:00,2.5\n';
const read = (text: string, piece = text.length) => {
  const reader = new LogReader(guessLayout(`${head}${tail}`).layout);
  for (let from = 0; from < text.length; from += piece) reader.push(text.slice(from, from + piece));
  return reader.finish();
};

test.each([
  ['one long line', `${'x'.repeat(3 * LONGEST_LINE)}\n`],
  ['a quote that is never closed on its line', `"${'y'.repeat(3 * LONGEST_LINE)}\n`],
])('%s is passed over with its number, and the rows around it are read', (_, long) => {
  for (const piece of [1000, LONGEST_LINE, 10 * LONGEST_LINE]) {
    const { log, tidied } = read(`${head}${long}${tail}`, piece);
    expect([...log.values.air!]).toEqual([2, 2.5]);
    expect(tidied.unreadable).toBe(1);
    expect(tidied.problems[0]!.line).toBe(3);
    expect(tidied.problems[0]!.why.length).toBeLessThan(120);
  }
});

test('a cell that is no time is said in part, not whole', () => {
  const { tidied } = read(`${head}${'z'.repeat(5000)},1\n${tail}`);
  expect(tidied.problems[0]!.why).toMatch(/^z{60} … is no time$/);
});

test('an endless line is never held: what waits for its end stays short', () => {
  const reader = new LogReader(guessLayout(`${head}${tail}`).layout);
  reader.push(head);
  for (let i = 0; i < 2000; i += 1) reader.push('w'.repeat(8192));
  const { log, tidied } = reader.finish();
  expect([log.time.length, tidied.unreadable]).toEqual([1, 1]);
});
