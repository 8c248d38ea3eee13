import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { afterCursor, cursorOf, type SortKey } from './cursor.ts';

const keys: readonly SortKey[] = [
  { sql: 'a', type: 'text' },
  { sql: 'b', type: 'text', down: true },
  { sql: 'id', type: 'text' },
];

type Row = readonly [a: string, b: string, id: string];
const inOrder = (x: Row, y: Row): number =>
  x[0] !== y[0] ? (x[0] < y[0] ? -1 : 1) : x[1] !== y[1] ? (x[1] > y[1] ? -1 : 1) : x[2] < y[2] ? -1 : 1;

/** The condition as JavaScript reads it, with its values in place: a second reader of the same words. */
function holds(row: Row, cursor: string): boolean {
  const { sql, values } = afterCursor(keys, cursor);
  let n = 0;
  const script = sql
    .replace(/\?::text/g, () => JSON.stringify(values[(n += 1) - 1]))
    .replace(/ = /g, ' === ')
    .replace(/ and /g, ' && ')
    .replace(/ or /g, ' || ');
  return new Function('a', 'b', 'id', `return ${script}`)(...row) as boolean;
}

test('what comes after a row is what stands after it in the order, each row once', () => {
  const rows = fc.uniqueArray(
    fc.tuple(fc.constantFrom('p', 'q', 'r'), fc.constantFrom('x', 'y'), fc.constantFrom(...'abcdefgh')),
    { selector: (row) => row.join(), minLength: 2, maxLength: 30 },
  );
  fc.assert(
    fc.property(rows, fc.nat(), (some, at) => {
      const sorted = [...some].sort(inOrder);
      const place = at % sorted.length;
      const after = sorted.filter((row) => holds(row, cursorOf(sorted[place]!)));
      expect(after).toEqual(sorted.slice(place + 1));
    }),
    { seed: 2301, numRuns: 300 },
  );
});

test.each([
  ['text that is none', '%%%'],
  ['another list’s', cursorOf(['a'])],
  ['JSON that is no list', Buffer.from('{"a":1}').toString('base64url')],
])('%s is refused with where and what was expected', (_, cursor) => {
  expect(() => afterCursor(keys, cursor)).toThrow('after: expected what the page before told as next');
});
