import type { Page } from 'puppeteer-core';
import { allSaved, byTest, choose, click, clickText, fill, seeText, signIn, textOf } from './support/acts.ts';
import { newPage } from './support/browser.ts';
import { onStage } from './support/stage.ts';
import { answerFreezer, openJobOn, PASSWORD, pasteTable, writerStep } from './support/steps.ts';
import { expectHolds, expectSame, type EndToEndTest } from './support/suite.ts';

/** A booklet unlike any family of the demo: no row says what is counted to a defrost, nor what ends it. */
const booklet = `DORRY 4 freezer controller                     Rev. 3 05/26
Code Parameter Min. Max. Fact. U.M.
REGULATION
do01 Set point -40 10 -18 °C
do02 Hysteresis 1 15 2 °C
do03 Lowest set point for the user -40 10 -25 °C
COMPRESSOR
do11 Minimum compressor off time 0 15 3 min
do12 Compressor start delay from power-up 0 15 1 min
DEFROST
do21 Interval between defrosts 1 48 6 h
do22 Defrost end temperature, evaporator 0 30 12 °C
do23 Maximum defrost duration 1 90 45 min
do24 Dripping time after
     defrosting 0 20 4 min
EVAPORATOR FAN
do31 Fan stop temperature -30 15 -2 °C
do32 Fan delay after defrost 0 20 3 min
do33 Fan with compressor off: 0 = stopped; 1 = on 0 1 0
ALARMS
do41 High temperature alarm above set point 1 40 8 °C
do42 Low temperature alarm below set point 1 40 5 °C
do43 Temperature alarm delay 0 240 30 min
do44 No alarm after defrost 0 240 60 min
MISCELLANEOUS
do51 Air probe calibration -10 10 0 °C
do52 Keypad lock: 0 = no; 1 = yes 0 1 0
* Only on models with a clock.
                                               Page 2 of 4
`;

const section = (name: string) => byTest(`connect-${name}`);

/** Writes the controller down, from the pasted booklet to the library. */
async function writeDown(page: Page, base: string): Promise<void> {
  await page.goto(`${base}/controls/write`, { waitUntil: 'networkidle0' });
  await pasteTable(page, booklet);
  await seeText(page, '18 rows');
  expectHolds(await textOf(page, byTest('aside')), 'lines are no row', 'what is no row is told');
  await writerStep(page, 'Meanings');
  expectHolds(await textOf(page, byTest('row-count')), '18 have a meaning', 'the booklet');

  await writerStep(page, 'Connections');
  await click(page, `${section('supply')} ${byTest('add-line')}`);
  await fill(page, byTest('supply-volts'), '208-240');
  for (const [at, duty] of ['Compressor', 'Defrost', 'Evaporator fan'].entries()) {
    await click(page, `${section('relays')} ${byTest('add-line')}`);
    await page.waitForFunction(
      (place, n, words) => {
        const list = [...document.querySelectorAll(`${place} [data-test="relay-drives"]`)];
        return list.length === n && (list[n - 1] as HTMLSelectElement).selectedOptions[0]!.text === words;
      },
      {},
      section('relays'),
      at + 1,
      duty,
    );
    await fill(page, `${section('relays')} > div:nth-of-type(${at + 2}) ${byTest('resistiveAmps')}`, '16');
  }
  for (const n of [1, 2]) {
    await click(page, `${section('probe-inputs')} ${byTest('add-line')}`);
    await page.waitForFunction(
      (place, count) => document.querySelectorAll(`${place} [data-test="probe-role"]`).length === count,
      {},
      section('probe-inputs'),
      n,
    );
  }

  // What no row says is proposed with its reason, and confirmed.
  await writerStep(page, 'Built in');
  await page.waitForSelector('[data-implied="defrost.initiation"]');
  expectHolds(
    await textOf(page, '[data-implied="defrost.initiation"]'),
    'do21, Interval between defrosts',
    'the reason',
  );
  await click(page, byTest('confirm-all'));
  await click(page, '[data-implied="defrost.method"] button');
  await click(page, '[data-implied="regulation.differentialPlacement"] button');
  await page.waitForFunction(() => !document.querySelector('[data-implied] button'));

  await writerStep(page, 'Shortcuts');
  await click(page, `${section('alarm-codes')} ${byTest('add-line')}`);
  await fill(page, byTest('alarm-code'), 'dE1');
  await fill(page, byTest('alarm-means'), 'Air probe open or short');

  await writerStep(page, 'Try');
  await fill(page, byTest('family-name'), 'Dorry 4');
  await click(page, byTest('save-definition'));
  await page.waitForFunction(() => /^\/controls\/[0-9a-f]{64}$/.test(location.pathname));
}

/** Asks the server as the page does. */
const make = (page: Page, path: string, body: object) =>
  page.evaluate(
    async (to, sent) =>
      (
        await fetch(to, { method: 'POST', headers: { 'content-type': 'application/json' }, body: sent })
      ).json() as Promise<{ site: { id: string } }>,
    `/api/${path}`,
    JSON.stringify(body),
  );

/** A site and a unit of one's own. */
async function ownUnit(page: Page): Promise<void> {
  const { site } = await make(page, 'sites', { name: 'Own cold store', place: '' });
  await make(page, 'units', { siteId: site.id, name: 'Bait freezer', tag: 'OWN-1', plate: 'R-449A, 208 V' });
}

/** A controller that nobody prepared goes the whole way. */
export const ownControl: EndToEndTest = {
  name: 'a controller written down from a booklet unlike any of the demo fits, is planned, simulated with its defrosts, set by hand where the plan says nothing, and has its tests',
  run: () =>
    onStage(async ({ server, browser }) => {
      const page = await newPage(browser);
      await signIn(page, server.base, 'tess', PASSWORD);
      await writeDown(page, server.base);
      await ownUnit(page);
      const id = await openJobOn(page, server.base, 'OWN-1', 'New control');
      await answerFreezer(page);
      await choose(page, byTest('control-new'), 'Dorry 4');
      await allSaved(page);

      // Fit: nothing is missing that was written down.
      await page.goto(`${server.base}/jobs/${id}/fit`, { waitUntil: 'networkidle0' });
      await seeText(page, 'Dorry 4');
      const fit = await page.evaluate(() => document.body.innerText);
      expectSame(/has no relay|not stated/.test(fit.split('Dorry 4')[1]!.slice(0, 400)), false, 'Fit');

      // The forecast defrosts, though no row says what is counted.
      await page.goto(`${server.base}/jobs/${id}/program/forecast`, { waitUntil: 'networkidle0' });
      await page.waitForSelector(byTest('figures'), { timeout: 120_000 });
      await page.waitForFunction(() => !document.querySelector('progress'), { timeout: 120_000 });
      const figures = await textOf(page, byTest('figures'));
      expectSame(/Defrosts[^\d]*[1-9]/.test(figures.replace(/\s+/g, ' ')), true, `defrosts in ${figures}`);

      // A code the plan did not think of takes a value by hand; one beyond its range is refused with the range, and stays typed.
      await page.goto(`${server.base}/jobs/${id}/program/plan`, { waitUntil: 'networkidle0' });
      await clickText(page, `${byTest('plan-which')} [role="radio"]`, 'All codes');
      const calibration = '[data-all-code="do51"]';
      await fill(page, `${calibration} input`, '99');
      await seeText(page, 'expected −10 to 10');
      await fill(page, `${calibration} input`, '-1');
      await seeText(page, 'By hand');
      await allSaved(page);
      await page.goto(`${server.base}/jobs/${id}/program/cabinet`, { waitUntil: 'networkidle0' });
      await page.waitForSelector('[data-code="do51"]');
      expectHolds(await textOf(page, '[data-code="do51"]'), '−1', 'at the cabinet');

      // Proven: its outputs and its defrost have their tests.
      await page.goto(`${server.base}/jobs/${id}/prove/run`, { waitUntil: 'networkidle0' });
      await seeText(page, 'efrost');
      const tests = await page.evaluate(() => document.body.innerText);
      for (const part of ['ompressor', 'efrost', 'fan']) expectHolds(tests, part, 'the tests');
    }),
};
