import { describe, expect, test } from '@jest/globals';
import { scenarioOf } from '../../../testing/ownLog.ts';
import { templateIds } from '../box/index.ts';
import { doorOfHabit } from './doorHabit.ts';
import { ambientCourse, type OwnPlant } from './ownPlant.ts';
import type { Scenario } from './scenario.ts';
import { UnitRun } from './unitRun.ts';

const DAY = 86_400;
const habit = { perHour: 10, seconds: 20, opens: 8 * 3600, closes: 18 * 3600 };

/** Openings and seconds open of a day. */
function dayOf(door: (second: number) => boolean) {
  let [openings, seconds, outside] = [0, 0, 0];
  for (let s = 0; s < DAY; s += 1) {
    if (!door(s)) continue;
    seconds += 1;
    if (s < habit.opens || s >= habit.closes + 300) outside += 1;
    if (!door(s - 1)) openings += 1;
  }
  return { openings, seconds, outside };
}

describe('a door by habit', () => {
  test('evenly spread: so many an hour, so long, in business hours alone', () =>
    expect(dayOf(doorOfHabit({ ...habit, seed: null }, 0))).toEqual({
      openings: 100,
      seconds: 2000,
      outside: 0,
    }));

  test('by chance: the same in the mean of many days, no day like another', () => {
    const days = Array.from({ length: 60 }, (_, day) => dayOf(doorOfHabit({ ...habit, seed: 4 }, day)));
    const mean = (of: (d: (typeof days)[0]) => number) =>
      days.reduce((sum, d) => sum + of(d), 0) / days.length;
    // An opening takes the time of the next: 10 an hour of 20 s each leave 95 in ten hours (3600 / (360 + 20) · 10); a mean of 60 days errs by 1.3.
    expect(mean((d) => d.openings)).toBeGreaterThan(88);
    expect(mean((d) => d.openings)).toBeLessThan(100);
    expect(mean((d) => d.seconds / d.openings)).toBeCloseTo(20, -1);
    expect(days.every((d) => d.outside === 0)).toBe(true);
    expect(new Set(days.map((d) => d.openings)).size).toBeGreaterThan(5);
  });
});

describe('the air around', () => {
  const own = { swing: 3, weather: [2, -2] } as unknown as OwnPlant;
  test('is warmest at three, coldest at three in the night, and its days have their mean', () => {
    const calm = { ...own, weather: [] };
    expect(ambientCourse(calm, 0, 15 * 3600)).toBeCloseTo(3, 9);
    expect(ambientCourse(calm, 0, 3 * 3600)).toBeCloseTo(-3, 9);
    let sum = 0;
    for (let s = 0; s < DAY; s += 60) sum += ambientCourse(calm, 0, s);
    expect(sum / (DAY / 60)).toBeCloseTo(0, 9);
  });

  test('goes from day to day without a jump', () => {
    const before = ambientCourse(own, 0, DAY - 1);
    expect(ambientCourse(own, 1, 0)).toBeCloseTo(before, 3);
    // At noon a day has its own: the swing is at 0.707 of its height three hours off its top.
    expect(ambientCourse(own, 0, DAY / 2) - 3 * Math.SQRT1_2).toBeCloseTo(2, 9);
  });
});

// Oracle: the same run looked at second by second.
test.each(templateIds.filter((id) => id !== 'chilledWaterTank'))(
  'seconds passed over at once change nothing in a %s',
  (id) => {
    const scenario: Scenario = { ...scenarioOf(id), seconds: 43_200, warmUp: 43_200 };
    const total = scenario.seconds + scenario.warmUp;
    const by = new UnitRun(scenario, 10);
    const at = new UnitRun(scenario, 10);
    by.beginCount();
    at.beginCount();
    let looked = 0;
    for (let t = 0; t < total;) {
      const passed = at.letQuietPass(t, total - t);
      if (passed === 0) {
        at.second(t);
        looked += 1;
      }
      t += passed || 1;
    }
    for (let t = 0; t < total; t += 1) by.second(t);
    by.advance();
    at.advance();
    expect(at.events).toEqual(by.events);
    expect([...at.standing.box.at]).toEqual([...by.standing.box.at]);
    expect(at.count.figures(at.flows)).toEqual(by.count.figures(by.flows));
    // It is worth having; an engine is looked at every second.
    if (!scenario.engine) expect(looked).toBeLessThan(total / 2);
  },
);
