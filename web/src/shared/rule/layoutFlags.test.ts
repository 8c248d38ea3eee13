import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { layoutFlags, type FlagSize } from './layoutFlags.ts';

const flag = (id: string, x: number, width: number, side: 'left' | 'right' = 'right'): FlagSize => ({
  id,
  x,
  width,
  side,
});

describe('flags on the rule', () => {
  test('flies to its side, and turns where the edge is too near', () => {
    const [low, high] = layoutFlags([flag('low', 20, 100, 'left'), flag('high', 980, 100, 'right')], 1000);
    expect(low).toMatchObject({ id: 'low', left: 20, row: 0 });
    expect(high).toMatchObject({ id: 'high', left: 880, row: 0 });
  });

  test('two at one temperature stand in two rows', () => {
    const rows = layoutFlags([flag('a', 500, 100), flag('b', 500, 100)], 1000).map((f) => f.row);
    expect(rows).toEqual([0, 1]);
  });

  test('no label lies on another, covers the staff of one further left that flies higher, or leaves the rule (property)', () => {
    const flags = fc.array(
      fc.record({
        x: fc.integer({ min: 0, max: 1200 }),
        width: fc.integer({ min: 40, max: 220 }),
        side: fc.constantFrom('left' as const, 'right' as const),
      }),
      { maxLength: 9 },
    );
    fc.assert(
      fc.property(flags, (list) => {
        const placed = layoutFlags(
          list.map((f, i) => ({ ...f, id: String(i) })),
          1200,
        );
        expect(placed).toHaveLength(list.length);
        for (const a of placed) {
          expect(a.left).toBeGreaterThanOrEqual(0);
          expect(a.left + a.width).toBeLessThanOrEqual(1200);
          for (const b of placed) {
            if (a === b) continue;
            if (a.row === b.row) expect(a.left + a.width <= b.left || b.left + b.width <= a.left).toBe(true);
            const bIsLeft = placed.indexOf(b) < placed.indexOf(a);
            if (bIsLeft && a.row < b.row && b.x > a.left + 1 && b.x < a.left + a.width - 1)
              expect(`${b.id} is hidden by ${a.id}`).toBe('');
          }
        }
      }),
      { seed: 7, numRuns: 300 },
    );
  });
});
