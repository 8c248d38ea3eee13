import { describe, expect, test } from '@jest/globals';
import { seeded } from '../../../testing/seeded.ts';
import { humpsOf } from './humps.ts';

/** Days of a thermostat's sawtooth a minute a row, with humps, doors and a band that is moved, as asked. */
function air(
  days: number,
  at: {
    readonly humps?: readonly number[];
    readonly height?: number;
    readonly doors?: readonly number[];
    readonly movedAt?: number;
  },
  seed = 1,
): { readonly values: Float64Array; readonly time: Float64Array } {
  const random = seeded(seed);
  const time = Float64Array.from({ length: days * 1440 }, (_, i) => i * 60);
  const values = time.map((t) => {
    const saw = -21 + 3 * Math.abs(((t / 1500) % 2) - 1) + (t > (at.movedAt ?? Infinity) ? 5 : 0);
    // Twenty minutes up, forty down; a door is up in a minute and down in ten.
    const hump = (at.humps ?? []).map((h) => {
      const since = (t - h) / 60;
      return since < 0 ? 0 : since < 20 ? since / 20 : Math.max(0, 1 - (since - 20) / 40);
    });
    const door = (at.doors ?? []).map((d) => (t >= d && t < d + 600 ? 1 - (t - d) / 600 : 0));
    return saw + (at.height ?? 6) * Math.max(0, ...hump) + 5 * Math.max(0, ...door) + 0.1 * (random() - 0.5);
  });
  return { values, time };
}

const every = (hours: number, days: number, first = 5400) =>
  Array.from({ length: Math.floor((days * 24) / hours) }, (_, i) => first + i * hours * 3600);

describe('defrosts in the air alone (oracle: where they were put)', () => {
  test.each([4, 6, 8, 12])(
    'humps of 6 K every %d h are found, each within five minutes, and no other',
    (hours) => {
      const put = every(hours, 4);
      const { values, time } = air(4, { humps: put });
      const found = humpsOf(values, time, 60)!;
      expect(found.everyHours).toBeCloseTo(hours, 1);
      expect(found.humps).toHaveLength(put.length);
      for (const [i, { peak }] of found.humps.entries())
        expect(Math.abs(peak - put[i]! - 1200)).toBeLessThan(300);
    },
  );

  test('one that is missed breaks nothing: the others are found and one is missing of those expected', () => {
    const put = every(8, 4).filter((_, i) => i !== 5);
    const { values, time } = air(4, { humps: put });
    const found = humpsOf(values, time, 60)!;
    expect([found.humps.length, found.expected]).toEqual([put.length, put.length + 1]);
  });

  test('doors, at any time or at the same hours each day, are no defrosts; nor is a band that was moved', () => {
    const random = seeded(5);
    const doors = Array.from({ length: 40 }, () => Math.floor(random() * 4 * 86_400));
    expect(humpsOf(...args(air(4, { doors })), 60)).toBeNull();
    const daily = [0, 1, 2, 3].flatMap((day) => [8, 16].map((hour) => day * 86_400 + hour * 3600));
    expect(humpsOf(...args(air(4, { doors: daily })), 60)).toBeNull();
    expect(humpsOf(...args(air(4, { movedAt: 2 * 86_400 })), 60)).toBeNull();
  });

  test('doors beside them are left out', () => {
    const put = every(6, 4);
    const { values, time } = air(4, { humps: put, doors: [38_000, 60_000, 144_000, 208_000, 297_000] });
    expect(humpsOf(values, time, 60)!.humps).toHaveLength(put.length);
  });

  test('slow humps that come as they like are no series', () => {
    const { values, time } = air(4, { humps: [9000, 40_000, 52_000, 119_000, 210_000, 300_000] });
    expect(humpsOf(values, time, 60)).toBeNull();
  });
});

const args = ({ values, time }: ReturnType<typeof air>) => [values, time] as const;
