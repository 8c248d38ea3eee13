import { describe, expect, test } from '@jest/globals';
import { array, mixed, object, string } from 'yup';
import { checked, MAX_PROBLEMS } from './problems.ts';
import { shapeProblem } from './shape.ts';

const LIMITS = { depth: 5, values: 100 };

describe('the shape of a JSON value', () => {
  test.each([
    ['a whole one', { a: [1, 'x', null, true, '😀'] }, null],
    ['half a character, low', { a: 'x\uDE00' }, '.a'],
    ['half a character, high, in the middle', { a: [{ b: 'x\uD83Dy' }] }, '.a[0].b'],
    ['too deep', { a: { a: { a: { a: { a: { a: 1 } } } } } }, ''],
    ['too many', Array(200).fill(1), ''],
  ])('%s', (_what, value, path) => expect(shapeProblem(value, LIMITS)?.path ?? null).toBe(path));

  test('deep nesting is no recursion: 100,000 levels are told, not thrown', () => {
    const deep = JSON.parse('['.repeat(100_000) + ']'.repeat(100_000)) as unknown;
    expect(shapeProblem(deep, LIMITS)?.message).toContain('at most 5 levels');
  });
});

describe('a request held against its schema', () => {
  const schema = object(
    Object.fromEntries(
      Array.from({ length: 9 }, (_, i) => [`field${i}`, string().required(`field${i}: expected a text`)]),
    ),
  );

  test('tells each field, at most five', () => {
    const result = checked(schema, {});
    expect('problems' in result && result.problems.map((p) => p.path)).toEqual(
      Array.from({ length: MAX_PROBLEMS }, (_, i) => `field${i}`),
    );
  });

  test('a list that is too long is refused before its elements are looked at', () => {
    let looked = 0;
    const list = object({
      items: array(mixed().test('look', 'odd', () => (looked += 1) > 0)).max(3, 'items: expected at most 3'),
    });
    expect(checked(list, { items: Array(100_000).fill({}) })).toEqual({
      problems: [{ path: 'items', message: 'items: expected at most 3' }],
    });
    expect(looked).toBe(0);
  });

  test('fields that are not known are left out', () => {
    expect(checked(object({ a: string() }), { a: 'x', b: 1 })).toEqual({ value: { a: 'x' } });
  });

  test.each([
    '{"__proto__":{"admin":true},"constructor":1}',
    '{"a":{"constructor":1}}',
    '{"a":{"__proto__":1}}',
  ])('%s harms nothing', (json) => {
    const result = checked(object({ a: object({ b: string() }).optional() }), JSON.parse(json));
    expect(JSON.stringify(result)).not.toContain('admin');
    expect('value' in result ? null : result.problems[0]!.path).toBe(json.includes('"a"') ? 'a' : null);
  });

  test('a body that is no object is said so', () => {
    expect(checked(object({}), [1])).toEqual({ problems: [{ path: '', message: 'expected an object' }] });
  });
});
