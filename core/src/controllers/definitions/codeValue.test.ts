import { describe, expect, test } from '@jest/globals';
import { families, family } from '../../../testing/families.ts';
import { readTypedCode } from './codeValue.ts';
import { parameterOf } from './definition.ts';
import { scaleOf } from './numberCode.ts';

const marl = family('marl-4');
const typed = (code: string, text: string, unit: 'degC' | 'degF' = 'degF') =>
  readTypedCode(marl, parameterOf(marl, code)!, text, { unit, decimal: false });

describe('a value typed for a code', () => {
  test('is taken as its display shows it, a comma for the point, a unit behind it', () => {
    expect(typed('hold', ' -9 ')).toEqual({ value: -9 });
    expect(typed('hold', '−9 °F')).toEqual({ value: -9 });
    const holm = family('holm-fit');
    const withTenths = holm.parameters.find(
      (p) =>
        p.encoding.type === 'number' &&
        scaleOf(p.encoding, { unit: 'degC', decimal: true }).resolution === 0.1,
    )!;
    const scale = scaleOf(withTenths.encoding as never, { unit: 'degC', decimal: true });
    const text = (scale.min + 0.5).toFixed(1).replace('.', ',');
    expect(readTypedCode(holm, withTenths, text, { unit: 'degC', decimal: true })).toEqual({
      value: Number((scale.min + 0.5).toFixed(1)),
    });
  });

  test.each([
    ['hold', '', 'expected a value'],
    ['hold', 'cold', '“cold” is not a number'],
    ['hold', '9999', 'expected'],
    ['hold', '-9.5', 'expected steps of 1, found −9.5'],
  ])('%s: “%s” is refused with what was expected', (code, text, part) => {
    expect(typed(code, text)).toEqual({ problem: expect.stringContaining(part) });
  });

  // Oracle: the definition itself: both ends and each option are taken, one step beyond is not.
  test.each([...families.keys()])('every code of %s takes its ends and options, and nothing beyond', (id) => {
    const definition = family(id);
    const display = { unit: 'degC', decimal: true } as const;
    for (const parameter of definition.parameters) {
      const { encoding } = parameter;
      const read = (text: string) => readTypedCode(definition, parameter, text, display);
      if (encoding.type === 'number') {
        const { min, max, resolution } = scaleOf(encoding, display);
        for (const end of [min, max])
          expect([parameter.code, read(String(end))]).toEqual([parameter.code, { value: end }]);
        for (const beyond of [min - resolution, max + resolution])
          expect([parameter.code, 'problem' in read(String(beyond))]).toEqual([parameter.code, true]);
      } else if (encoding.type === 'choice') {
        for (const { value } of encoding.options) expect(read(String(value))).toEqual({ value });
        expect('problem' in read('no such option')).toBe(true);
      } else expect('problem' in read('no such preset')).toBe(true);
    }
  });
});
