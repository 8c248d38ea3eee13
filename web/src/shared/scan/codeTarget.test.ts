import { expect, test } from '@jest/globals';
import { targetOf, unitAddress } from './codeTarget.ts';

const id = '0b0f6a3e-8f6b-4c61-9d5e-1f2a3b4c5d6e';

test('a label leads to its unit whatever address the company had when it was printed', () => {
  expect(targetOf(unitAddress('https://brine.local:4780', id))).toEqual({ unit: id });
  expect(targetOf(unitAddress('https://192.168.1.20:4780', id))).toEqual({ unit: id });
});

test('the code of a sheet holds a secret, not a unit', () => {
  expect(targetOf('https://brine.local/u/abcDEF_0123-xyz')).toEqual({ share: 'abcDEF_0123-xyz' });
});

test('what is no code of a unit leads nowhere', () => {
  for (const text of [
    '',
    '4006381333931',
    'WIFI:S:shop;;',
    'https://brine.local/units/review',
    'https://brine.local/jobs',
  ])
    expect(targetOf(text)).toBeNull();
});
