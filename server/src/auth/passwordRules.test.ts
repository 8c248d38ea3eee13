import { expect, test } from '@jest/globals';
import { passwordProblem } from './passwordRules.ts';

test.each([
  ['          ', /at least 12 characters/],
  ['  short   ', /at least 12 characters/],
  ['aaaaaaaaaaaa', /different characters/],
  ['1212121212121', /different characters/],
  ['123qweasdzxc', /tried first/],
  ['Qwerty123456', /tried first/],
  ['salt-and-ice', /tried first/],
  ['nora.quay-2026', /login or name/],
  ['Nora Quay 1999', /login or name/],
])('“%s” is no password', (password, sentence) =>
  expect(passwordProblem(password, ['noraquay', 'Nora Quay'])).toMatch(sentence),
);

test.each(['two herons wade', 'Æbleskiver og te', 'correct horse battery', '🐟🐟🦐🦑🐙🦀🐚🌊⚓️⛵🦈🐡'])(
  '“%s” is one',
  (password) => expect(passwordProblem(password, ['nora', 'Nora Quay'])).toBeNull(),
);
