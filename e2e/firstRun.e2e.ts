import type { Page } from 'puppeteer-core';
import { allSaved, byTest, choose, click, clickText, fill, findOne, seeText } from './support/acts.ts';
import { newPage } from './support/browser.ts';
import { onStage } from './support/stage.ts';
import { expectSame, type EndToEndTest } from './support/suite.ts';

const MOST_CLICKS = 60;

/** The acts of a hand on the mouse, counted: a field that is clicked into, an option chosen and a file chosen are one each. */
function counted(page: Page) {
  let clicks = 0;
  const once =
    <Given extends readonly unknown[]>(act: (page: Page, ...given: Given) => Promise<void>) =>
    (...given: Given) => {
      clicks += 1;
      return act(page, ...given);
    };
  return {
    press: once(click),
    pressText: once(clickText),
    type: once(fill),
    pick: once(choose),
    find: once(findOne),
    take: once(async (on: Page, selector: string, path: string) => {
      const input = await on.waitForSelector(selector);
      await (input as unknown as { uploadFile(path: string): Promise<void> }).uploadFile(path);
    }),
    clicks: () => clicks,
  };
}

/** The first evening of a company of one's own, by its pages alone. */
export const firstRun: EndToEndTest = {
  name: 'an empty company comes from its one-time link to the first code keyed in at most 60 clicks, with a controller taken in and a colleague invited',
  run: () =>
    onStage(
      async ({ server, browser }) => {
        const link = /http:\S+\/link\/\S+/.exec(server.output())![0];
        const page = await newPage(browser);
        const hand = counted(page);
        await page.goto(link, { waitUntil: 'networkidle0' });
        await hand.type('input[name="login"]', 'olga');
        await hand.type('input[name="name"]', 'Olga Brack');
        await hand.type('input[name="password"]', 'a long password');
        await hand.type('input[name="again"]', 'a long password');
        await hand.press(byTest('take-link'));

        // One: who they are.
        await seeText(page, 'Three steps to the first job');
        await hand.type(byTest('first-name'), 'Brack Cooling');
        await hand.type(byTest('first-phone'), '555 0100');
        await hand.pick(byTest('first-degrees'), '°F');
        await hand.press(byTest('first-people'));
        await hand.press(byTest('invite'));
        await hand.type('input[name="name"]', 'Piet Ebb');
        await hand.type('input[name="login"]', 'piet');
        await hand.press(byTest('send-invite'));
        await page.waitForSelector(byTest('one-time-link'));

        // Two: a controller from a file.
        await hand.pressText('nav a', 'Today');
        await seeText(page, 'Who you are, done');
        await hand.press(byTest('first-controls'));
        await hand.take(
          byTest('controller-file'),
          new URL('../demo/controllers/marl-4.controller.json', import.meta.url).pathname,
        );
        await page.waitForFunction(() => /\/controls\/[0-9a-f]{64}/.test(location.pathname));
        await seeText(page, 'Marl 4');

        // Three: somebody calls.
        await hand.pressText('nav a', 'Today');
        await seeText(page, 'The first controller, done');
        await hand.press(byTest('new-call'));
        await hand.type(byTest('call-site'), 'Own quay');
        await hand.type(byTest('call-phone'), '555 01 99');
        await hand.type(byTest('call-unit'), 'Own freezer');
        await hand.type(byTest('call-complaint'), 'Too warm, new control');
        await hand.press(byTest('save-call'));

        // The survey, the new control, the first code.
        await page.waitForFunction(() => location.pathname.endsWith('/survey'));
        await hand.pick('#question-application-field', 'Walk-in freezer');
        await hand.pick('#question-goods-field', 'Frozen fish');
        await hand.pick('#question-defrostMethod-field', 'Electric heater');
        await hand.press('#question-probes input[value="air"]');
        await hand.press('#question-probes input[value="coil"]');
        await hand.pick(byTest('control-new'), 'Marl 4');
        await allSaved(page);
        await hand.pressText('nav a', 'Program');
        await page.waitForFunction(() => location.pathname.includes('/program'));
        await hand.pressText('button', 'At the cabinet');
        await hand.press(byTest('keyed-in'));
        await page.waitForSelector('[data-code][data-state="keyed"]');
        await allSaved(page);
        process.stdout.write(
          `      from the one-time link to the first code keyed: ${hand.clicks()} clicks\n`,
        );
        expectSame(hand.clicks() <= MOST_CLICKS, true, `${hand.clicks()} clicks`);

        // It stands in the record, and the first steps are over.
        const id = new URL(page.url()).pathname.split('/')[2]!;
        const keyed = await page.evaluate(
          async (job) =>
            (await (await fetch(`/api/jobs/${job}/entries`)).json()).entries.filter(
              (entry: { body: { kind: string } }) => entry.body.kind === 'keyed',
            ).length as number,
          id,
        );
        expectSame(keyed, 1, 'codes keyed');
        await page.goto(`${server.base}/today`, { waitUntil: 'networkidle0' });
        await page.waitForSelector(`[data-today="${id}"]`);
        expectSame(await page.$(byTest('first-steps')), null, 'first steps after the first job');
      },
      { demo: false },
    ),
};
