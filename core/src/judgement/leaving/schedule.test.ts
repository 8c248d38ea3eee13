import { describe, expect, test } from '@jest/globals';
import { seeded } from '../../../testing/seeded.ts';
import { bestOrder, busy, isBetter, type Schedule, type Task } from './schedule.ts';

const { hands, machine, probe } = busy;
const long = process.env['BRINE_LONG'] === '1';

/** Proofs as visits have them: hands, a wait of the machine or of the probe, hands; some with a shorter way that borrows, some after others. */
function anyTasks(random: () => number, n: number): readonly Task[] {
  const pick = <Of>(list: readonly Of[]) => list[Math.floor(random() * list.length)]!;
  const minutes = (most: number) => 60 * Math.ceil(random() * most);
  return Array.from({ length: n }, (_, i): Task => {
    const held = pick([0, machine, probe, machine | probe]);
    const way = (wait: number, borrows: number) => ({
      phases: [
        { seconds: minutes(3), uses: hands | held },
        { seconds: wait, uses: held },
        { seconds: minutes(2), uses: hands | held },
      ],
      worth: Math.ceil(random() * 8),
      borrows,
      notBefore: random() < 0.2 ? minutes(15) : 0,
    });
    const wait = held === 0 ? 0 : minutes(20);
    return {
      id: `p${i}`,
      ways: random() < 0.3 && wait > 240 ? [way(wait, 0), way(wait / 4, 1)] : [way(wait, 0)],
      after: i > 0 && random() < 0.2 ? [`p${Math.floor(random() * i)}`] : [],
    };
  });
}

/**
 * Every order of every choice of ways, each task at the first minute at which it fits, minute by minute on a strip: written anew, without anything of what is tested.
 */
function exhaustive(tasks: readonly Task[], limit: number): Omit<Schedule, 'placed'> {
  let best = { worth: 0, borrows: 0, end: 0 };
  const strip = Array.from({ length: 24 * 60 }, () => 0);
  const ends = new Map<string, number>();
  const go = (left: readonly Task[], worth: number, borrows: number, end: number) => {
    if (isBetter({ worth, borrows, end }, best)) best = { worth, borrows, end };
    for (const task of left) {
      if (!task.after.every((id) => ends.has(id))) continue;
      for (const way of task.ways) {
        const least = Math.max(way.notBefore, ...task.after.map((id) => ends.get(id)!)) / 60;
        const wants = way.phases.flatMap(({ seconds, uses }) =>
          Array.from({ length: seconds / 60 }, () => uses),
        );
        let at = Math.ceil(least);
        while (wants.some((uses, i) => strip[at + i]! & uses)) at += 1;
        const over = 60 * (at + wants.length);
        if (over > limit) continue;
        wants.forEach((uses, i) => (strip[at + i]! |= uses));
        ends.set(task.id, over);
        go(
          left.filter((one) => one !== task),
          worth + way.worth,
          borrows + way.borrows,
          Math.max(end, over),
        );
        ends.delete(task.id);
        wants.forEach((uses, i) => (strip[at + i]! &= ~uses));
      }
    }
  };
  go(tasks, 0, 0, 0);
  return best;
}

// Oracle: a second implementation that tries every order, up to eight proofs with BRINE_LONG, six in the usual run.
test('no order of up to eight proofs does more, borrows less or is sooner over', () => {
  const random = seeded(2121);
  for (let n = 0; n < (long ? 200 : 60); n += 1) {
    const size = long ? 4 + Math.floor(random() * 5) : 3 + Math.floor(random() * 4);
    const tasks = anyTasks(random, size).map((task) => ({
      ...task,
      // Whole minutes, as the strip of the other has them.
      ways: task.ways.map((way) => ({
        ...way,
        phases: way.phases.map((one) => ({ ...one, seconds: 60 * Math.ceil(one.seconds / 60) })),
      })),
    }));
    const limit = 60 * (20 + Math.floor(random() * 70));
    const { worth, borrows, end, isProven } = bestOrder(tasks, limit, Infinity);
    expect([n, { worth, borrows, end }]).toEqual([n, exhaustive(tasks, limit)]);
    expect(isProven).toBe(true);
  }
});

describe('an order', () => {
  const waits = (id: string, minutes: number): Task => ({
    id,
    ways: [
      {
        phases: [
          { seconds: 60, uses: hands | machine },
          { seconds: 60 * minutes, uses: machine },
          { seconds: 60, uses: hands | machine },
        ],
        worth: 5,
        borrows: 0,
        notBefore: 0,
      },
    ],
    after: [],
  });
  const byHand = (id: string, minutes: number, worth = 2): Task => ({
    id,
    ways: [{ phases: [{ seconds: 60 * minutes, uses: hands }], worth, borrows: 0, notBefore: 0 }],
    after: [],
  });

  // Oracle: by hand: 1 + 10 + 1 min, and two times four minutes of hands within the ten.
  test('fills the waiting of one with the hands of the others', () => {
    const { end, placed } = bestOrder([byHand('a', 4), waits('w', 10), byHand('b', 4)], 3600);
    expect(end).toBe(720);
    expect(placed[0]!.id).toBe('w');
  });

  test('what has begun stays where it is, and what is worth most is done where not all fits', () => {
    const running: Task = { ...waits('w', 10), begun: 300 };
    const { placed, end } = bestOrder([byHand('a', 9, 1), byHand('b', 6, 4), running], 500);
    expect(placed.map(({ id, start }) => [id, start])).toEqual([
      ['w', -300],
      ['b', 0],
    ]);
    expect(end).toBe(420);
  });

  test('comes to an end with more proofs than can be tried', () => {
    const many = Array.from({ length: 16 }, (_, i) =>
      i % 2 ? waits(`w${i}`, 3 + i) : byHand(`h${i}`, 2 + i),
    );
    const { worth, placed } = bestOrder(many, 3600);
    expect(worth).toBeGreaterThan(20);
    expect(placed.length).toBeGreaterThan(5);
  });
});
