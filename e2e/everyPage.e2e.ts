import { byTest, signIn } from './support/acts.ts';
import { newPage } from './support/browser.ts';
import { measurePage } from './support/measure.ts';
import { onStage } from './support/stage.ts';
import { PASSWORD } from './support/steps.ts';
import { expectSame, type EndToEndTest } from './support/suite.ts';
import { mainViews } from './support/views.ts';

/** Widths of phones and a tablet; a desk has a mouse. */
const touched = [360, 390, 768];
const DESK = 1280;
/** A page that has become wider is drawn anew. */
const REST_MS = 150;

/** Every page of the demo at every width, measured. */
export const everyPage: EndToEndTest = {
  name: 'no page scrolls sideways, none has a target under 44 px by touch, none cuts a text, at 360, 390, 768 and 1280 px',
  run: () =>
    onStage(async ({ server, browser }) => {
      const page = await newPage(browser, 'phone');
      // What the tool that strips the types leaves of names.
      await page.evaluateOnNewDocument('globalThis.__name = (f) => f');
      await signIn(page, server.base, 'lena', PASSWORD);
      const { job, views } = await mainViews(page, 'phone');
      const misfits: string[] = [];
      for (const [touch, all] of [
        [true, touched],
        [false, [DESK]],
      ] as const)
        for (const view of views) {
          await page.setViewport({ width: all[0]!, height: 800, hasTouch: touch, isMobile: touch });
          await page.goto(server.base + view, { waitUntil: 'networkidle0' });
          await page.waitForSelector(byTest('person-menu'));
          for (const width of all) {
            await page.setViewport({ width, height: 800, hasTouch: touch, isMobile: touch });
            await page.evaluate((rest) => new Promise((resolve) => setTimeout(resolve, rest)), REST_MS);
            const found = await page.evaluate(measurePage, touch);
            misfits.push(
              ...found.map(({ what, where }) => `${width} ${view.replace(job, '/job')} ${what}: ${where}`),
            );
          }
        }
      expectSame(misfits, [], 'misfits');
    }),
};
