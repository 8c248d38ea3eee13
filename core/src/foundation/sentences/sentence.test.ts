import { describe, expect, test } from '@jest/globals';
import { sentenceFor } from './sentence.ts';

// Oracle: °F = 9/5 °C + 32, dF = 9/5 K (definitions of the scales).
describe('a sentence for a reader of the other scale', () => {
  test.each([
    ['Cut-in at −19 °C keeps the air.', 'Cut-in at −2.2 °F keeps the air.'],
    ['Runs from 14 °C down to 12 °C; wide.', 'Runs from 57.2 °F down to 53.6 °F; wide.'],
    ['Start at 10 to 16 °C.', 'Start at 50 to 60.8 °F.'],
    ['5 K above cut-in −40 °C', '9 dF above cut-in −40 °F'],
    ['(20.5 °C)', '(68.9 °F)'],
  ])('%s', (celsius, fahrenheit) => {
    expect(sentenceFor(celsius, 'degF')).toBe(fahrenheit);
    expect(sentenceFor(fahrenheit, 'degC')).toBe(celsius);
    expect(sentenceFor(celsius, 'degC')).toBe(celsius);
  });

  test.each([
    'Lengthen it: 40 min of 3 h, 240 V, 7.6 bar, 30 %.',
    '12 W/K and 4 K/min, Pt1000 K, R-404A',
    'Code d02 on 3, counts from 1',
    '',
  ])('all else stays: %s', (text) => {
    expect(sentenceFor(text, 'degF')).toBe(text);
    expect(sentenceFor(text, 'degC')).toBe(text);
  });

  test('a value that was typed in the reader’s unit is not rounded anew', () =>
    expect(sentenceFor('82.37 °F and 1.234 dF', 'degF')).toBe('82.37 °F and 1.234 dF'));
});
