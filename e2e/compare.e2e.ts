import type { Page } from 'puppeteer-core';
import { allSaved, byTest, choose, click, fill, seeText, signIn } from './support/acts.ts';
import { newPage } from './support/browser.ts';
import { onStage } from './support/stage.ts';
import { answerFreezer, foundValue, oldSheet, openJobOn, paste, PASSWORD } from './support/steps.ts';
import { expectHolds, expectSame, type EndToEndTest } from './support/suite.ts';

const textOf = (page: Page, selector: string) =>
  page.$eval(selector, (node) => (node as HTMLElement).innerText.replace(/\s+/g, ' '));

/** From the old control's values to the new one's: read by strokes, compared row by row, decided. */
export const compare: EndToEndTest = {
  name: 'the old control is read by keystrokes; beside the new one every code is taken from plan, old control, preset or default; losses come first; undecided codes are not keyed in',
  run: () =>
    onStage(async ({ server, browser }) => {
      const page = await newPage(browser);
      await signIn(page, server.base, 'tess', PASSWORD);
      const id = await openJobOn(page, server.base, 'FM-2', 'Another control');

      // Read back: strokes to each code, the value typed, the next one counted from there.
      await choose(page, byTest('control-old'), 'Gault P');
      await click(page, byTest('read-by-strokes'));
      await page.waitForSelector(byTest('read-value'));
      expectHolds(await textOf(page, byTest('read-back')), 'Hold HAND and DN together for 5 s', 'the way in');
      for (const [code, value] of [
        ['Sn', '-3'],
        ['hY', '5'],
      ] as const) {
        await page.waitForFunction(
          (at, wanted) => document.querySelector(`${at} h3`)?.textContent?.includes(wanted),
          {},
          byTest('read-back'),
          code,
        );
        await fill(page, byTest('read-value'), value);
        await click(page, byTest('read-next'));
      }
      await page.waitForFunction(
        (at) => document.querySelector(`${at} h3`)?.textContent?.includes('Lo'),
        {},
        byTest('read-back'),
      );
      const onward = await textOf(page, byTest('read-back'));
      expectHolds(onward, '2 of 17 read', 'how far');
      expectSame(onward.includes('for 5 s'), false, 'the menu is open already');
      expectSame([await foundValue(page, 'Sn'), await foundValue(page, 'hY')], ['-3', '5'], 'the sheet');

      // A control that cannot hold the alarms: said first, and again at the cabinet.
      await paste(page, oldSheet);
      await answerFreezer(page);
      await choose(page, byTest('control-new'), 'Ness 2');
      await allSaved(page);
      await page.goto(`${server.base}/jobs/${id}/program/compare`, { waitUntil: 'networkidle0' });
      await page.waitForSelector(byTest('grave-loss'));
      const first = await page.$eval(
        byTest('compare'),
        (node) => (node.firstElementChild as HTMLElement).innerText,
      );
      expectHolds(first, 'protects compressor or product, and is lost', 'what stands first');
      await page.goto(`${server.base}/jobs/${id}/program/cabinet`, { waitUntil: 'networkidle0' });
      await page.waitForSelector(byTest('grave-losses'));

      // Row by row: the old control's value, the preset's, the plan's again.
      await page.goto(`${server.base}/jobs/${id}/survey`, { waitUntil: 'networkidle0' });
      await choose(page, byTest('control-new'), 'Holm Fit');
      await allSaved(page);
      await page.goto(`${server.base}/jobs/${id}/program/compare`, { waitUntil: 'networkidle0' });
      const row = (code: string) => textOf(page, `[data-compare="${code}"]`);
      await page.waitForSelector('[data-compare="SP"]');
      expectHolds(await row('SP'), 'Sn −3.0 °F', 'the old control’s own code and value');
      expectHolds(await row('SP'), 'recomputed to work the same', 'cut-in there, cut-out here');
      const setTo = async (code: string, value: string) =>
        page.waitForFunction(
          (at, wanted) => document.querySelectorAll<HTMLElement>(`${at} td`)[4]?.innerText.includes(wanted),
          {},
          `[data-compare="${code}"]`,
          value,
        );
      await setTo('SP', '−9 °F');
      await page.select('[data-compare="SP"] select', 'old');
      await setTo('SP', '−8 °F');
      await page.select('[data-compare="SP"] select', 'plan');
      await setTo('SP', '−9 °F');
      await page.select('[aria-label="Preset"]', 'freezerE');
      await page.select('[data-compare="de"] select', 'preset');
      await setTo('de', '54 °F');

      // What nobody planned is not keyed in before somebody decides.
      await page.waitForSelector(byTest('undecided'));
      await page.goto(`${server.base}/jobs/${id}/program/cabinet?code=UA`, { waitUntil: 'networkidle0' });
      await page.waitForSelector(byTest('decide-first'));
      await page.keyboard.press('Enter');
      expectSame(
        await page.$eval('[data-code="UA"]', (node) => node.getAttribute('data-state')),
        'open',
        'UA',
      );
      await click(page, byTest('leave-default'));
      await page.waitForFunction((at) => !document.querySelector(at), {}, byTest('decide-first'));
      await click(page, byTest('keyed-in'));
      await page.waitForSelector('[data-code="UA"][data-state="keyed"]');
      await page.goto(`${server.base}/jobs/${id}/program/compare`, { waitUntil: 'networkidle0' });
      await click(page, byTest('leave-defaults'));
      await page.waitForFunction((at) => !document.querySelector(at), {}, byTest('undecided'));
      await allSaved(page);
      await page.reload({ waitUntil: 'networkidle0' });
      await seeText(page, 'Set every code from');
      expectSame(await page.$(byTest('undecided')), null, 'decided for good');
      await setTo('de', '54 °F');
    }),
};
