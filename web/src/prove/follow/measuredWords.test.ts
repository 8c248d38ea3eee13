import { describe, expect, test } from '@jest/globals';
import { measuredText } from './measuredWords.ts';

describe('measured, in words', () => {
  test.each([
    [{ kind: 'drain', value: 242, plusMinus: 1 }, '4:02 min ± 1 s'],
    [{ kind: 'drain', value: 41.6, plusMinus: 0.5 }, '42 s ± 1 s'],
    [{ kind: 'rest', value: 3900, plusMinus: 2.5 }, '1 h 5 min ± 3 s'],
    [{ kind: 'cutOut', value: 0, plusMinus: 0.05 }, '32.0 °F ± 0.1'],
  ] as const)('%j', (measured, words) => expect(measuredText(measured, 'degF')).toBe(words));
});
