import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { ElementHandle, Page } from 'puppeteer-core';
import { byTest, click, clickText, seeText } from './support/acts.ts';
import { newPage } from './support/browser.ts';
import { onStage } from './support/stage.ts';
import { fishStoreJob } from './support/steps.ts';
import { expectHolds, expectSame, type EndToEndTest } from './support/suite.ts';

/** The figures once no run is under way, and they stay so for a second: on a slow machine values may still be arriving. */
async function settledFigures(page: Page): Promise<string> {
  await page.waitForSelector(byTest('figures'));
  const read = () =>
    page.evaluate(
      (at) =>
        document.querySelector('progress') ? null : document.querySelector<HTMLElement>(at)!.innerText,
      byTest('figures'),
    );
  const began = Date.now();
  for (let since = began, last = await read(); Date.now() - began < 60_000;) {
    await new Promise((done) => setTimeout(done, 200));
    const now = await read();
    if (now === null || now !== last) since = Date.now();
    else if (Date.now() - since > 1000) return now;
    last = now;
  }
  throw new Error('the figures did not come to rest within a minute');
}

/** A logger's file on disk, for the browser to pick. */
function logFile(text: string): string {
  const path = join(mkdtempSync(join(tmpdir(), 'brine-log-')), 'log.csv');
  writeFileSync(path, text);
  return path;
}

/** What the values will do, on the page. */
export const forecast: EndToEndTest = {
  name: 'the forecast simulates a day in a worker: old settings beside the plan, a cursor that reads all lanes, a new run when a flag moves',
  run: () =>
    onStage(async ({ server, browser }) => {
      const page = await newPage(browser);
      const id = await fishStoreJob(page, server.base);
      await page.goto(`${server.base}/jobs/${id}/program/forecast`, { waitUntil: 'networkidle0' });
      const before = await settledFigures(page);
      expectHolds(before, 'As found', 'the old settings beside');
      expectHolds(before, 'In the unit', 'the plan');
      await seeText(page, 'of ice grow on the coil');

      // The cursor by keys: every lane is read.
      await page.$eval(`${byTest('day-strip')} svg`, (node) => (node as SVGElement).focus());
      await page.keyboard.press('ArrowRight');
      await page.waitForFunction(
        (at) => /air .* coil .* product .* ice/.test(document.querySelector(at)!.textContent!),
        {},
        byTest('strip-reading'),
      );
      await clickText(page, `${byTest('day-strip')} button`, 'zoom in');
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
        (at) => !/ 0 \/ [1-9]/.test(document.querySelector<HTMLElement>(at)!.innerText.replace(/\s+/g, ' ')),
        {},
        byTest('figures'),
      );
      expectSame(await settledFigures(page), before, 'the same day again, to the digit');

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

      // A third set of values beside, then a logger's file as the plant; a bad one is refused with its line.
      await click(page, '[data-test="variant-plan"]');
      await page.waitForFunction(
        (at) => document.querySelectorAll(`${at} thead th`).length === 4,
        {},
        byTest('figures'),
      );
      await page.$eval(byTest('replay'), (node) => ((node as HTMLDetailsElement).open = true));
      const log = (await page.$(byTest('replay-file')))! as ElementHandle<HTMLInputElement>;
      await log.uploadFile(logFile('time,air_degC\n0,-15\n100,-16\n50,-17\n'));
      await seeText(page, 'the time runs backwards');
      await log.uploadFile(
        logFile('time,air_degC,coil_degC\n0,-15,-20\n3600,-24,-30\n7200,-10,-12\n10800,-24,-30\n'),
      );
      await page.waitForSelector(byTest('replayed'));
      await seeText(page, 'Compressor on');
    }),
};
