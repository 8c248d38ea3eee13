import { describe, expect, test } from '@jest/globals';
import { isSettingId } from '../../../foundation/settings/index.ts';
import { labelledRows } from '../../../../testing/labelled/rows.ts';
import { suggestSetting, type BookletRow } from './suggest.ts';

const row = (description: string, more: Partial<BookletRow> = {}): BookletRow => ({
  description,
  unit: '',
  min: '',
  max: '',
  default: '',
  ...more,
});
const best = (description: string, more: Partial<BookletRow> = {}) =>
  suggestSetting(row(description, more)).best?.setting ?? null;

describe('measured on labelled rows (oracle: the label)', () => {
  const measure = (half: 'test' | 'practice') => {
    const rows = labelledRows(half);
    const placed = rows.map((r) => ({ want: r.setting, got: suggestSetting(r).best?.setting ?? null }));
    return {
      rows: rows.length,
      nothing: rows.filter((r) => r.setting === null).length,
      right: placed.filter((p) => p.want === p.got).length / rows.length,
      falsely: placed.filter((p) => p.got !== null && p.got !== p.want).length / rows.length,
    };
  };

  test('at least 300 rows, 15 % of the test half fit nothing, every label is a setting', () => {
    const [one, two] = [measure('test'), measure('practice')];
    expect(one.rows + two.rows).toBeGreaterThanOrEqual(300);
    expect(one.nothing / one.rows).toBeGreaterThanOrEqual(0.15);
    for (const { setting } of [...labelledRows('test'), ...labelledRows('practice')])
      expect(setting === null || isSettingId(setting)).toBe(true);
  });

  test('the test half: at least 90 % right at first choice, at most 5 % placed falsely', () => {
    const { rows, right, falsely } = measure('test');
    console.log(
      `suggestions on ${rows} test rows: ${(right * 100).toFixed(1)} % right, ${(falsely * 100).toFixed(1)} % placed falsely`,
    );
    expect(right).toBeGreaterThanOrEqual(0.9);
    expect(falsely).toBeLessThanOrEqual(0.05);
  });

  test('the half it may learn from is no worse', () => {
    const { right, falsely } = measure('practice');
    expect(right).toBeGreaterThanOrEqual(0.95);
    expect(falsely).toBeLessThanOrEqual(0.05);
  });
});

describe('unit and range tell what words leave open', () => {
  test('a duration is no temperature', () => {
    expect(best('Defrost end', { unit: '°C', min: '0', max: '40', default: '8' })).toBe(
      'defrost.endTemperature',
    );
    expect(best('Defrost end temperature', { unit: 'min', min: '1', max: '90', default: '30' })).not.toBe(
      'defrost.endTemperature',
    );
  });

  test('pressure, humidity, counters and clocks fit nothing', () => {
    for (const words of [
      'Suction pressure set point',
      'Humidity set point',
      'Compressor hour counter',
      'Set clock: minutes',
    ])
      expect(best(words)).toBeNull();
  });

  test('an empty description fits nothing', () => expect(suggestSetting(row('')).best).toBeNull());
});

describe('the company’s own earlier choices', () => {
  const odd = row('Ice guard for tank wall', { unit: 'min', min: '0', max: '30', default: '3' });

  test('a wording nobody knows is placed once somebody has placed it', () => {
    expect(suggestSetting(odd).best).toBeNull();
    const learned = [{ description: 'Ice guard for tank wall', setting: 'compressor.minOffTime' as const }];
    expect(suggestSetting(odd, learned).best).toMatchObject({ setting: 'compressor.minOffTime' });
    expect(suggestSetting(row('Ice guard of tank wall', { unit: 'min' }), learned).best?.setting).toBe(
      'compressor.minOffTime',
    );
  });

  test('what its options are called is no part of how a row is worded', () => {
    const learned = [
      { description: 'Light relay: 0 = with door, 1 = by key', setting: 'access.shortcutKey' as const },
    ];
    const row_ = { ...row('Light relay: 0 = by key, 1 = off'), min: '0', max: '1', default: '0' };
    expect(suggestSetting(row_, learned).best?.setting).toBe('access.shortcutKey');
  });

  test('a choice that the unit forbids is not taken over', () => {
    const learned = [{ description: 'Ice guard for tank wall', setting: 'compressor.minOffTime' as const }];
    expect(suggestSetting({ ...odd, unit: '°C' }, learned).best).toBeNull();
  });

  test('it outweighs the pattern, which becomes the runner-up', () => {
    const plain = row('Defrost time', { unit: 'min', min: '1', max: '60', default: '20' });
    const learned = [{ description: 'Defrost time', setting: 'defrost.interval' as const }];
    const { best: first, runnerUp } = suggestSetting(plain, learned);
    expect([first?.setting, runnerUp?.setting]).toEqual(['defrost.interval', 'defrost.maxDuration']);
  });

  test('what was said to fit nothing is not proposed again', () => {
    const learned = [{ description: 'Defrost time of neighbour unit', setting: null }];
    expect(suggestSetting(row('Defrost time of neighbour unit', { unit: 'min' }), learned).best).toBeNull();
  });
});
