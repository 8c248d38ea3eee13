import { expect, test } from '@jest/globals';
import { auditKinds } from '@brine/contract/routes';
import { asked, mountPage, refusal, settle } from '../../testing/mounting.ts';
import AuditPage from './AuditPage.vue';
import { groups, wordsOf } from './auditWords.ts';

const line = (id: string, kind: string, more: object = {}) => ({
  id,
  at: '2026-11-30T08:00:00.000Z',
  kind,
  who: 'Lena Quay',
  login: 'lena',
  address: '192.0.2.7',
  browser: 'X Mobile',
  about: {},
  ...more,
});
const people = { 'GET /api/people': { people: [] } };

test('every kind has words, also where nothing of it is known any more, and no name of a variable in them', () => {
  for (const kind of auditKinds) {
    const words = wordsOf({ kind, about: {} });
    expect([kind, words.length > 5 && !/\bnull\b|\[object/.test(words)]).toEqual([kind, true]);
  }
  expect(groups.every(({ kind }) => auditKinds.includes(kind))).toBe(true);
  expect(wordsOf({ kind: 'companyChanged', about: { fields: 'schools, offlineDays' } })).toBe(
    'changed the company: preferences, days without signal',
  );
});

test('who is told by name, or quoted where nobody has that login; further pages are asked for', async () => {
  const page = await mountPage(AuditPage, {
    role: 'lead',
    answers: {
      ...people,
      'GET /api/audit?after=x': { lines: [line('1', 'signedOut')], next: null, total: 2 },
      'GET /api/audit': {
        lines: [line('2', 'signInRefused', { who: '', login: 'root', about: { why: 'wrongSignIn' } })],
        next: 'x',
        total: 2,
      },
    },
  });
  expect(page.get('[data-test="audit-count"]').text()).toBe('1 of 2 lines');
  expect(page.get('[data-test="audit"]').text()).toContain('“root”');
  expect(page.get('[data-test="audit"]').text()).toContain('was refused: login and password');
  expect(page.get('[data-test="audit"]').text()).toContain('192.0.2.7, phone');
  await page.get('[data-test="more-audit"]').trigger('click');
  await settle();
  expect(page.get('[data-test="audit"]').text()).toContain('Lena Quay');
  expect(page.find('[data-test="more-audit"]').exists()).toBe(false);
});

test('one kind is asked for; nothing of it is said so', async () => {
  const page = await mountPage(AuditPage, {
    role: 'lead',
    answers: { ...people, 'GET /api/audit': { lines: [], next: null, total: 0 } },
  });
  await page.get('#audit-kind').setValue('secondReset');
  await settle();
  expect(asked).toContain('GET /api/audit?kind=secondReset');
  expect(page.text()).toContain('Nothing of that kind');
});

test('in error: the sentence of the server', async () => {
  const page = await mountPage(AuditPage, {
    role: 'lead',
    answers: { ...people, 'GET /api/audit': refusal(500, 'Something broke') },
  });
  expect(page.text()).toContain('Something broke');
});
