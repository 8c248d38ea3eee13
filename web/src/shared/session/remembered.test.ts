import { expect, test } from '@jest/globals';
import type { Company, Person } from '@brine/contract/routes';
import { forgetPerson, mayWorkOffline, remembered, rememberPerson } from './remembered.ts';

const tess: Person = { id: 'p', name: 'Tess', login: 'tess', role: 'technician', demo: false };
const company = (offlineDays: number): Company => ({
  name: 'Own',
  schools: {},
  displayUnit: 'celsius',
  offlineDays,
  version: 1,
});
const at = (days: number) => new Date(Date.UTC(2026, 10, 1) + days * 86_400_000);

test('somebody works without contact for as many days as the company says, 14 where it said nothing yet', () => {
  for (const [said, last, first] of [
    [company(3), 3, 3.01],
    [null, 14, 14.01],
  ] as const) {
    rememberPerson(tess, said, at(0));
    expect(mayWorkOffline(remembered()!, at(last))).toBe(true);
    expect(mayWorkOffline(remembered()!, at(first))).toBe(false);
  }
  // A clock set back far before the last contact gains nothing.
  expect(mayWorkOffline(remembered()!, at(-2))).toBe(false);
});

test('nobody is remembered after a sign-out, nor from a text that is none of ours', () => {
  forgetPerson();
  expect(remembered()).toBeNull();
  localStorage.setItem('brine-person', '{"id":"p"}');
  expect(remembered()).toBeNull();
  localStorage.setItem('brine-person', 'no JSON');
  expect(remembered()).toBeNull();
});
