import type { Page } from 'puppeteer-core';
import { allSaved, byTest, choose, fill, seeText, signIn, tap, textOf } from './support/acts.ts';
import { newPage } from './support/browser.ts';
import { onStage } from './support/stage.ts';
import { openJobOn, ownUnit, PASSWORD } from './support/steps.ts';
import { expectHolds, expectSame, type EndToEndTest } from './support/suite.ts';
import { addLine, pasteTable, writerStep } from './support/writer.ts';

/** Two outlets; four codes of the second are there only once it is a thermostat. */
const booklet = `SKERRIT 2 two outlets                      Rev. B
Par. Description Min. Max. Fact. Unit
OUTLET 1
p1 Set point of outlet 1 -20 50 12 °C
p2 Differential of outlet 1 1 15 2 K
p3 Outlet 1: 0 = heating; 1 = cooling 0 1 1
p4 Minimum off time of the compressor 0 15 3 min
OUTLET 2
p5 Second outlet works as: 0 = none; 1 = thermostat 0 1 0
p6 Outlet 2: 0 = heating; 1 = cooling (only if p5 = 1) 0 1 1
p7 Set point of outlet 2 (only if p5 = 1) -20 50 8 °C
p8 Differential of outlet 2 (only if p5 = 1) 1 15 2 K
p9 Minimum off time of outlet 2 (only if p5 = 1) 0 15 1 min
OTHERS
p10 Air probe offset -10 10 0 °C
`;

const secondCodes = ['p6', 'p7', 'p8', 'p9'];
const codesShown = (page: Page) =>
  page.$$eval('[data-all-code]', (all) => all.map((row) => row.getAttribute('data-all-code')!));

/** By thumb at the cabinet's width: nothing is wider than the screen. */
async function expectNarrow(page: Page, where: string): Promise<void> {
  const wide = await page.evaluate(() => document.documentElement.scrollWidth);
  expectSame(wide <= 390, true, `${where} is ${wide} px wide`);
}

export const ownPhone: EndToEndTest = {
  name: 'by touch: a controller with two outlets is written down, its second outlet made to heat by hand; its codes appear, Stages and the rule show both bands',
  run: () =>
    onStage(async ({ server, browser }) => {
      const page = await newPage(browser, 'phone');
      await signIn(page, server.base, 'tess', PASSWORD);
      await page.goto(`${server.base}/controls/write`, { waitUntil: 'networkidle0' });
      await pasteTable(page, booklet);
      await seeText(page, '10 rows read');
      await expectNarrow(page, 'the booklet');
      await writerStep(page, 'Meanings');
      expectHolds(await textOf(page, byTest('row-count')), '10 have a meaning', 'the booklet');
      await expectNarrow(page, 'the meanings');
      await writerStep(page, 'Connections');
      await addLine(page, 'supply', tap);
      for (const at of [0, 1]) {
        await addLine(page, 'relays', tap);
        await fill(
          page,
          `${byTest('connect-relays')} > div:nth-of-type(${at + 2}) ${byTest('resistiveAmps')}`,
          '10',
        );
      }
      await choose(
        page,
        `${byTest('connect-relays')} > div:nth-of-type(3) ${byTest('relay-drives')}`,
        'econd',
      );
      await addLine(page, 'probe-inputs', tap);
      await expectNarrow(page, 'the connections');
      await writerStep(page, 'Built in');
      await tap(page, byTest('confirm-all'));
      await expectNarrow(page, 'what is built in');
      await writerStep(page, 'Keys');
      await expectNarrow(page, 'the keys');
      await writerStep(page, 'Try');
      await fill(page, byTest('family-name'), 'Skerrit 2');
      await tap(page, byTest('save-definition'));
      await page.waitForFunction(() => /^\/controls\/[0-9a-f]{64}$/.test(location.pathname));

      await ownUnit(page, 'Own cold store', { name: 'Seed potato room', tag: 'OWN-2', plate: '230 V' });
      const id = await openJobOn(page, server.base, 'OWN-2', 'Keep it from freezing');
      await choose(page, '#question-application-field', 'Cellar');
      await choose(page, '#question-goods-field', 'Fruit and vegetables');
      await choose(page, '#question-defrostMethod-field', 'None');
      await tap(page, '#question-probes input[value="air"]');
      await choose(page, byTest('control-new'), 'Skerrit 2');
      await allSaved(page);

      // Behind another choice, not there at all; then chosen by hand, and there at once.
      await page.goto(`${server.base}/jobs/${id}/program/plan`, { waitUntil: 'networkidle0' });
      await tap(page, `${byTest('plan-which')} [role="radio"]:nth-of-type(2)`);
      await page.waitForSelector('[data-all-code="p5"]');
      expectSame(
        (await codesShown(page)).filter((code) => secondCodes.includes(code)),
        [],
        'no second outlet yet',
      );
      await choose(page, '[data-all-code="p5"] select', '1');
      await page.waitForSelector('[data-all-code="p6"]');
      expectSame(
        (await codesShown(page)).filter((code) => secondCodes.includes(code)),
        secondCodes,
        'its codes appear',
      );
      await choose(page, '[data-all-code="p6"] select', '0');
      await fill(page, '[data-all-code="p7"] input', '6');
      await allSaved(page);
      await expectNarrow(page, 'the plan');

      // The rule has a heating band beside the cooling one.
      await page.waitForSelector('[data-mark="secondOn"]');
      expectHolds(
        await page.$eval('[data-mark="secondOn"]', (node) => node.getAttribute('aria-label') ?? ''),
        'eating',
        'the second band on the rule',
      );

      // Stages names both, and whether they fight.
      await page.goto(`${server.base}/jobs/${id}/program/tools`, { waitUntil: 'networkidle0' });
      await page.waitForSelector(byTest('tool-answer'), { timeout: 120_000 });
      await seeText(page, 'Both bands');
      const stages = (await page.evaluate(() => document.body.innerText)).replace(/\s+/g, ' ');
      expectHolds(stages, 'First stage cools', 'Stages');
      expectHolds(stages, 'Second stage heats', 'Stages');
      expectSame(/both stages cool/i.test(stages), false, 'not two that cool');
    }),
};
