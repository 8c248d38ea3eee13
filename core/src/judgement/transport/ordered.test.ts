import { describe, expect, test } from '@jest/globals';
import { inWords } from '../../foundation/sentences/index.ts';
import { quantity, valueIn } from '../../foundation/quantities/index.ts';
import { keyForOrder } from './ordered.ts';

const ordered = valueIn(quantity(45, 'degF'), 'degC');
const threeF = 3 / 1.8;

describe('what is keyed for what was ordered', () => {
  test('45 °F ordered, a display 3 °F too warm and no offset: 48 (by hand)', () => {
    const { key, words } = keyForOrder(ordered, threeF, false, 'degF');
    expect(key).toEqual({ value: 48, unit: 'degF' });
    expect(inWords(words, 'degF')).toContain('Ordered 45 °F: key 48 °F. The display reads 3 dF too warm');
  });
  test('too cold the other way', () => {
    expect(keyForOrder(ordered, -threeF, false, 'degF').key.value).toBe(42);
  });
  test('with an offset the probe is mended and the order keyed', () => {
    const { key, words } = keyForOrder(ordered, threeF, true, 'degF');
    expect(key.value).toBe(45);
    expect(inWords(words, 'degF')).toContain('Key its offset under Probes first');
  });
  test('right, or never compared: as ordered, and the second is said', () => {
    expect(keyForOrder(7, 0.1, false, 'degC').key).toEqual({ value: 7, unit: 'degC' });
    expect(inWords(keyForOrder(7, null, false, 'degC').words)).toContain('Nobody has compared');
  });
});
