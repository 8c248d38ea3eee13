import { describe, expect, test } from '@jest/globals';
import { family, sheetOf } from '../../../testing/families.ts';
import { decode } from './decode.ts';

describe('decoding a sheet', () => {
  test('a value follows the display unit of the sheet, not of the definition', () => {
    const { values } = decode(family('skerry-dx'), sheetOf({ t1: '-9.4', t2: 4, p1: 1, p2: 1 }));
    expect(values['regulation.setpoint']).toEqual({ value: -9.4, unit: 'degF' });
    expect(values['regulation.differential']).toEqual({ value: 4, unit: 'deltaF' });
    expect(values['display.unit']).toBe('fahrenheit');
  });

  test('without the unit on the sheet the default of the definition reads the numbers, and nothing is said of the unit', () => {
    const { values } = decode(family('skerry-dx'), sheetOf({ t1: '-22.5' }));
    expect(values['regulation.setpoint']).toEqual({ value: -22.5, unit: 'degC' });
    expect(values).not.toHaveProperty(['display.unit']);
  });

  test('a code not on the sheet is unknown, neither quiet nor default', () => {
    const { values } = decode(family('skerry-dx'), sheetOf({ t1: 2 }));
    expect(values).toEqual({
      'regulation.setpoint': { value: 2, unit: 'degC' },
      ...family('skerry-dx').fixed,
    });
  });

  test('inverted 0 and 1 keep their meaning', () => {
    const found = (m5: number) =>
      decode(family('skerry-dx'), sheetOf({ m5 })).values['compressor.onProbeFault'];
    expect([found(0), found(1)]).toEqual(['run', 'stop']);
    expect(decode(family('marl-4'), sheetOf({ lost: 0 })).values['compressor.onProbeFault']).toBe('stop');
  });

  test('one option can mean several settings', () => {
    expect(decode(family('skerry-dx'), sheetOf({ a1: 2 })).values).toMatchObject({
      'fans.control': 'controlled',
      'fans.whileCompressorOff': 'stop',
    });
  });

  test('one number can mean several settings, both limits positive', () => {
    const { values } = decode(family('gault-p'), sheetOf({ AL: '7.5', Un: 'C' }));
    expect(values['alarms.highOffset']).toEqual({ value: 7.5, unit: 'K' });
    expect(values['alarms.lowOffset']).toEqual({ value: 7.5, unit: 'K' });
  });

  test('a low sign typed as a negative number is a positive offset', () => {
    expect(decode(family('tarn-1'), sheetOf({ u: 2, 12: -5 })).values['alarms.lowOffset']).toEqual({
      value: 5,
      unit: 'deltaF',
    });
  });

  test('a number is compared as a number: 2.0 is option 2', () => {
    expect(decode(family('marl-4'), sheetOf({ kind: '2.0' })).values['defrost.method']).toBe('hotGas');
  });

  test('a decimal comma is a point', () => {
    expect(decode(family('skerry-dx'), sheetOf({ t1: '-22,5' })).values['regulation.setpoint']).toEqual({
      value: -22.5,
      unit: 'degC',
    });
  });

  test.each([
    ['gaap', '5', 'Marl 4 has no code gaap'],
    ['GAP', '5', 'did you mean gap?'],
    ['gap', 'five', 'is not a number; expected 1 to 20 dF'],
    ['gap', '50', '50 is out of range; expected 1 to 20 dF'],
    ['kind', '7', 'is no choice; expected 0, 1, 2'],
    ['gap', '', 'the value is missing'],
    ['__proto__', '1', 'has no code __proto__'],
    ['', '5', 'the code is missing'],
  ])('%j at %j stays on the sheet with a sentence', (code, value, part) => {
    const { unplaced } = decode(family('marl-4'), [{ code, value, line: 9 }]);
    expect(unplaced).toEqual([{ code, value, reason: expect.stringContaining(part) }]);
    expect(unplaced[0]!.reason).toContain('line 9');
  });

  test('the same code twice: the first counts, the second is not lost', () => {
    const { values, unplaced } = decode(family('marl-4'), [
      { code: 'gap', value: '5' },
      { code: 'gap', value: '6' },
    ]);
    expect(values['regulation.differential']).toEqual({ value: 5, unit: 'deltaF' });
    expect(unplaced).toEqual([{ code: 'gap', value: '6', reason: expect.stringContaining('twice') }]);
  });
});
