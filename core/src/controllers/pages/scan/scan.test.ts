import { describe, expect, test } from '@jest/globals';
import { seeded } from '../../../../testing/seeded.ts';
import { inkOf } from './inkOf.ts';
import { slantOf, turned } from './level.ts';
import { likelyCodes } from './likelyCodes.ts';
import { likelyUnits } from './likelyUnits.ts';
import { cutOut, scaled } from './parts.ts';
import { greyOf, type Picture } from './picture.ts';
import { prepare } from './prepare.ts';
import { printHeight } from './printHeight.ts';
import { withoutRulings } from './rulings.ts';

const WIDTH = 600;
const HEIGHT = 400;

/** A page with lines of blocks for letters, 8 wide and 12 high, and where wanted rulings between the lines. */
function page({ rulings = false, shadow = false, print = 12 } = {}): Picture {
  const grey = new Uint8Array(WIDTH * HEIGHT).fill(230);
  const block = (left: number, top: number, wide: number, high: number) => {
    for (let y = top; y < top + high; y++) for (let x = left; x < left + wide; x++) grey[y * WIDTH + x] = 30;
  };
  for (let top = 40; top < HEIGHT - 40; top += 3 * print) {
    for (let left = 60; left < WIDTH - 60; left += print) block(left, top, Math.round(print * 0.6), print);
    if (rulings) block(40, top + 2 * print - 1, WIDTH - 80, 2);
  }
  if (rulings) for (const left of [40, 250, WIDTH - 40]) block(left, 30, 2, HEIGHT - 60);
  if (shadow)
    for (let i = 0; i < grey.length; i++)
      grey[i] = Math.round(grey[i]! * (0.35 + (0.65 * (i % WIDTH)) / WIDTH));
  return { width: WIDTH, height: HEIGHT, grey };
}
const count = (ink: Uint8Array) => ink.reduce((sum, one) => sum + one, 0);

describe('ink and paper', () => {
  test('grey by the weights of BT.601, on white paper where nothing is', () => {
    expect([...greyOf([255, 0, 0, 255, 0, 255, 0, 255, 0, 0, 255, 255, 0, 0, 0, 0], 4, 1).grey]).toEqual([
      76, 150, 29, 255,
    ]);
  });

  test('a shadow across the page changes nothing: the same ink as without', () => {
    const [even, shaded] = [inkOf(page()), inkOf(page({ shadow: true }))];
    const different = even.ink.reduce((sum, one, i) => sum + (one === shaded.ink[i] ? 0 : 1), 0);
    expect(different / count(even.ink)).toBeLessThan(0.02);
  });

  test('the height of print is that of its letters, with rulings and without', () => {
    expect(printHeight(inkOf(page()))).toBe(12);
    expect(printHeight(inkOf(page({ rulings: true })))).toBe(12);
    expect(printHeight(inkOf({ width: 50, height: 50, grey: new Uint8Array(2500).fill(255) }))).toBe(0);
  });
});

describe('rulings', () => {
  test('are taken out; the letters stay', () => {
    const [plain, ruled] = [inkOf(page()), inkOf(page({ rulings: true }))];
    expect(count(ruled.ink)).toBeGreaterThan(count(plain.ink) + 5000);
    const clean = withoutRulings(ruled, 20);
    const lost = plain.ink.reduce((sum, one, i) => sum + (one && !clean.ink[i] ? 1 : 0), 0);
    const left = clean.ink.reduce((sum, one, i) => sum + (one && !plain.ink[i] ? 1 : 0), 0);
    expect([lost / count(plain.ink) < 0.02, left / count(plain.ink) < 0.02]).toEqual([true, true]);
  });
});

describe('slant', () => {
  // Oracle: a page that was turned by a known angle.
  test.each([[-3], [-1.5], [0], [1], [2.5]])('of %s degrees is found and set level', (degrees) => {
    const found = slantOf(inkOf(turned(page(), degrees)));
    expect(Math.abs(found - degrees)).toBeLessThanOrEqual(0.25);
    expect(Math.abs(slantOf(inkOf(turned(turned(page(), degrees), -found))))).toBeLessThanOrEqual(0.25);
  });

  test('a page with hardly any ink is taken as level', () => {
    expect(slantOf({ width: 10, height: 10, ink: new Uint8Array(100) })).toBe(0);
  });
});

describe('parts', () => {
  test('a cut-out has its pixels and a white margin', () => {
    const cut = cutOut(
      { width: 3, height: 2, grey: Uint8Array.of(1, 2, 3, 4, 5, 6) },
      { left: 1, top: 0, right: 3, bottom: 1 },
      1,
    );
    expect([cut.width, cut.height]).toEqual([4, 3]);
    expect([...cut.grey]).toEqual([255, 255, 255, 255, 255, 2, 3, 255, 255, 255, 255, 255]);
  });

  test('enlarging keeps an even grey and lies between neighbours', () => {
    const even = scaled({ width: 4, height: 4, grey: new Uint8Array(16).fill(77) }, 2.5);
    expect([even.width, even.height, new Set(even.grey).size, even.grey[0]]).toEqual([10, 10, 1, 77]);
    const ramp = scaled({ width: 2, height: 1, grey: Uint8Array.of(0, 100) }, 4).grey;
    for (let i = 1; i < 8; i++) expect(ramp[i]!).toBeGreaterThanOrEqual(ramp[i - 1]!);
  });
});

describe('a page made ready', () => {
  test('small print is enlarged, its rulings are gone, a slant is set level', () => {
    const ready = prepare(turned(page({ rulings: true }), 2))!;
    expect(ready.scale).toBeCloseTo(3, 0);
    expect(ready.clean.width).toBe(Math.round(WIDTH * ready.scale));
    expect(Math.abs(slantOf(inkOf(ready.level)))).toBeLessThanOrEqual(0.25);
  });

  test('an empty page is nothing to read', () => {
    expect(prepare({ width: 80, height: 80, grey: new Uint8Array(6400).fill(240) })).toBeNull();
  });
});

describe('codes that were read badly', () => {
  const codes = ['C', 'D', 'F', 'A'].flatMap((letter) =>
    Array.from({ length: 9 }, (_, i) => `${letter}0${i + 1}`),
  );
  /** What readers of letters make of a code: common mistakes, at random. */
  const spoilt = (code: string, next: () => number) =>
    code
      .replace(/0/, () => (next() < 0.5 ? 'O' : '0'))
      .replace(/1$/, () => (next() < 0.5 ? 'l' : '1'))
      .replace(/8$/, () => (next() < 0.3 ? 'B' : '8'))
      .replace(/^C/, () => (next() < 0.4 ? 'c' : 'C'))
      .replace(/^D0/, (one) => (next() < 0.3 ? 'DO0' : one));

  test.each([[1], [2], [3]])('a list with half of its codes spoilt comes out right, seed %s', (seed) => {
    const next = seeded(seed);
    expect(likelyCodes(codes.map((code) => [spoilt(code, next), spoilt(code, next)]))).toEqual(codes);
  });

  test('codes that are no letters and number stay as read', () => {
    const words = [['SP'], ['Hy'], ['AC'], ['dF'], ['FnC'], ['ALH']];
    expect(likelyCodes(words)).toEqual(words.map(([word]) => word));
  });

  test('a heading and an empty cell among them stay', () => {
    expect(likelyCodes([['Par.'], ['C0l', 'C01'], [], ['C02'], ['CO3'], ['C04']])).toEqual([
      'Par.',
      'C01',
      '',
      'C02',
      'C03',
      'C04',
    ]);
  });

  test('a jump in the numbers stays a jump', () => {
    expect(likelyCodes([['H01'], ['H02'], ['H07'], ['H12'], ['H20']])).toEqual([
      'H01',
      'H02',
      'H07',
      'H12',
      'H20',
    ]);
  });
});

describe('units that were read badly', () => {
  test('become what the column holds already', () => {
    expect(likelyUnits(['°C', '°C', 'TC', 'min', 'nin', 'h', 'K', 'K', 'KK'])).toEqual([
      '°C',
      '°C',
      '°C',
      'min',
      'min',
      'h',
      'K',
      'K',
      'K',
    ]);
  });

  test('a column of anything else stays', () => {
    expect(likelyUnits(['on', 'off', 's', 'min', 'yes'])).toEqual(['on', 'off', 's', 'min', 'yes']);
  });
});
