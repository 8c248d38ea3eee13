import { describe, expect, test } from '@jest/globals';
import { swingAt, swingOf, type Cycle } from './cycle.ts';

const cycle: Cycle = { low: 1, high: 5, period: 900, runShare: 0.35 };

/** The same by explicit steps of a tenth of a second over many cycles: a second implementation. */
function stepped(lag: number): (at: number) => number {
  const dt = 0.1;
  const n = Math.round(cycle.period / dt);
  const seen: number[] = [];
  let value = 0;
  for (let round = 0; round < 30; round += 1)
    for (let i = 0; i < n; i += 1) {
      const at = i / n;
      const air =
        at < cycle.runShare
          ? 1 - (2 * at) / cycle.runShare
          : -1 + (2 * (at - cycle.runShare)) / (1 - cycle.runShare);
      seen[i] = value;
      value += ((air - value) * dt) / lag;
    }
  return (at) => seen[Math.round(at * n) % n]!;
}

describe('what an instrument sees of a cycle', () => {
  test.each([20, 120, 600, 3000])('lag %i s, against explicit steps', (lag) => {
    const other = stepped(lag);
    for (let i = 0; i < 40; i += 1)
      expect(Math.abs(swingAt(cycle, i / 40, lag) - other(i / 40))).toBeLessThan(0.004);
  });

  test('without a lag it is the air; with a long one next to nothing is left (closed form: its mean is that of the air)', () => {
    expect(swingAt(cycle, 0, 0)).toBe(1);
    expect(swingAt(cycle, cycle.runShare, 0)).toBeCloseTo(-1, 12);
    expect(swingOf(cycle, 0)).toBeGreaterThan(0.98);
    expect(swingOf(cycle, 7200)).toBeLessThan(0.05);
  });
});
