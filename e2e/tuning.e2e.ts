import { allSaved, byTest, choose, click, fill, seeText, textOf } from './support/acts.ts';
import { newPage } from './support/browser.ts';
import { onStage } from './support/stage.ts';
import { fishStoreJob } from './support/steps.ts';
import { expectHolds, expectSame, type EndToEndTest } from './support/suite.ts';

/** What would do better, on the page: remedies, tuning, and every unit at once. */
export const tuning: EndToEndTest = {
  name: 'a mistake that only a simulated day tells is mended with one press; tuning advises a variant that is taken; the server reviews every unit',
  run: () =>
    onStage(async ({ server, browser }) => {
      const page = await newPage(browser);
      const id = await fishStoreJob(page, server.base);
      await page.goto(`${server.base}/jobs/${id}/program/plan`, { waitUntil: 'networkidle0' });
      const end = '[data-setting="defrost.endTemperature"] input';
      await page.waitForSelector(end);
      await fill(page, end, '40');
      await page.waitForSelector('[data-code="iceGrows"]', { timeout: 90_000 });
      expectHolds(await textOf(page, '[data-code="iceGrows"]'), 'g of ice grow', 'the number behind it');
      await click(page, '[data-code="iceGrows"] [data-test="remedy"]');
      await page.waitForFunction(() => !document.querySelector('[data-code="iceGrows"]'), {
        timeout: 90_000,
      });
      expectSame(
        (await page.$eval(end, (node) => (node as HTMLInputElement).value)) !== '40',
        true,
        'a warmer end is set',
      );
      await allSaved(page);

      await page.goto(`${server.base}/jobs/${id}/program/tune`, { waitUntil: 'networkidle0' });
      await choose(page, byTest('goal'), 'The shortest defrosts that leave no ice');
      await click(page, byTest('tune-run'));
      await page.waitForSelector(byTest('advised'), { timeout: 120_000 });
      const advised = await textOf(page, byTest('advised'));
      expectHolds(advised, 'min a day in defrost and drip time', 'the reason with its figure');
      await click(page, byTest('take'));
      await allSaved(page);
      await page.goto(`${server.base}/jobs/${id}/program/plan`, { waitUntil: 'networkidle0' });
      await seeText(page, 'Changed by hand');

      await page.goto(`${server.base}/units/review`, { waitUntil: 'networkidle0' });
      await click(page, byTest('review-start'));
      await page.waitForFunction(
        (at) => {
          const rows = [...document.querySelectorAll<HTMLElement>(`${at} tbody tr`)];
          return rows.length > 0 && rows.every((row) => !/waiting/.test(row.innerText));
        },
        { timeout: 60_000 },
        byTest('review-lines'),
      );
      await seeText(page, 'Fish store');
    }),
};
