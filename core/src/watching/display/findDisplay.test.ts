import { describe, expect, test } from '@jest/globals';
import { anyMake, anyText, anyView, drawn, goodMake, goodView } from '../../../testing/litDisplay.ts';
import { seeded } from '../../../testing/seeded.ts';
import { showsAs } from '../characters/index.ts';
import { lightsOf } from '../light/index.ts';
import { findDisplay, track } from './index.ts';
import { heightOf } from './pose.ts';

const LONG = process.env['BRINE_LONG'] === '1';
const PICTURES = LONG ? 600 : 12;
const WIDTH = 480;

describe('a display in a picture', () => {
  test('of displays of every make, aslant, out of focus, under reflections and noise, nearly all that are read are read right', () => {
    let [right, wrong, notRead] = [0, 0, 0];
    const failures: string[] = [];
    for (let seed = 0; seed < PICTURES; seed += 1) {
      const chance = seeded(40_000 + seed);
      const make = anyMake(chance);
      const view = anyView(chance);
      const text = anyText(chance, make.digits);
      const found = findDisplay(lightsOf(drawn(make, view, text, chance), WIDTH));
      if (!found) notRead += 1;
      else if (showsAs(found.text, text)) right += 1;
      else {
        wrong += 1;
        failures.push(`${seed}: ${text} read as ${found.text}`);
      }
    }
    if (LONG) console.info({ right, wrong, notRead, failures });
    // The oracle is what was drawn. Issue: 99 % of accepted frames right; one picture alone is harder than a course of them.
    expect(wrong).toBeLessThanOrEqual(Math.floor(0.01 * (right + wrong)));
    expect(right).toBeGreaterThan(0.7 * PICTURES);
  }, 3_600_000);

  test('its pose is where it was drawn: the height from the upper to the lower segments', () => {
    const chance = seeded(1);
    for (const size of [36, 60, 90]) {
      const view = { ...goodView, size };
      const found = findDisplay(lightsOf(drawn(goodMake, view, '-18.4', chance), WIDTH))!;
      expect(found.text).toBe('-18.4');
      // Within a segment's thickness, since a segment is lit all across.
      expect(Math.abs(heightOf(found.pose) - size)).toBeLessThan(goodMake.thickness * size);
    }
  });

  test('where nothing is lit, nothing is found; nor on a display that is dark, or too far away', () => {
    const chance = seeded(2);
    const nothing = { ...goodView, gain: 0 };
    expect(findDisplay(lightsOf(drawn(goodMake, nothing, '8.8', chance), WIDTH))).toBeNull();
    const far = { ...goodView, size: 5 };
    expect(findDisplay(lightsOf(drawn(goodMake, far, '8.8', chance), WIDTH))).toBeNull();
  });

  test('a display whose digit is hidden under a reflection is not read, and never as another number', () => {
    for (let seed = 0; seed < 12; seed += 2) {
      const chance = seeded(300 + seed);
      const glare = { light: 1.5, x: 0.44 + 0.012 * seed, y: 0.5, reach: 26 };
      const found = findDisplay(lightsOf(drawn(goodMake, { ...goodView, glare }, '28.6', chance), WIDTH));
      if (found) expect(found.text).toBe('28.6');
    }
  });

  test('once found it is read on the next picture, a little moved, with another text and a minus more', () => {
    const chance = seeded(3);
    const first = lightsOf(drawn(goodMake, goodView, '2.5', chance), WIDTH);
    const found = findDisplay(first)!;
    const moved = { ...goodView, at: [goodView.at[0] + 4, goodView.at[1] - 3] as const };
    for (const text of ['3.8', '-3.8', '12.4', 'dEF']) {
      const seen = track(
        lightsOf(drawn(goodMake, moved, text, chance), WIDTH)[found.by],
        found.pose,
        found.level,
      );
      expect(seen.kind === 'read' && showsAs(seen.text, text)).toBe(true);
    }
    const dark = track(
      lightsOf(drawn(goodMake, moved, '', chance), WIDTH)[found.by],
      found.pose,
      found.level,
    );
    expect(dark).toEqual({ kind: 'notRead', why: 'dark' });
  });
});
