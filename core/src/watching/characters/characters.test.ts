import { describe, expect, test } from '@jest/globals';
import { characterOf, numberOf, patternsOf, showsAs, textOf } from './index.ts';

describe('what seven segments show', () => {
  // Common practice: the ten digits as every seven-segment driver draws them (a = 1, b = 2 … g = 64).
  test.each([
    ['0', 0x3f],
    ['1', 0x06],
    ['2', 0x5b],
    ['3', 0x4f],
    ['4', 0x66],
    ['5', 0x6d],
    ['6', 0x7d],
    ['7', 0x07],
    ['8', 0x7f],
    ['9', 0x6f],
  ])('%s is drawn and read as usual', (digit, pattern) => {
    expect(patternsOf(digit)[0]).toBe(pattern);
    expect(characterOf(pattern)).toBe(digit);
  });

  test('a pattern that no control shows is no character', () => {
    expect(characterOf(0b0100001)).toBeNull();
    expect(
      textOf([
        { pattern: 0x06, point: false },
        { pattern: 0b0100001, point: false },
      ]),
    ).toBeNull();
  });

  test('dark digits on either side and a point behind the last are no part of a text; dark ones within it are none', () => {
    const dark = { pattern: 0, point: false };
    const one = { pattern: 0x06, point: false };
    expect(textOf([dark, one, { pattern: 0x7f, point: true }])).toBe('18');
    expect(textOf([dark, { ...one, point: true }, { pattern: 0x7f, point: false }])).toBe('1.8');
    expect(textOf([one, dark, one])).toBeNull();
    expect(textOf([{ pattern: 0, point: true }, one])).toBeNull();
    expect(textOf([dark, dark])).toBe('');
  });

  test('a text is held against what is meant as segments draw it', () => {
    expect(showsAs('5Et', 'SEt')).toBe(true);
    expect(showsAs('0FF', 'OFF')).toBe(true);
    expect(showsAs('-18.4', '−18.4')).toBe(true);
    expect(showsAs('4.0', '4.0 °C'.replace(' °C', ''))).toBe(true);
    expect(showsAs('40', '4.0')).toBe(false);
    expect(showsAs('18.4', '-18.4')).toBe(false);
    expect(showsAs('3.8', '3.9')).toBe(false);
    // No seven segments draw a K or an M: what asks for one is never shown.
    expect(showsAs('12', 'K12')).toBe(false);
    expect(showsAs('12', '12:')).toBe(true);
  });

  test('numbers are numbers, words are none', () => {
    expect(numberOf('-18.4')).toBe(-18.4);
    expect(numberOf('38')).toBe(38);
    expect(numberOf('DEF')).toBeNull();
    expect(numberOf('-')).toBeNull();
    expect(numberOf('1-2')).toBeNull();
  });
});
