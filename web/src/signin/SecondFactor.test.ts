import { expect, test } from '@jest/globals';
import { asked, mountPage, settle } from '../../testing/mounting.ts';
import AccountPage from './AccountPage.vue';
import SecondFactor from './SecondFactor.vue';
import SignInPage from './SignInPage.vue';

const asksForCode = (message: string): [number, unknown] => [
  401,
  { error: { code: 'secondFactor', message, problems: [] } },
];
const off = { since: null, recoveryLeft: 0, required: false };
const codes = Array.from({ length: 10 }, (_, n) => `aaaa-bbbb-cccc-ddd${n % 6 === 0 ? 'z' : n % 6}`);

test('signing in: the code is asked for, and sent with what was typed before; a wrong one says so', async () => {
  const page = await mountPage(SignInPage, {
    answers: { 'POST /api/sign-in': asksForCode('This code is not the one of now') },
  });
  await page.get('input[name="login"]').setValue('tess');
  await page.get('input[name="password"]').setValue('right');
  await page.get('form').trigger('submit');
  await settle();
  expect(page.text()).not.toContain('This code is not the one of now');
  await page.get('input[name="code"]').setValue('123456');
  await page.get('form').trigger('submit');
  await settle();
  expect(page.text()).toContain('This code is not the one of now');
  expect(JSON.parse(asked.at(-1)!.replace(/^POST \S+ /, ''))).toMatchObject({
    login: 'tess',
    password: 'right',
    code: '123456',
  });
});

test('it is set up: the password, the key for the app, a code; the recovery codes are shown', async () => {
  const page = await mountPage(SecondFactor, {
    role: 'technician',
    answers: {
      'GET /api/me/second': off,
      'POST /api/me/second': { secret: 'ABCDEFGH', address: 'otpauth://totp/x?secret=ABCDEFGH' },
      'POST /api/me/second/confirm': { recoveryCodes: codes, ticket: 't' },
    },
  });
  await page.get('[data-test="set-up-second"]').trigger('click');
  await page.get('#second-password').setValue('right');
  await page.get('form').trigger('submit');
  await settle();
  expect(page.get('[data-test="second-secret"]').text()).toBe('ABCD EFGH');
  expect(page.get('[data-test="confirm-second"]').attributes('disabled')).toBeDefined();
  await page.get('#second-first').setValue('123456');
  await page.get('form').trigger('submit');
  await settle();
  expect(page.findAll('[data-test="recovery-codes"] li').map((one) => one.text())).toEqual(codes);
});

test('where the company asks for it, it cannot be ended, and says who helps with a new phone', async () => {
  const page = await mountPage(SecondFactor, {
    role: 'technician',
    answers: {
      'GET /api/me/second': { since: '2026-11-30T08:00:00.000Z', recoveryLeft: 3, required: true },
    },
  });
  expect(page.get('[data-test="second-on"]').text()).toContain('3 of 10 recovery codes are left');
  expect(page.find('[data-test="end-second"]').exists()).toBe(false);
  expect(page.text()).toContain('a lead resets it');
});

test('the account of one who needs it asks the server for nothing else', async () => {
  const page = await mountPage(AccountPage, {
    role: 'technician',
    needsSecond: true,
    answers: { 'GET /api/me/second': { ...off, required: true } },
  });
  expect(page.find('[data-test="second-needed"]').exists()).toBe(true);
  expect(page.find('[aria-label="Password"]').exists()).toBe(false);
  expect(asked.filter((one) => !one.includes('/api/me/second'))).toEqual([]);
});
