import { describe, expect, test } from '@jest/globals';
import * as fc from 'fast-check';
import type { FrostNote } from '../report.ts';
import { frostChange, frostChangeWords } from './compare.ts';

const face = (levels: readonly (readonly number[])[]): FrostNote[] =>
  levels.flatMap((line, r) => line.map((level, c) => ({ row: r + 1, column: c + 1, level })));
const before = face([
  [3, 3, 2],
  [1, 0, 0],
]);

describe('two looks at one coil', () => {
  test('only places noted at both looks count', () => {
    const change = frostChange(before, [{ row: 1, column: 1, level: 1 }])!;
    expect(change).toMatchObject({ places: 1, less: 1, more: 0, before: 3, now: 1 });
    expect(frostChange(before, [{ row: 9, column: 1, level: 1 }])).toBeNull();
    expect(frostChangeWords(null)).toMatch(/same places again/);
  });
  test('counts of less, more and the same add up, and turn over with the looks (property)', () => {
    const looks = fc.array(fc.integer({ min: 0, max: 3 }), { minLength: 6, maxLength: 6 });
    fc.assert(
      fc.property(looks, looks, (a, b) => {
        const [one, two] = [face([a]), face([b])];
        const [there, back] = [frostChange(one, two)!, frostChange(two, one)!];
        expect([there.less, there.more]).toEqual([back.more, back.less]);
        expect(there.now - there.before).toBe(b.reduce((s, x) => s + x, 0) - a.reduce((s, x) => s + x, 0));
        expect(there.less + there.more).toBeLessThanOrEqual(there.places);
      }),
      { seed: 17, numRuns: 60 },
    );
  });
  test('words: cleared, fuller, thick in one corner (what each means is common practice)', () => {
    const thin = face([
      [1, 1, 1],
      [1, 1, 1],
    ]);
    expect(frostChangeWords(frostChange(before, thin))).toMatch(
      /Of 6 places .* 3 have less frost, 2 more, 1 the same.*do what they should/,
    );
    const corner = face([
      [3, 2, 1],
      [0, 0, 0],
    ]);
    expect(frostChangeWords(frostChange(before, corner))).toMatch(/Still thick at row 1, column 1: /);
    expect(frostChangeWords(frostChange(thin, before))).toMatch(/first at row 1, column 1; row 1, column 2/);
    expect(frostChangeWords(frostChange(thin, face([[3, 3, 3]])))).toMatch(/lower the difference/);
    expect(frostChangeWords(frostChange(thin, thin))).toMatch(/leave it so/);
  });
});
