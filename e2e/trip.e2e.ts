import type { Page } from 'puppeteer-core';
import { allSaved, byTest, demoJob, fill, seeText, signIn, tap, textOf } from './support/acts.ts';
import { newPage } from './support/browser.ts';
import { onStage } from './support/stage.ts';
import { PASSWORD } from './support/steps.ts';
import { sayWhyOpen } from './support/leaving.ts';
import { expectHolds, expectSame, type EndToEndTest } from './support/suite.ts';

/** Steps with nothing to read, in the order of the day; fuel, oil and belts the demo has already. */
const plain = {
  before: ['coolant', 'coils', 'doors', 'drains', 'preTripTest'],
  cooling: ['setPoint', 'runMode', 'preCooled'],
  loading: ['defrost', 'unitOff', 'productTemperature', 'airWays', 'setPointAgain', 'onAgain'],
  delivery: ['papers', 'body'],
} as const;

/** A delivery van from the first look to the load's hand-over, by touch, on a phone. */
export const trip: EndToEndTest = {
  name: 'a trip by touch at 390 × 800: pre-trip list, run mode, pre-cool time, loading, door stop, readings against the product, an alarm written down, hour meter, delivery',
  run: () =>
    onStage(async ({ server, browser }) => {
      const page = await newPage(browser, 'phone');
      await signIn(page, server.base, 'tess', PASSWORD);
      const id = await demoJob(page, 'Morning run');
      await page.goto(`${server.base}/jobs/${id}/prove/trip`, { waitUntil: 'networkidle0' });
      await page.waitForSelector(byTest('trip'));
      expectHolds(
        await textOf(page, byTest('trip')),
        'The unit starts by itself whenever it is switched on',
        'the caution',
      );

      await inOrder(page, plain.before);
      // A battery that discharges is not in order, whatever is pressed.
      await fill(page, byTest('value-batteryAmps'), '-3');
      await tap(page, byTest('ok-batteryAmps'));
      await seeText(page, 'it discharges while the engine runs');
      await fill(page, byTest('value-batteryAmps'), 'plus');
      await tap(page, byTest('ok-batteryAmps'));
      await seeText(page, 'expected a number in A');
      await fill(page, byTest('value-batteryAmps'), '6');
      await tap(page, byTest('ok-batteryAmps'));
      await page.waitForSelector(`${byTest('step-batteryAmps')}[data-state="done"]`);

      expectHolds(await textOf(page, byTest('run-mode')), 'Continuous.', 'fresh fish on ice');
      const before = await textOf(page, byTest('pre-cool'));
      expectHolds(before, 'Air in range after', 'the time it takes');
      await tap(page, 'details summary');
      await fill(page, byTest('fact-outdoorNow'), 'warm');
      await seeText(page, 'warm');
      await fill(page, byTest('fact-outdoorNow'), '86');
      await page.waitForFunction(
        (at, was) => (document.querySelector(at) as HTMLElement).innerText !== was,
        {},
        byTest('pre-cool'),
        before,
      );
      await inOrder(page, plain.cooling);
      await inOrder(page, plain.loading);

      await tap(page, byTest('doors-open'));
      await page.waitForSelector(byTest('doors-shut'));
      // The page is looked away from while the doors stand open.
      await page.reload({ waitUntil: 'networkidle0' });
      await tap(page, byTest('doors-shut'));
      for (const degrees of ['33', '44']) {
        await fill(page, byTest('trip-reading'), degrees);
        await tap(page, byTest('trip-read'));
        await page.waitForFunction(
          (at) => (document.querySelector(at) as HTMLInputElement).value === '',
          {},
          byTest('trip-reading'),
        );
      }
      // The reading above what the goods may have is told.
      await page.waitForFunction(
        (words) => document.querySelector(words)?.textContent?.includes('44'),
        {},
        byTest('trip-words'),
      );
      await fill(page, byTest('alarm-code'), '35');
      await page.select(byTest('alarm-sign'), 'flashing');
      await tap(page, byTest('alarm-add'));
      await seeText(page, 'May it go on?');
      await fill(page, byTest('hours-engine'), '12');
      await tap(page, byTest('keep-engine'));
      await seeText(page, 'an hour meter does not run backwards');
      await fill(page, byTest('hours-engine'), '4321');
      await tap(page, byTest('keep-engine'));
      await page.waitForSelector(`${byTest('hours-engine')}[placeholder="4321"]`);

      await inOrder(page, plain.delivery);
      expectHolds(await textOf(page, byTest('trip-tally')), '1 not', 'the belt stays as found');
      expectSame(
        await page.evaluate(
          () => document.documentElement.scrollWidth <= document.documentElement.clientWidth,
        ),
        true,
        'nothing is wider than the phone',
      );
      await allSaved(page);

      await page.goto(`${server.base}/jobs/${id}/handover`, { waitUntil: 'networkidle0' });
      await fill(page, '#to', 'Ferry kiosk, load signed for');
      await sayWhyOpen(page);
      await tap(page, byTest('hand-over'));
      await page.waitForSelector(byTest('handed'));
      await allSaved(page);
    }),
};

/** Presses “In order” on each step and sees it stand. */
async function inOrder(page: Page, steps: readonly string[]): Promise<void> {
  for (const step of steps) {
    await tap(page, byTest(`ok-${step}`));
    await page.waitForSelector(`${byTest(`step-${step}`)}[data-state="done"]`);
  }
}
