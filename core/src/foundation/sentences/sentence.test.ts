import { describe, expect, test } from '@jest/globals';
import { quantity } from '../quantities/index.ts';
import { inWords, joinSentences, sentence } from './sentence.ts';

// Oracle: °F = 9/5 °C + 32, dF = 9/5 K (definitions of the scales).
describe('a sentence that holds its quantities', () => {
  const cutIn = quantity(-19, 'degC');
  const width = quantity(5, 'K');
  const text = sentence`Runs from ${cutIn} down; ${width} below it, in ${quantity(40, 'min')}.`;

  test.each([
    [undefined, 'Runs from −19 °C down; 5 K below it, in 40 min.'],
    ['degC', 'Runs from −19 °C down; 5 K below it, in 40 min.'],
    ['degF', 'Runs from −2.2 °F down; 9 dF below it, in 40 min.'],
  ] as const)('for a reader of %s', (reader, words) => expect(inWords(text, reader)).toBe(words));

  test('a value in the reader’s own unit is not rounded anew', () =>
    expect(inWords(sentence`${quantity(82.37, 'degF')}, ${quantity(1.24, 'deltaF')}`, 'degF')).toBe(
      '82.37 °F, 1.24 dF',
    ));

  test('words that look like a quantity are words', () => {
    const typed = sentence`Pt1000 K at 12 °C: ${'4 K/min'} and ${-3}`;
    expect(typed).toBe('Pt1000 K at 12 °C: 4 K/min and −3');
    expect(inWords(typed, 'degF')).toBe(typed);
  });

  test('sentences join with their quantities and survive being sent', () => {
    const whole = joinSentences([sentence`Restarts at ${cutIn}`, 'Lower it', sentence`by ${width}`], '; ');
    const sent = JSON.parse(JSON.stringify(sentence`(${whole})`)) as typeof whole;
    expect(inWords(sent, 'degF')).toBe('(Restarts at −2.2 °F; Lower it; by 9 dF)');
    expect(inWords(joinSentences([], ', '))).toBe('');
  });
});
