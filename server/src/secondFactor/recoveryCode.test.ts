import { expect, test } from '@jest/globals';
import { newRecoveryCode, recoveryCodeTyped } from './recoveryCode.ts';

test('a recovery code has 80 bits and is read however it is typed', () => {
  const code = newRecoveryCode();
  expect(code).toMatch(/^([a-z2-7]{4}-){3}[a-z2-7]{4}$/);
  const kept = recoveryCodeTyped(code);
  expect(recoveryCodeTyped(` ${code.toUpperCase().replaceAll('-', ' ')} `)).toBe(kept);
  expect([recoveryCodeTyped('123456'), recoveryCodeTyped(code.slice(0, -1))]).toEqual([null, null]);
});
