import { TOTP } from 'otpauth';
import type { Page } from 'puppeteer-core';
import { byTest, choose, click, clickText, fill, seeText } from './support/acts.ts';
import { newPage } from './support/browser.ts';
import { onStage } from './support/stage.ts';
import { expectSame, type EndToEndTest } from './support/suite.ts';

const PASSWORD_HERE = 'two herons on a pier';
const STEP_MS = 30_000;
/** What the app of a phone shows, so many steps from now: a code works once, and one step ahead is still taken. */
const shown = (secret: string, ahead = 0) =>
  new TOTP({ secret }).generate({ timestamp: Date.now() + ahead * STEP_MS });

/** Sets a second factor up on the account page; the secret that the app was given, and the recovery codes. */
async function setUp(page: Page) {
  await click(page, byTest('set-up-second'));
  await fill(page, '#second-password', PASSWORD_HERE);
  await click(page, byTest('begin-second'));
  const secret = (await page.waitForSelector(byTest('second-secret')))!;
  const key = (await secret.evaluate((node) => node.textContent ?? '')).replace(/\s/g, '');
  await fill(page, '#second-first', shown(key));
  await click(page, byTest('confirm-second'));
  await page.waitForSelector(byTest('recovery-codes'));
  const codes = await page.$$eval(`${byTest('recovery-codes')} li`, (all) =>
    all.map((one) => one.textContent ?? ''),
  );
  return { key, codes };
}

async function signIn(page: Page, login: string): Promise<void> {
  await fill(page, 'input[name="login"]', login);
  await fill(page, 'input[name="password"]', PASSWORD_HERE);
  await click(page, byTest('sign-in'));
}

/** A company of one's own asks everybody for a second factor. */
export const secondFactor: EndToEndTest = {
  name: 'a second factor: a lead asks everybody for it and sets it up, signs in with a code and with a recovery code, and reads who came in',
  run: () =>
    onStage(
      async ({ server, browser }) => {
        const page = await newPage(browser);
        page.on('dialog', (dialog) => void dialog.accept().catch(() => undefined));
        await page.goto(/http:\S+\/link\/\S+/.exec(server.output())![0], { waitUntil: 'networkidle0' });
        await fill(page, 'input[name="login"]', 'olga');
        await fill(page, 'input[name="name"]', 'Olga Brack');
        await fill(page, 'input[name="password"]', PASSWORD_HERE);
        await fill(page, 'input[name="again"]', PASSWORD_HERE);
        await click(page, byTest('take-link'));
        await seeText(page, 'Three steps to the first job');

        // Asked for, nothing but the account opens, here too.
        await page.goto(`${server.base}/people`, { waitUntil: 'networkidle0' });
        await choose(page, byTest('company-second'), 'everybody');
        await page.waitForFunction(() => location.pathname === '/account');
        await page.waitForSelector(byTest('second-needed'));
        await page.goto(`${server.base}/jobs`, { waitUntil: 'networkidle0' });
        expectSame(new URL(page.url()).pathname, '/account', 'where the list of jobs leads');
        const { key, codes } = await setUp(page);
        expectSame(new Set(codes).size, 10, 'recovery codes');
        await page.goto(`${server.base}/jobs`, { waitUntil: 'networkidle0' });
        expectSame(new URL(page.url()).pathname, '/jobs', 'where the list of jobs is');

        // Another browser: the password alone lets nobody in; a code does, and a recovery code once.
        for (const [code, refused] of [
          [shown(key, 1), false],
          [codes[0]!, false],
          [codes[0]!, true],
        ] as const) {
          const context = await browser.createBrowserContext();
          const other = await newPage(context);
          await other.goto(`${server.base}/sign-in`, { waitUntil: 'networkidle0' });
          await signIn(other, 'olga');
          await other.waitForSelector('input[name="code"]');
          expectSame(await other.$eval('h1', (node) => node.textContent), 'Sign in', 'the page of the code');
          await fill(other, 'input[name="code"]', code);
          await click(other, byTest('sign-in'));
          if (refused) await seeText(other, 'used already');
          else await other.waitForFunction(() => location.pathname === '/today');
          await context.close();
        }

        // A lead reads it, and looks for one kind.
        await clickText(page, 'nav a', 'Company');
        await click(page, byTest('to-audit'));
        await page.waitForSelector(byTest('audit'));
        for (const words of [
          'turned the second factor on',
          'second factor asked of everybody',
          'signed in with a recovery code',
          'the password was right, the code of the second factor was not',
        ])
          await seeText(page, words);
        await choose(page, '#audit-kind', 'recovery codes used');
        await page.waitForFunction(
          () => document.querySelectorAll('[data-test="audit"] tbody tr').length === 1,
        );
        await seeText(page, '1 line');
      },
      { demo: false },
    ),
};
