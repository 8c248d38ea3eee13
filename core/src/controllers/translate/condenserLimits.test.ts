import { expect, test } from '@jest/globals';
import { family, sheetOf } from '../../../testing/families.ts';
import { translate } from './translate.ts';

test('condensing limits keep their degrees where a control counts them from its set point', () => {
  // Oracle: 55 − 30 = 25 K above, 30 − 10 = 20 K below (arithmetic).
  const { rows } = translate(
    family('brough-v'),
    sheetOf({ b1: 30, c1: 55, c2: 10, c5: 'C' }),
    family('skaill-c'),
  );
  const of = (code: string) => rows.find((row) => row.code === code)!;
  expect([of('9.').value, of('10.').value, of('1.').value]).toEqual([25, 20, 30]);
});
