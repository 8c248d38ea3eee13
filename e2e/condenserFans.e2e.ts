import { fileURLToPath } from 'node:url';
import type { ElementHandle } from 'puppeteer-core';
import {
  allSaved,
  byTest,
  click,
  demoJob,
  fill,
  seeText,
  signIn,
  textOf,
  clickText,
} from './support/acts.ts';
import { newPage } from './support/browser.ts';
import { onStage } from './support/stage.ts';
import { PASSWORD } from './support/steps.ts';
import { expectHolds, expectSame, type EndToEndTest } from './support/suite.ts';

/** A week of the roof condenser, simulated (scripts/makeDemoFanLog.ts); its mean is 45.6 %. */
const logFile = fileURLToPath(new URL('../demo/logs/keg-condenser.csv', import.meta.url));

/** Fans that run flat out when their probe fails: from a week's log to the average keyed into the control. */
export const condenserFans: EndToEndTest = {
  name: 'condenser fans: the cause of a complaint is found, a week’s log is imported, its average planned as fault speed with the reason, and keyed into the control; a band that does not hunt is taken, its holding proven',
  run: () =>
    onStage(async ({ server, browser }) => {
      const page = await newPage(browser);
      await signIn(page, server.base, 'lena', PASSWORD);
      const id = await demoJob(page, 'flat out');
      const at = (path: string) =>
        page.goto(`${server.base}/jobs/${id}/${path}`, { waitUntil: 'networkidle0' });

      // High pressure on warm days and hunting at night, since the probe was changed: the probe is the likeliest.
      await at('complaint');
      await page.waitForSelector(`${byTest('causes')} [data-cause]`);
      expectSame(
        await page.$eval(
          `${byTest('causes')} [data-cause]`,
          (node) => (node as HTMLElement).dataset['cause'],
        ),
        'fansProbeLoose',
        'the likeliest cause, as its simulated days show',
      );
      await click(page, '[data-check="liquidProbe"] button');
      await seeText(page, 'Checked');
      await allSaved(page);

      await at('prove/log');
      const input = (await page.waitForSelector(byTest('log-file'))) as ElementHandle<HTMLInputElement>;
      await input.uploadFile(logFile);
      await page.waitForSelector(byTest('layout'));
      await click(page, byTest('read-log'));
      await page.waitForSelector(byTest('fault-words'));
      expectHolds(await textOf(page, byTest('fault-words')), '50 %', 'the average in whole steps up');
      expectHolds(await textOf(page, byTest('fault-speed')), '45.6 %', 'the mean of the file');
      expectHolds(
        await textOf(page, byTest('tried-speeds')),
        'too little on',
        'what a speed would have missed',
      );
      await click(page, byTest('take-50'));
      await page.waitForFunction(
        (list) => document.querySelector(list)?.textContent?.includes('✓ planned'),
        {},
        byTest('tried-speeds'),
      );
      await allSaved(page);

      await at('program/fans');
      await page.waitForSelector(byTest('fan-figures'));
      expectHolds(await textOf(page, byTest('fan-figures')), 'kWh', 'energy of a simulated day');
      await click(page, byTest('try-loops'));
      await page.waitForSelector(`${byTest('loops')} button`);
      expectHolds(await textOf(page, byTest('loops')), 'hunts', 'the band as found on a cold night');
      await click(page, `${byTest('loops')} button`);
      await allSaved(page);

      await at('program/cabinet');
      await click(page, '[data-code="5.1"] button, [data-code="5.1"]');
      await page.waitForSelector('[data-code="5.1"][aria-current="true"]');
      const row = await page.$eval('[data-code="5.1"]', (node) => (node as HTMLElement).innerText);
      expectHolds(row, '50', 'the fault speed in the control’s own code');
      await click(page, byTest('keyed-in'));
      await page.waitForSelector('[data-code="5.1"][data-state="keyed"]');
      await allSaved(page);

      // The proof asks what these settings do; a reading outside is no pass.
      await at('prove/run');
      await click(page, byTest('test-fans.holds'));
      await fill(page, byTest('test-value'), '140 °F');
      await click(page, byTest('pass'));
      await seeText(page, 'mark it failed, or read again');
      await fill(page, byTest('test-value'), '92 °F');
      await click(page, byTest('pass'));
      await seeText(page, '✓ passed');
      await allSaved(page);

      await at('handover');
      await page.waitForSelector(byTest('paper-text'));
      await clickText(page, 'section[aria-label="Papers"] :is(label, button)', 'For the file');
      // The pages for the file say what was keyed in.
      await page.waitForFunction(
        (pages) => [...document.querySelectorAll(pages)].some((one) => /50\s*%/.test(one.textContent ?? '')),
        {},
        byTest('paper-text'),
      );
      const why = await page.evaluate(
        async (job) => JSON.stringify(await (await fetch(`/api/jobs/${job}/entries`)).json()),
        id,
      );
      expectSame(why.includes('average of 7.0 days of log, 45.6 %'), true, 'the reason is in the record');
    }),
};
