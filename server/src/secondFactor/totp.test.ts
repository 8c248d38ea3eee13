import { describe, expect, test } from '@jest/globals';
import { Secret } from 'otpauth';
import { addressOf, newSecret, stepOf } from './totp.ts';

/** The secret of RFC 6238, appendix B, for SHA-1: the digits 1 to 0 twice. */
const rfc = Secret.fromLatin1('12345678901234567890').base32;
const at = (seconds: number) => new Date(seconds * 1000);

describe('a code of the second factor', () => {
  // RFC 6238, appendix B, SHA-1; of its eight digits the last six (RFC 4226, 5.3: the value modulo 10^digits).
  test.each([
    [59, '287082'],
    [1_111_111_109, '081804'],
    [1_111_111_111, '050471'],
    [1_234_567_890, '005924'],
    [2_000_000_000, '279037'],
  ])('at %d s is %s', (seconds, code) => {
    expect(stepOf(rfc, code, at(seconds), 0)).toBe(Math.floor(seconds / 30));
    expect(stepOf(rfc, ` ${code.slice(0, 3)} ${code.slice(3)} `, at(seconds), 0)).toBe(
      Math.floor(seconds / 30),
    );
  });

  test('is good one step early and one late, and no further', () => {
    const good = (seconds: number) => stepOf(rfc, '050471', at(1_111_111_111 + seconds), 0) !== null;
    expect([-61, -30, 0, 30, 61].map(good)).toEqual([false, true, true, true, false]);
  });

  test('works once: neither again nor after a later one', () => {
    const step = stepOf(rfc, '050471', at(1_111_111_111), 0)!;
    expect(stepOf(rfc, '050471', at(1_111_111_111), step)).toBeNull();
    expect(stepOf(rfc, '081804', at(1_111_111_111), step)).toBeNull();
  });

  test.each(['', '12345', '1234567', 'abcdef', '05047１'])('%j is none', (typed) => {
    expect(stepOf(rfc, typed, at(1_111_111_111), 0)).toBeNull();
  });

  test('comes from a secret of 160 bits, which an app is told with whose it is', () => {
    const secret = newSecret();
    expect(secret).toMatch(/^[A-Z2-7]{32}$/);
    expect(newSecret()).not.toBe(secret);
    const address = new URL(addressOf(secret, 'ann', 'Ann & Co'));
    expect([address.protocol, address.host || address.pathname.split('/')[2]]).toEqual(['otpauth:', 'totp']);
    expect(address.searchParams.get('secret')).toBe(secret);
    expect(address.searchParams.get('issuer')).toBe('Ann & Co');
  });
});
