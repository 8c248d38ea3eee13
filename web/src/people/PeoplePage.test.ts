import { expect, test } from '@jest/globals';
import { asked, mountPage, refusal, settle } from '../../testing/mounting.ts';
import PeoplePage from './PeoplePage.vue';

const tess = {
  id: 'p1',
  name: 'Tess',
  login: 'tess',
  role: 'technician',
  demo: false,
  disabled: false,
  invited: false,
  version: 3,
};

test('empty: the company can be set up before anybody is invited', async () => {
  const page = await mountPage(PeoplePage, { answers: { 'GET /api/people': { people: [] } } });
  expect(page.text()).toContain('Invite');
  const typed = page.findAll('input').map((field) => field.element.value);
  expect(typed).toContain('Own company');
});

test('usual: a change of role is sent with the version that was read', async () => {
  const page = await mountPage(PeoplePage, {
    answers: {
      'GET /api/people': { people: [tess] },
      'PATCH /api/people/p1': { person: { ...tess, role: 'lead' } },
    },
  });
  expect(page.text()).toContain('tess');
  await page.get('tbody select').setValue('lead');
  await settle();
  expect(asked).toContain('PATCH /api/people/p1 {"role":"lead","version":3}');
});

test('in error: the sentence of the server stands on the page', async () => {
  const page = await mountPage(PeoplePage, {
    answers: {
      'GET /api/people': { people: [tess] },
      'PATCH /api/people/p1': refusal(409, 'Tess is the only lead; make somebody else a lead first'),
    },
  });
  await page.get('tbody select').setValue('viewer');
  await settle();
  expect(page.text()).toContain('Tess is the only lead');
});

test('in error: a server that is away is said, not thrown', async () => {
  const page = await mountPage(PeoplePage, { answers: null });
  expect(page.text()).toContain('The server does not answer');
});

test('disabling asks first, and a “no” does nothing', async () => {
  const page = await mountPage(PeoplePage, {
    answers: {
      'GET /api/people': { people: [tess] },
      'PATCH /api/people/p1': { person: { ...tess, disabled: true } },
    },
  });
  const answers = [false, true];
  globalThis.confirm = () => answers.shift()!;
  await page.get('[data-test="disable"]').trigger('click');
  await settle();
  expect(asked.filter((line) => line.startsWith('PATCH'))).toEqual([]);
  await page.get('[data-test="disable"]').trigger('click');
  await settle();
  expect(asked).toContain('PATCH /api/people/p1 {"disabled":true,"version":3}');
});
