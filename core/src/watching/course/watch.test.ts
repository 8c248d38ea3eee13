import { describe, expect, test } from '@jest/globals';
import {
  anyMake,
  anyView,
  courseOf,
  drawn,
  goodMake,
  goodView,
  type Scripted,
} from '../../../testing/litDisplay.ts';
import { seeded } from '../../../testing/seeded.ts';
import { showsAs } from '../characters/index.ts';
import { notWatching, watch, withLamp, type Shown, type Watching } from './index.ts';
import { lightsOf, type Picture } from '../light/index.ts';

const LONG = process.env['BRINE_LONG'] === '1';
const COURSES = LONG ? 40 : 2;

/** Watches a script and keeps what was accepted, picture by picture, and every change. */
function watched(
  pictures: readonly { readonly at: number; readonly picture: Picture }[],
  lampAt?: readonly [number, number],
) {
  let watching: Watching = notWatching;
  const accepted: { at: number; text: string }[] = [];
  const changes: Shown[] = [];
  const lamps: { is: string; since: number }[] = [];
  let touched = false;
  for (const { at, picture } of pictures) {
    const step = watch(watching, lightsOf(picture, 480), at);
    watching = step.watching;
    if (lampAt && !touched && watching.pose) {
      watching = withLamp(watching, 'lamp', lampAt[0], lampAt[1], at);
      touched = true;
    }
    if (step.text !== null) accepted.push({ at, text: step.text });
    if (step.changed) changes.push(step.changed);
    lamps.push(...step.lamps);
  }
  return { accepted, changes, lamps };
}

const script = (...texts: [number, string][]): readonly Scripted[] =>
  texts.map(([from, text]) => ({ from, text }));

describe('a display that is watched', () => {
  test('what is accepted is what stood there, and a change is seen within two seconds, on displays of every make', () => {
    let [right, wrong, changes, late, inexact, unsure, unread] = [0, 0, 0, 0, 0, 0, 0];
    for (let seed = 0; seed < COURSES; seed += 1) {
      const chance = seeded(7_000 + seed);
      const make = anyMake(chance);
      const view = { ...anyView(chance, 0.6), noise: 0.01 };
      const texts = script([0, '24.3'], [3, '24.2'], [6, '24.0'], [9, 'dEF'], [12, '-8'], [15, '31']);
      const flicker = chance() < 0.5 ? 0.5 : 0;
      const { accepted, changes: seen } = watched(
        courseOf(make, view, texts, { seconds: 18, rate: 8, flicker }, chance),
      );
      if (accepted.length === 0) {
        unread += 1;
        continue;
      }
      for (const { at, text } of accepted) {
        // For the window that is looked back over the former text may still be given.
        const standing = texts.filter(({ from }) => from <= at);
        const allowed = [standing.at(-1)!, ...(at - standing.at(-1)!.from < 1.3 ? [standing.at(-2)] : [])];
        if (allowed.some((one) => one && showsAs(text, one.text))) right += 1;
        else wrong += 1;
      }
      const first = accepted[0]!.at;
      for (const { from, text } of texts.filter((one) => one.from > first)) {
        changes += 1;
        const told = accepted.find(
          ({ at, text: given }) => at >= from && at < from + 3 && showsAs(given, text),
        );
        // Not sure for as long as it stood there: said, and no wrong reading.
        if (!told) {
          unsure += 1;
          continue;
        }
        const found = seen.find((one) => showsAs(one.text, text) && Math.abs(one.since - from) < 0.3);
        if (told.at - from > 2) late += 1;
        else if (!found) inexact += 1;
      }
    }
    if (LONG) console.info({ right, wrong, changes, late, inexact, unsure, unread });
    expect(wrong).toBeLessThanOrEqual(0.01 * (right + wrong));
    expect(late).toBeLessThanOrEqual(0.01 * changes);
    expect(inexact).toBeLessThanOrEqual(0.05 * changes);
    expect(unsure).toBeLessThanOrEqual(0.05 * changes);
    expect(unread).toBeLessThanOrEqual(Math.max(1, 0.25 * COURSES));
  }, 3_600_000);

  test('one that shows two texts by turns gives both, and none made of both', () => {
    const chance = seeded(11);
    const turns = Array.from({ length: 8 }, (_, i): [number, string] => [i * 1.5, i % 2 ? 'E1' : '8.4']);
    const { accepted } = watched(
      courseOf(goodMake, goodView, script(...turns), { seconds: 12, rate: 8, flicker: 0 }, chance),
    );
    const told = new Set(accepted.map(({ text }) => text));
    expect(told).toEqual(new Set(['8.4', 'E1']));
  });

  test('one that blinks is read all the while; one that goes out is dark after two seconds, since it went out', () => {
    const chance = seeded(12);
    const turns: [number, string][] = [
      ...Array.from({ length: 8 }, (_, i): [number, string] => [i * 0.5, i % 2 ? '' : '4.0']),
      [4, ''],
    ];
    const { changes } = watched(
      courseOf(goodMake, goodView, script(...turns), { seconds: 9, rate: 10, flicker: 0 }, chance),
    );
    expect(changes.map(({ text }) => text)).toEqual(['4.0', '']);
    expect(Math.abs(changes[1]!.since - 3.5)).toBeLessThan(0.2);
  });

  test('a display lit digit by digit against the beat of the camera is read whole or not at all', () => {
    const chance = seeded(13);
    const { accepted } = watched(
      courseOf(
        goodMake,
        goodView,
        script([0, '18.4']),
        { seconds: 8, rate: 10, flicker: 0, beat: 2.3 },
        chance,
      ),
    );
    expect(accepted.length).toBeGreaterThan(20);
    expect(new Set(accepted.map(({ text }) => text))).toEqual(new Set(['18.4']));
  });

  test('a lamp that was touched is on, off or blinks, from the moment it does', () => {
    const chance = seeded(14);
    const lamp = (at: number) => (at < 3 ? false : at < 7 ? true : Math.floor(at / 0.5) % 2 === 0);
    const course = courseOf(
      goodMake,
      goodView,
      script([0, '3.8']),
      { seconds: 12, rate: 10, flicker: 0, lamp },
      chance,
    );
    const { lamps } = watched(course, course[0]!.lampAt);
    expect(lamps.map(({ is }) => is)).toEqual(['off', 'on', 'blinks']);
    expect(Math.abs(lamps[1]!.since - 3)).toBeLessThan(0.2);
    expect(Math.abs(lamps[2]!.since - 7)).toBeLessThan(1.1);
  });

  test('where no display is in the picture nothing is accepted, and that is why', () => {
    const chance = seeded(15);
    const empty = drawn(goodMake, { ...goodView, gain: 0 }, '', chance);
    const pictures = Array.from({ length: 12 }, (_, i) => ({ at: i * 0.1, picture: empty }));
    expect(watched(pictures).accepted).toEqual([]);
  });
});
