import { expect, test } from '@jest/globals';
import { asked, mountPage, refusal, settle } from '../../testing/mounting.ts';
import AccountPage from './AccountPage.vue';

const line = (id: string, current: boolean, browser = '') => ({
  id,
  browser,
  createdAt: '2026-11-28T08:00:00.000Z',
  lastUsedAt: '2026-11-29T08:00:00.000Z',
  current,
});
const lists = { 'GET /api/me/sessions': { sessions: [line('s1', true), line('s2', false, 'X Mobile')] } };
async function type(
  page: Awaited<ReturnType<typeof mountPage>>,
  current: string,
  next: string,
  again = next,
) {
  for (const [name, value] of Object.entries({ current, next, again }))
    await page.get(`input[name="${name}"]`).setValue(value);
  await page.get('form').trigger('submit');
  await settle();
}

test('empty: nothing is sent before the passwords are there and alike', async () => {
  const page = await mountPage(AccountPage, { role: 'technician', answers: lists });
  await type(page, '', 'two herons wade', 'two herons fly');
  expect(page.text()).toContain('Expected the present password');
  expect(page.text()).toContain('The two passwords differ');
  expect(asked.some((a) => a.startsWith('POST /api/me/password'))).toBe(false);
});

test('usual: the password is changed and the fields are empty; the other session can be ended, this one not', async () => {
  const page = await mountPage(AccountPage, {
    role: 'technician',
    answers: {
      ...lists,
      'POST /api/me/password': { ticket: 't' },
      'DELETE /api/me/sessions/s2': { done: true },
    },
  });
  expect(page.get('[data-test="sessions"]').text()).toContain('Computer, this one');
  expect(page.findAll('[data-test="end-session"]')).toHaveLength(1);
  await page.get('[data-test="end-session"]').trigger('click');
  await settle();
  expect(asked).toContain('DELETE /api/me/sessions/s2');
  await type(page, 'correct horse battery', 'two herons wade');
  expect(page.find('[data-test="changed"]').exists()).toBe(true);
  expect((page.get('input[name="next"]').element as HTMLInputElement).value).toBe('');
});

test('in error: the sentence of the server stands there, and what was typed stays', async () => {
  const page = await mountPage(AccountPage, {
    role: 'technician',
    answers: { ...lists, 'POST /api/me/password': refusal(400, 'Present password: this is not it') },
  });
  await type(page, 'wrong', 'two herons wade');
  expect(page.text()).toContain('this is not it');
  expect((page.get('input[name="next"]').element as HTMLInputElement).value).toBe('two herons wade');
});
