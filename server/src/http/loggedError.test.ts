import { expect, test } from '@jest/globals';
import { loggedError } from './loggedError.ts';

class UniqueConstraintViolationException extends Error {
  override name = 'UniqueConstraintViolationException';
  query = `insert into "person" ("login") values ('tess', 'secret words')`;
  code = '23505';
  constraint = 'person_login_unique';
  detail = 'Key (login)=(tess) already exists.';
}

test('a failing statement is logged without its values', () => {
  const thrown = new UniqueConstraintViolationException(
    `insert into "person" ("login", "password") values ('tess', 'secret words') - duplicate key value violates unique constraint "person_login_unique"`,
  );
  const text = JSON.stringify(loggedError(new Error('it broke', { cause: thrown })));
  for (const value of ['tess', 'secret words', 'insert into']) expect(text).not.toContain(value);
  for (const name of ['23505', 'person_login_unique', 'duplicate key value', 'it broke'])
    expect(text).toContain(name);
});

test('a value that the database could not read is left out as well', () => {
  const thrown = Object.assign(new Error('select 1 - invalid input syntax for type uuid: "my password"'), {
    name: 'DriverException',
  });
  expect(loggedError(thrown).message).toBe('invalid input syntax for type uuid: "…"');
});

test('what is no error is not printed', () =>
  expect(JSON.stringify(loggedError({ password: 'x' }))).not.toContain('x"'));
