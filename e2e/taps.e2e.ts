import type { Page } from 'puppeteer-core';
import { allSaved, byTest, choose, click, fill, signIn, tap } from './support/acts.ts';
import { newPage } from './support/browser.ts';
import { onStage } from './support/stage.ts';
import { answerFreezer, openJobOn, PASSWORD } from './support/steps.ts';
import { sayWhyOpen } from './support/leaving.ts';
import { expectSame, type EndToEndTest } from './support/suite.ts';

const MOST_TAPS = 60;
const CODES = 25;
const TESTS = 16;

/** A value that a test expects, typed: no tap. */
async function typeExpected(page: Page): Promise<void> {
  const range = await page.$eval(
    `[data-test-id] label:has(${byTest('test-value')}) .field-label`,
    (node) => node.textContent ?? '',
  );
  // Times as `2:50 min` or `45 s`, typed with their unit; everything else as a number.
  const time = /(\d+:\d\d min|\d+ (?:s|min|h))(?!.*\d)/.exec(range)?.[1];
  if (time !== undefined && !/°|dF|A\b|V\b/.test(range)) {
    await fill(page, `[data-test-id] ${byTest('test-value')}`, time.replace(/^(\d+:\d\d) min$/, '$1'));
    return;
  }
  const numbers = [...range.replaceAll('−', '-').matchAll(/-?\d+(?:\.\d+)?/g)].map((m) => Number(m[0]));
  const [least = 1, most = least] = numbers;
  const value = /at most/.test(range)
    ? least - 0.5
    : /at least/.test(range)
      ? least + 0.5
      : (least + most) / 2;
  await fill(page, `[data-test-id] ${byTest('test-value')}`, value.toFixed(1));
}

/** The whole visit on the freezer of the fish store, counted in taps. */
export const taps: EndToEndTest = {
  name: 'the whole visit on the fish freezer takes at most 60 taps from opening to sheet: 25 codes, 16 tests, each by an act of its own',
  run: () =>
    onStage(async ({ server, browser }) => {
      const context = await browser.createBrowserContext();
      const desk = await newPage(context);
      await signIn(desk, server.base, 'tess', PASSWORD);
      const id = await openJobOn(desk, server.base, 'FM-2', 'Counted in taps');
      await answerFreezer(desk);
      await choose(desk, byTest('control-new'), 'Marl 4');
      await desk.goto(`${server.base}/jobs/${id}/program/compare`, { waitUntil: 'networkidle0' });
      if (await desk.$(byTest('leave-defaults'))) await click(desk, byTest('leave-defaults'));
      await desk.goto(`${server.base}/jobs/${id}/wire/found`, { waitUntil: 'networkidle0' });
      await click(desk, '[data-start="timer-and-thermostat"]');
      await allSaved(desk);
      await context.close();

      const page = await newPage(browser, 'phone');
      await signIn(page, server.base, 'tess', PASSWORD);
      await page.goto(`${server.base}/jobs`, { waitUntil: 'networkidle0' });
      let count = 0;
      const press = async (selector: string) => {
        count += 1;
        await tap(page, selector);
      };
      await press(`[data-job="${id}"] a`);
      await page.waitForFunction((job) => location.pathname.startsWith(`/jobs/${job}/`), {}, id);
      await page.waitForSelector(byTest('next-act'));
      // On to the cabinet, station by station as the bar says.
      while (!page.url().includes('/program/cabinet') && count < 8) {
        const before = page.url();
        await press(byTest('next-act'));
        await page.waitForFunction((was) => location.href !== was, {}, before);
      }
      await page.waitForSelector(byTest('cabinet-card'));
      let codes = 0;
      while (!(await page.evaluate(() => document.body.innerText.includes('All codes are settled')))) {
        const code = await page.$eval(byTest('cabinet-card'), (node) => node.getAttribute('data-now'));
        await press(byTest('keyed-in'));
        codes += 1;
        await page.waitForFunction(
          (at, was) =>
            document.querySelector(at)?.getAttribute('data-now') !== was ||
            document.body.innerText.includes('All codes are settled'),
          {},
          byTest('cabinet-card'),
          code,
        );
      }
      expectSame(codes, CODES, 'codes keyed in');
      await press(byTest('to-prove'));
      await page.waitForSelector('[data-test-id]');
      for (let n = 0; n < TESTS; n += 1) {
        const test = await page.$eval('[data-test-id]', (node) => node.getAttribute('data-test-id')!);
        const at = `[data-test-id="${test}"]`;
        if (await page.$(`${at} ${byTest('test-value')}`)) await typeExpected(page);
        await press(`${at} ${byTest('pass')}`);
        await page.waitForFunction((was) => !document.querySelector(was), {}, at);
      }
      await press(byTest('next-act'));
      await page.waitForSelector(byTest('hand-over'));
      await fill(page, '#to', 'Market office');
      await sayWhyOpen(page);
      await press(byTest('hand-over'));
      await page.waitForSelector(byTest('handed'));
      await allSaved(page);
      count += 1;
      await page.waitForSelector(byTest('pdf'));
      process.stdout.write(`      ${count} taps from opening to sheet\n`);
      expectSame(count <= MOST_TAPS, true, `${count} taps`);
    }),
};
