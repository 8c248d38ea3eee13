import { found } from '../scripts/words/phrases.mjs';
import { byTest, signIn } from './support/acts.ts';
import { brokenRules } from './support/axe.ts';
import { newPage } from './support/browser.ts';
import { measurePage } from './support/measure.ts';
import { onStage } from './support/stage.ts';
import { PASSWORD } from './support/steps.ts';
import { expectSame, type EndToEndTest } from './support/suite.ts';
import { mainViews } from './support/views.ts';

/** Widths of phones and a tablet; a desk has a mouse. */
const touched = [360, 390, 768];
/** The phone of most. */
const PHONE = 390;
const DESK = 1280;
/** A page that has become wider is drawn anew. */
const REST_MS = 150;

/** Every page of the demo, loaded once by touch and once at a desk: measured at every width, asked for what it breaks of accessibility, and read. */
export const everyPage: EndToEndTest = {
  name: 'no page scrolls sideways, none has a target under 44 px by touch, none cuts a text, at 360, 390, 768 and 1280 px; none breaks a rule of WCAG 2.2 AA that axe-core can see, on paper and in the box; none says what the glossary does not want',
  run: () =>
    onStage(async ({ server, browser }) => {
      const page = await newPage(browser, 'phone');
      // What the tool that strips the types leaves of names.
      await page.evaluateOnNewDocument('globalThis.__name = (f) => f');
      await signIn(page, server.base, 'lena', PASSWORD);
      await page.evaluate(() => localStorage.setItem('brine-theme', 'paper'));
      const misfits: string[] = [];
      const broken: string[] = [];
      const words: string[] = [];
      for (const [touch, all, look] of [
        [true, touched, PHONE],
        [false, [DESK], DESK],
      ] as const) {
        const { job, views } = await mainViews(page, touch ? 'phone' : 'desk');
        const wide = (width: number) =>
          page.setViewport({ width, height: 800, hasTouch: touch, isMobile: touch });
        for (const view of views) {
          const name = view.replace(job, '/job');
          await wide(all[0]!);
          await page.goto(server.base + view, { waitUntil: 'networkidle0' });
          await page.waitForSelector(byTest('person-menu'));
          for (const width of all) {
            await wide(width);
            await page.evaluate((rest) => new Promise((resolve) => setTimeout(resolve, rest)), REST_MS);
            const here = await page.evaluate(measurePage, touch);
            misfits.push(...here.map(({ what, where }) => `${width} ${name} ${what}: ${where}`));
          }
          await wide(look);
          const text = await page.evaluate(() => document.body.innerText);
          words.push(...found(text).map((problem) => `${look} ${name} ${problem}`));
          broken.push(...(await brokenRules(page)).map((problem) => `${look} ${name} ${problem}`));
        }
      }
      expectSame(misfits, [], 'misfits');
      expectSame(broken, [], 'violations');
      expectSame(words, [], 'phrases that docs/glossary.md does not want');
    }),
};
