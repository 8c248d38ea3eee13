import { expect, test } from '@jest/globals';
import { asked, mountPage, refusal, settle } from '../../testing/mounting.ts';
import LinkPage from './LinkPage.vue';

const props = { token: 'secret' };
const invited = { 'GET /api/links/secret': { link: { kind: 'invite', name: 'Nan', login: 'nan' } } };
const taken = () => asked.filter((a) => a.startsWith('POST /api/links/secret'));
async function type(page: Awaited<ReturnType<typeof mountPage>>, password: string, again: string) {
  await page.get('input[name="password"]').setValue(password);
  await page.get('input[name="again"]').setValue(again);
  await page.get('form').trigger('submit');
  await settle();
}

test('in error: a used link says so, and offers no form', async () => {
  const page = await mountPage(LinkPage, {
    props,
    answers: { 'GET /api/links/secret': refusal(404, 'This link was used already') },
  });
  expect(page.text()).toContain('This link was used already');
  expect(page.find('input').exists()).toBe(false);
});

test('empty: nothing is sent without two equal passwords, and the page says why', async () => {
  const page = await mountPage(LinkPage, { props, answers: invited });
  expect(page.text()).toContain('Welcome, Nan');
  await type(page, 'long enough it is', 'another one');
  expect(page.text()).toContain('The two passwords differ');
  await type(page, 'short', 'short');
  expect(page.text()).toContain('at least 12 characters');
  expect(taken()).toEqual([]);
});

test('usual: the password is taken; a refusal of the server leaves what was typed', async () => {
  const page = await mountPage(LinkPage, {
    props,
    answers: { ...invited, 'POST /api/links/secret': refusal(400, 'This password is too easy') },
  });
  await type(page, 'long enough it is', 'long enough it is');
  expect(taken()).toHaveLength(1);
  expect(page.text()).toContain('This password is too easy');
  expect((page.get('input[name="password"]').element as HTMLInputElement).value).toBe('long enough it is');
});
