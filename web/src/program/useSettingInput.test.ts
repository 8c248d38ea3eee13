import { describe, expect, test } from '@jest/globals';
import { ref } from 'vue';
import type { TemperatureUnit } from '@brine/core/foundation/quantities';
import type { SettingId, SettingValue } from '@brine/core/foundation/settings';
import { useSettingInput } from './useSettingInput.ts';

function field(id: SettingId, value: SettingValue, unit: TemperatureUnit = 'degF') {
  const taken: SettingValue[] = [];
  const shown = ref(unit);
  const input = useSettingInput(id, ref(value), shown, (next) => taken.push(next));
  return { ...input, taken, shown, type: (text: string) => ((input.text.value = text), input.commit()) };
}

describe('a field for an amount', () => {
  test('a difference stays a difference in either unit: 6 °F is 3.33 K', async () => {
    const f = field('regulation.differential', { value: 6, unit: 'deltaF' });
    expect(f.text.value).toBe('6');
    f.shown.value = 'degC';
    await Promise.resolve();
    expect(f.text.value).toBe('3.33');
    expect(f.symbol.value).toBe('K');
  });

  test('a bare number is taken in the unit shown, a typed unit as typed', () => {
    const f = field('defrost.endTemperature', { value: 55, unit: 'degF' });
    f.type('60');
    f.type('10 °C');
    expect(f.taken).toEqual([
      { value: 60, unit: 'degF' },
      { value: 10, unit: 'degC' },
    ]);
  });

  test('what was not changed is not written again: 3.33 K shown for 6 °F is no change', async () => {
    const f = field('regulation.differential', { value: 6, unit: 'deltaF' }, 'degC');
    f.commit();
    expect(f.taken).toEqual([]);
  });

  test.each([
    ['regulation.differential', { value: 6, unit: 'deltaF' }, '2F'],
    ['defrost.maxDuration', { value: 30, unit: 'min' }, 'half an hour'],
    ['defrost.maxDuration', { value: 30, unit: 'min' }, ''],
    ['regulation.differential', { value: 6, unit: 'deltaF' }, '-4'],
  ] as const)(
    '%s: what cannot be meant is refused with a sentence and stays in the field',
    (id, value, text) => {
      const f = field(id, value);
      f.type(text);
      expect(f.taken).toEqual([]);
      expect(f.problem.value).toMatch(/\S+ \S+/);
      expect(f.text.value).toBe(text);
    },
  );
});
