import { expect, test } from '@jest/globals';
import { asked, mountPage, refusal, settle } from '../../testing/mounting.ts';
import SignInPage from './SignInPage.vue';

test('empty: nothing is sent before login and password are there', async () => {
  const page = await mountPage(SignInPage, { answers: {} });
  await page.get('form').trigger('submit');
  await settle();
  expect(asked.some((a) => a.startsWith('POST /api/sign-in'))).toBe(false);
  expect(page.text().toLowerCase()).toContain('expected');
});

test('in error: the sentence of the server stands on the page, and what was typed stays', async () => {
  const page = await mountPage(SignInPage, {
    answers: { 'POST /api/sign-in': refusal(401, 'Login and password do not belong together') },
  });
  await page.get('input[name="login"]').setValue('tess');
  await page.get('input[name="password"]').setValue('wrong');
  await page.get('form').trigger('submit');
  await settle();
  expect(page.text()).toContain('do not belong together');
  expect((page.get('input[name="login"]').element as HTMLInputElement).value).toBe('tess');
});
