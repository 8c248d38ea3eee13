import type { Page } from 'puppeteer-core';
import { byTest, seeText, signIn, tap, textOf } from './support/acts.ts';
import { newPage } from './support/browser.ts';
import { onStage } from './support/stage.ts';
import { PASSWORD } from './support/steps.ts';
import { pasteTable, writerStep } from './support/writer.ts';
import { expectHolds, expectSame, type EndToEndTest } from './support/suite.ts';

/** A booklet of nobody's that says neither which way its offset counts, nor where the band lies. */
const booklet = `SKERRA 2 cooler controller
Code Parameter Min. Max. Fact. U.M.
sk01 Set point -10 20 4 °C
sk02 Hysteresis 1 15 3 °C
sk11 Minimum compressor off time 0 15 3 min
sk12 Compressor start delay from power-up 0 15 1 min
sk21 Interval between defrosts 1 48 6 h
sk23 Maximum defrost duration 1 90 30 min
sk51 Air probe calibration -10 10 0 °C`;

/** Answers what was seen until one meaning is left: the outcome under which it stands. */
async function answer(page: Page, within: string, meaning: string): Promise<void> {
  for (let i = 0; i < 3 && !(await page.$(`${within} ${byTest('ask-told')}`)); i += 1) {
    const outcome = `${within} [data-meaning*="${meaning}"]`;
    await page.waitForSelector(outcome);
    await tap(page, outcome);
    await new Promise((resolve) => setTimeout(resolve, 200));
  }
}

export const doubtfulBooklet: EndToEndTest = {
  name: 'a doubtful booklet by touch: the control is asked with ice water and a stopwatch, and what it tells is written down: an offset that counts the other way, the band about the set point, values that need saving',
  run: () =>
    onStage(async ({ server, browser }) => {
      const phone = await newPage(await browser.createBrowserContext(), 'phone');
      await signIn(phone, server.base, 'tess', PASSWORD);
      await phone.goto(`${server.base}/controls/write`, { waitUntil: 'networkidle0' });
      await pasteTable(phone, booklet);
      await writerStep(phone, 'Meanings');
      const row = '[data-row="sk51"]';
      await tap(phone, `${row} ${byTest('ask-open')}`);
      if (await phone.$(`${row} [data-doubt="sign:sk51"]`))
        await tap(phone, `${row} [data-doubt="sign:sk51"]`);
      await phone.waitForSelector(`${row} ${byTest('ask-steps')}`);
      expectHolds(await textOf(phone, `${row} ${byTest('ask-steps')}`), 'ice water', 'what it takes');
      await answer(phone, row, 'otherSign');
      expectHolds(await textOf(phone, `${row} ${byTest('ask-told')}`), 'taken off', 'what the control says');
      await tap(phone, `${row} ${byTest('ask-write')}`);
      await phone.waitForSelector(`${row} ${byTest('ask-written')}`);

      await writerStep(phone, 'Built in');
      const band = '[data-implied="regulation.differentialPlacement"]';
      await tap(phone, `${band} ${byTest('ask-open')}`);
      await answer(phone, band, 'setpointIsMiddle');
      await tap(phone, `${band} ${byTest('ask-write')}`);
      await phone.waitForFunction(
        (at) => document.querySelector<HTMLSelectElement>(`${at} select`)?.value === 'setpointIsMiddle',
        {},
        band,
      );

      await writerStep(phone, 'Keys');
      await tap(phone, byTest('ask-open'));
      expectHolds(await textOf(phone, byTest('ask-steps')), 'switch the supply off and on', 'the cut');
      await answer(phone, 'body', 'leaving');
      await tap(phone, byTest('ask-write'));
      await seeText(phone, 'Written down so');

      // Kept on the device, and what the first answer changed is now what stands.
      await phone.reload({ waitUntil: 'networkidle0' });
      const kept = await phone.evaluate(() =>
        Object.values(localStorage)
          .filter((value) => value.includes('SKERRA'))
          .join(''),
      );
      expectHolds(kept, '"keeps":"nothing"', 'a menu that saves on leaving');
      await writerStep(phone, 'Meanings');
      await tap(phone, `${row} ${byTest('ask-open')}`);
      if (await phone.$(`${row} [data-doubt="sign:sk51"]`))
        await tap(phone, `${row} [data-doubt="sign:sk51"]`);
      await seeText(phone, 'Either a positive number is taken off');
      expectSame(await phone.$(`${row} ${byTest('ask-told')}`), null, 'an answer before it is asked again');
    }),
};
