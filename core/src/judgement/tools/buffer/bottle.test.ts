import { describe, expect, test } from '@jest/globals';
import { followsAfter, readsOf } from './bottle.ts';
import { longestOutside } from './outside.ts';

describe('a probe in a bottle', () => {
  // Oracle: a cylinder as high as wide of 1 l holds 1065 · 3400 · 0.001 J/K = 3621 J/K and has 1.5 π (4 · 0.001/π)^(2/3) = 0.05536 m², 10 W/(m²·K): 6541 s.
  test('a litre follows after 6541 s, an eighth of it after half of that, none at once', () => {
    expect(followsAfter(1000)).toBeCloseTo(6541, -1);
    expect(followsAfter(125)).toBeCloseTo(followsAfter(1000) / 2, 9);
    expect(followsAfter(0)).toBe(0);
  });

  // Oracle: the step answer 1 − e^(−t/τ).
  test('a step is followed by 63.2 % after its time, whatever the sampling', () => {
    for (const step of [1, 60, 150]) {
      const air = Array.from({ length: 3000 / step + 1 }, () => 10);
      air[0] = 10;
      const reads = readsOf([0, ...air], step, 600);
      // Index 1 still reads the start: the step came after the first sample was held.
      expect(reads[1 + 600 / step]!).toBeCloseTo(10 * (1 - Math.exp(-1)), 6);
    }
  });

  // Oracle: a first-order follower damps a sine of period P by 1/√(1 + (2πτ/P)²).
  test('a swing is damped by the closed form', () => {
    const [step, seconds, period] = [5, 900, 1800];
    const air = Array.from({ length: 20_000 }, (_, i) => Math.sin((2 * Math.PI * i * step) / period));
    const settled = readsOf(air, step, seconds).slice(10_000);
    const amplitude = (Math.max(...settled) - Math.min(...settled)) / 2;
    expect(amplitude).toBeCloseTo(1 / Math.hypot(1, (2 * Math.PI * seconds) / period), 2);
  });

  test('the longest time outside, either way, and none where there is no limit', () => {
    const course = [5, 9, 9, 5, 1, 1, 1, 5];
    expect(longestOutside(course, 60, { min: 2, max: 8 })).toBe(180);
    expect(longestOutside(course, 60, { min: null, max: 8 })).toBe(120);
    expect(longestOutside(course, 60, { min: null, max: null })).toBe(0);
  });
});
