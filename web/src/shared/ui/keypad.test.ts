import { expect, test } from '@jest/globals';
import type { Encoding } from '@brine/core/controllers/definitions';
import { keypadOf, keypadOfKind } from './keypad.ts';

const number = (min: number): Encoding => ({ type: 'number', unit: 'min', resolution: 1, min, max: 60 });

test('a number pad where nothing lies below zero; all keys where a minus, a letter or a colon may be typed', () => {
  expect(keypadOf(number(0))).toBe('decimal');
  expect(keypadOf(number(-9))).toBe('text');
  expect(keypadOf(null)).toBe('text');
  expect(keypadOfKind('duration')).toBe('decimal');
  expect(keypadOfKind('temperatureDifference')).toBe('text');
  expect(keypadOfKind('clockTimes')).toBe('text');
});
