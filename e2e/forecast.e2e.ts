import { byTest, click, seeText, signIn } from './support/acts.ts';
import { newPage } from './support/browser.ts';
import { onStage } from './support/stage.ts';
import { PASSWORD } from './support/steps.ts';
import { expectHolds, type EndToEndTest } from './support/suite.ts';

/** What the values will do, on the page. */
export const forecast: EndToEndTest = {
  name: 'the forecast simulates a day in a worker: old settings beside the plan, a cursor that reads all lanes, a new run when a flag moves',
  run: () =>
    onStage(async ({ server, browser }) => {
      const page = await newPage(browser);
      await signIn(page, server.base, 'tess', PASSWORD);
      const id = await page.evaluate(
        async () => (await (await fetch('/api/jobs?search=fish%20store')).json()).jobs[0].id as string,
      );
      await page.goto(`${server.base}/jobs/${id}/program/forecast`, { waitUntil: 'networkidle0' });
      await page.waitForSelector(byTest('figures'));
      await page.waitForFunction(() => !document.querySelector('progress'));
      const figures = () => page.$eval(byTest('figures'), (node) => (node as HTMLElement).innerText);
      const before = await figures();
      expectHolds(before, 'As found', 'the old settings beside');
      expectHolds(before, 'As set', 'the plan');
      await seeText(page, 'of ice grow over the run');

      // The cursor by keys: every lane is read.
      await page.$eval(`${byTest('day-strip')} svg`, (node) => (node as SVGElement).focus());
      await page.keyboard.press('ArrowRight');
      await page.waitForFunction(
        (at) => /air .* coil .* product .* ice/.test(document.querySelector(at)!.textContent!),
        {},
        byTest('strip-reading'),
      );
      for (const button of await page.$$(`${byTest('day-strip')} button`))
        if ((await button.evaluate((node) => node.textContent)) === 'zoom in') await button.click();
      await page.waitForFunction(
        () => document.querySelectorAll('[data-test="day-strip"] svg text').length > 10,
      );

      // What if the heater is dead: the defrosts end by time.
      await page.select(byTest('what-if'), 'deadHeater');
      await page.waitForFunction(
        (at) => / 0 \/ [1-9]/.test(document.querySelector<HTMLElement>(at)!.innerText.replace(/\s+/g, ' ')),
        {},
        byTest('figures'),
      );
      await page.select(byTest('what-if'), '');
      await page.waitForFunction(
        (at, was) => document.querySelector<HTMLElement>(at)!.innerText === was,
        {},
        byTest('figures'),
        before,
      );

      // A flag on the rule is moved: another day.
      await page.focus('[data-mark="cutIn"]');
      for (let i = 0; i < 4; i += 1) await page.keyboard.press('ArrowRight');
      await page.waitForFunction(
        (at, was) =>
          document.querySelector<HTMLElement>(at)!.innerText !== was && !document.querySelector('progress'),
        {},
        byTest('figures'),
        before,
      );
      await seeText(page, 'A simulation is an estimate');
      await click(page, '[data-test="day-strip"] svg');
    }),
};
