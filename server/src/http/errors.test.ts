import { describe, expect, test } from '@jest/globals';
import { asAppError } from './errors.ts';

const named = (name: string, message: string, more: object = {}) =>
  Object.assign(new Error(message), { name }, more);

describe('an error of the database', () => {
  test.each([
    ['refused', named('Error', 'connect ECONNREFUSED 127.0.0.1:5432', { code: 'ECONNREFUSED' })],
    ['killed under a statement', named('DriverException', 'insert … - Connection terminated unexpectedly')],
    [
      'killed before it began',
      named('Error', 'Client has encountered a connection error and is not queryable'),
    ],
    [
      'killed under the commit',
      named('Error', 'COMMIT; - Client has encountered a connection error and is not queryable'),
    ],
    ['no connection in time', named('KnexTimeoutError', 'Timeout acquiring a connection')],
    ['shutting down', named('DriverException', 'terminating connection', { code: '57P01' })],
    [
      'starting up, below the ORM',
      new Error('x', { cause: named('error', 'starting up', { code: '57P03' }) }),
    ],
    [
      'a broken connection below',
      new Error('begin failed', { cause: named('Error', 'Connection ended unexpectedly') }),
    ],
    ['a deadlock', named('DeadlockException', 'deadlock detected', { code: '40P01' })],
    ['a full disk', named('DriverException', 'could not extend file', { code: '53100' })],
  ])('%s: the same request may pass later', (_, error) => expect(asAppError(error).code).toBe('unavailable'));

  test.each([
    ['a character that is none', '22021'],
    ['a key twice', '23505'],
    ['too many columns', '54011'],
  ])('%s: this value never passes', (_, code) =>
    expect(asAppError(named('DriverException', 'no', { code })).code).toBe('badInput'),
  );

  test('a statement that is wrong, and whatever else, is ours', () => {
    expect(asAppError(named('InvalidFieldNameException', 'no column', { code: '42703' })).code).toBe(
      'internal',
    );
    expect(asAppError(new TypeError('x is not a function')).code).toBe('internal');
  });
});
