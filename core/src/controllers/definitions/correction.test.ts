import { describe, expect, test } from '@jest/globals';
import { family } from '../../../testing/families.ts';
import { readController } from '../panel/index.ts';
import type { Parameter } from './definition.ts';
import { corrected, proposedCorrection } from './correction.ts';

const definition = family('strath-5');
const parameter = (code: string) => definition.parameters.find((p) => p.code === code)!;
const encodingAfter = (code: string, wished: string, shown: string) =>
  proposedCorrection(parameter(code), wished, shown).parameter.encoding;

describe('what a display that shows something else says of the definition', () => {
  test.each([
    // s3 runs from 0 to 300 by 5, factory value 20.
    ['a value that stopped short: its range ends there', 's3', '200', '180', { max: 180 }],
    ['a value beyond the range: the range is wider', 's3', '300', '400', { max: 400 }],
    ['the same downwards', 's3', '0', '10', { min: 10 }],
  ])('%s', (_, code, wished, shown, expected) => {
    expect(encodingAfter(code, wished, shown)).toMatchObject(expected);
  });

  test('an option that it has not is added, to be said what it stands for', () => {
    expect(encodingAfter('s6', 'run', 'dutY')).toMatchObject({
      options: [{ value: 'stop' }, { value: 'run' }, { value: 'dutY' }],
    });
  });

  test('what explains nothing becomes a note; the encoding stays', () => {
    for (const [code, wished, shown] of [
      ['s3', '200', 'Err'],
      ['s6', 'run', 'stop'],
      ['s3', '5', '200'],
    ] as const) {
      const { parameter: after } = proposedCorrection(parameter(code), wished, shown);
      expect([after.encoding, after.note]).toEqual([
        parameter(code).encoding,
        `A display showed ${shown} where ${wished} was keyed.`,
      ]);
    }
  });

  test('a range in the display’s own degrees is not moved by a number whose degrees are not known', () => {
    const code: Parameter = {
      code: 't1',
      name: 'Stop',
      encoding: {
        type: 'number',
        unit: 'displayTemperature',
        rangeUnit: 'degC',
        min: -40,
        max: 30,
        default: 2,
        resolution: 1,
      },
    };
    // 68 °F are 20 °C: well inside.
    expect(proposedCorrection(code, '70', '68').parameter).toEqual({
      ...code,
      note: 'A display showed 68 where 70 was keyed.',
    });
  });

  test('taken over, it is a version of its own that passes the check', () => {
    const next = corrected(definition, proposedCorrection(parameter('s3'), '200', '180'), '1.1');
    expect([next.version, 'faults' in readController(next)]).toEqual(['1.1', false]);
    expect(next.parameters.filter((p, i) => p !== definition.parameters[i]).map((p) => p.code)).toEqual([
      's3',
    ]);
  });
});
