import { allSaved, byTest, choose, click, fill, seeText, signIn, textOf } from './support/acts.ts';
import { newPage } from './support/browser.ts';
import { onStage } from './support/stage.ts';
import { openJobOn, ownUnit, PASSWORD } from './support/steps.ts';
import { expectHolds, expectSame, type EndToEndTest } from './support/suite.ts';

/** A unit that keeps what stands in no list, measured, read off its plate: what is answered once is told everywhere. */
export const ownSurvey: EndToEndTest = {
  name: 'a product of one’s own, a heater, the plate and the box itself go from the survey into plan, forecast, judgement, Fit and Wire',
  run: () =>
    onStage(async ({ server, browser }) => {
      const page = await newPage(browser);
      await signIn(page, server.base, 'tess', PASSWORD);
      await ownUnit(page, 'Own bakery', { name: 'Proof room', tag: 'OWN-9', plate: 'R-134a, 230 V' });
      const id = await openJobOn(page, server.base, 'OWN-9', 'New control');
      await choose(page, '#question-application-field', 'Walk-in cooler');
      await choose(page, '#question-goods-field', 'A product of your own');
      await fill(page, '#question-product\\.name-field', 'Sourdough');
      await fill(page, '#question-product\\.max-field', '50');
      // Colder than the warmest it may be: said at the question, and nothing is planned of it.
      await fill(page, '#question-product\\.min-field', '55');
      await choose(page, '#question-defrostMethod-field', 'Off-cycle');
      await click(page, '#question-probes input[value="air"]');
      await seeText(page, 'expected the coldest to lie below the warmest');
      await fill(page, '#question-product\\.min-field', '43');
      await page.waitForFunction(() => !document.querySelector('[data-test="survey-problem"]'));
      await fill(page, '#question-ambient-field', '900');
      await seeText(page, '900: expected −40 °F to 140 °F');
      await fill(page, '#question-ambient-field', '75');
      await click(page, '#question-heats input');

      // What the plate says need not be typed again.
      expectHolds(await textOf(page, '[data-question="supply"]'), 'The plate says 230 V', 'the plate');
      await click(page, `[data-question="supply"] ${byTest('plate-says')} button`);
      await click(page, `[data-question="refrigerant"] ${byTest('plate-says')} button`);
      await page.waitForFunction((said) => !document.querySelector(said), {}, byTest('plate-says'));
      await fill(page, '#question-refrigerant-field', 'R-290');
      await seeText(page, 'The plate says R-134a: which is right?');

      // Feet, since people read °F here; metric is kept.
      await fill(page, byTest('fact-boxVolume'), '1000');
      await allSaved(page);
      const facts = await page.evaluate(
        async (job) =>
          (
            (await (await fetch(`/api/jobs/${job}/entries?after=0`)).json()).entries as {
              body: { kind: string; fact?: string; value?: number };
            }[]
          )
            .filter((entry) => entry.body.fact === 'boxVolume')
            .map((entry) => entry.body.value!),
        id,
      );
      expectSame(Math.round(facts.at(-1)! * 100) / 100, 28.32, 'cubic metres kept');

      await page.goto(`${server.base}/jobs/${id}/program/plan`, { waitUntil: 'networkidle0' });
      await page.waitForSelector('[data-setting="stage2.offset"]');
      expectHolds(
        await textOf(page, '[data-setting="regulation.setpoint"]'),
        'sourdough may stand at 50 °F (as stated on site)',
        'the reason',
      );
      expectHolds(await textOf(page, '[data-setting="stage2.offset"]'), 'Heating ends', 'the second stage');
      await page.goto(`${server.base}/jobs/${id}/program/forecast`, { waitUntil: 'networkidle0' });
      await page.waitForSelector(byTest('figures'));
      await seeText(page, 'of its own size');

      // Fit says what a control would hold of it, and bridges a supply as Wire plans it.
      await page.goto(`${server.base}/jobs/${id}/fit`, { waitUntil: 'networkidle0' });
      await page.waitForSelector(byTest('fit-judged'));
      expectHolds(await page.evaluate(() => document.body.innerText), '230 V AC', 'the supply');
    }),
};
