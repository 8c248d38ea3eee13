import type { Page } from 'puppeteer-core';
import { allSaved, byTest, choose, click, fill, seeText, signIn, textOf } from './support/acts.ts';
import { newPage } from './support/browser.ts';
import { sayWhyOpen } from './support/leaving.ts';
import { readPdf } from '../server/testing/readPdf.ts';
import { onStage } from './support/stage.ts';
import { answerFreezer, PASSWORD } from './support/steps.ts';
import { expectHolds, expectSame, type EndToEndTest } from './support/suite.ts';

/** A page that shows another's change later than this is not live, ms. */
const LIVE_MS = 2000;
const bytesAt = async (page: Page, address: string) =>
  new Uint8Array(
    await page.evaluate(async (url) => [...new Uint8Array(await (await fetch(url)).arrayBuffer())], address),
  );

/** From the call to a hand-over that hides nothing, on a unit that nobody prepared. */
export const companysDay: EndToEndTest = {
  name: 'a call comes in by one form; the lead sees it at once; what is handed over unfinished asks why, and neither paper nor the public page says what is not so',
  run: () =>
    onStage(async ({ server, browser }) => {
      const lenas = await browser.createBrowserContext();
      const lena = await newPage(lenas);
      await signIn(lena, server.base, 'lena', PASSWORD);
      await lena.goto(`${server.base}/today?board=everybody`, { waitUntil: 'networkidle0' });
      await lena.waitForSelector('[data-today]');

      // The call: found by nothing yet, so the site and the unit are new.
      const page = await newPage(browser);
      await signIn(page, server.base, 'tess', PASSWORD);
      await page.goto(`${server.base}/today`, { waitUntil: 'networkidle0' });
      await click(page, byTest('new-call'));
      await click(page, byTest('save-call'));
      await seeText(page, 'Expected a site');
      await fill(page, byTest('call-site'), 'Own quay');
      await fill(page, byTest('call-phone'), '555 01 99');
      await fill(page, byTest('call-unit'), 'Own freezer');
      await fill(page, byTest('call-complaint'), 'Frost on the fans since Sunday');
      const plate = await page.waitForSelector(byTest('call-plate'));
      await (plate as unknown as { uploadFile(path: string): Promise<void> }).uploadFile(
        new URL('../web/public/icon-512.png', import.meta.url).pathname,
      );
      await seeText(page, '✓ taken; it goes to the job.');
      const taken = Date.now();
      await click(page, byTest('save-call'));
      await page.waitForFunction(() => /\/jobs\/[0-9a-f-]{36}\/survey/.test(location.pathname));
      const id = new URL(page.url()).pathname.split('/')[2]!;
      // The board of the lead has it, without reload.
      await lena.waitForSelector(`[data-today="${id}"]`);
      const after = Date.now() - taken;
      process.stdout.write(`      the lead sees the call after ${after} ms\n`);
      // The photograph of the plate is in the record, and on the server.
      await page.waitForFunction(
        async (job) => {
          const { entries } = (await (await fetch(`/api/jobs/${job}/entries`)).json()) as {
            entries: readonly { body: { kind: string; id?: string; caption?: string } }[];
          };
          const picture = entries.find(({ body }) => body.kind === 'picture' && body.caption === 'Plate');
          return picture && (await fetch(`/api/jobs/${job}/pictures/${picture.body.id}`)).ok;
        },
        { polling: 300 },
        id,
      );
      // Said once: it stands at the head of the job and in the survey.
      await seeText(page, 'Frost on the fans since Sunday');
      await page.waitForFunction(
        () =>
          (document.querySelector('#question-complaint-field') as HTMLInputElement | null)?.value ===
          'Frost on the fans since Sunday',
      );
      await answerFreezer(page);
      await choose(page, byTest('control-new'), 'Marl 4');
      await allSaved(page);

      // Another's entry stands on an open page within two seconds.
      await lena.goto(`${server.base}/jobs/${id}/survey`, { waitUntil: 'networkidle0' });
      await lena.waitForSelector('#question-complaint-field');
      await fill(page, '#question-complaint-field', 'Frost on the fans since Saturday');
      // From the moment the field is left: then it is an entry.
      const typed = Date.now();
      await lena.waitForFunction(
        () =>
          (document.querySelector('#question-complaint-field') as HTMLInputElement | null)?.value ===
          'Frost on the fans since Saturday',
      );
      expectSame(Date.now() - typed < LIVE_MS, true, `live after ${Date.now() - typed} ms`);

      // Nothing is keyed. The hand-over asks why, and takes no silence for an answer.
      await page.goto(`${server.base}/jobs/${id}/handover`, { waitUntil: 'networkidle0' });
      await click(page, byTest('make-share'));
      await page.waitForSelector(byTest('share-link'));
      const link = await page.$eval(byTest('share-link'), (node) => (node as HTMLAnchorElement).href);
      await click(page, byTest('hand-over'));
      await seeText(page, 'Expected who takes it over.');
      await seeText(page, 'expected why, or a day to come back');
      expectSame(await page.$(byTest('handed')), null, 'handed over without a word');
      await fill(page, byTest('handed-to'), 'Mrs Own');
      const kinds = await sayWhyOpen(page, 'The booklet is missing');
      expectSame(kinds.includes('codes') && kinds.includes('tests'), true, `kinds: ${kinds.join(', ')}`);
      await click(page, byTest('hand-over'));
      await page.waitForSelector(byTest('handed'));
      await allSaved(page);

      // The papers: nothing that is only planned is said to be set.
      const paper = (whom: string) => `${server.base}/api/jobs/${id}/sheet.pdf?for=${whom}&unit=degF`;
      const site = await readPdf(await bytesAt(page, paper('site')));
      expectSame(site.pages, 1, 'pages for the site');
      for (const part of [
        'Nothing is known to be set in it yet',
        'codes not keyed in',
        'The booklet is missing',
      ])
        expectHolds(site.text, part, 'the page for the site');
      expectSame(/It starts cooling|It defrosts/.test(site.text), false, 'a plan told as a fact');
      const file = await readPdf(await bytesAt(page, paper('file')));
      for (const part of ['not yet in the unit', 'Left open', 'Frost on the fans since Saturday', 'not done'])
        expectHolds(file.text, part, 'the pages for the file');

      // So is the public page.
      const anybody = await newPage(await browser.createBrowserContext());
      await anybody.goto(link, { waitUntil: 'networkidle0' });
      const said = await textOf(anybody, byTest('shared-page'));
      expectHolds(said, 'Nothing is known to be set in it yet.', 'the public page');
      expectHolds(said, 'No value has been seen in it yet.', 'the public page');
      expectHolds(await textOf(anybody, byTest('page-planned')), 'not yet in the unit', 'what is planned');

      // For the lead the job is finished, and its open items stand beside the board.
      await lena.goto(`${server.base}/today?board=everybody`, { waitUntil: 'networkidle0' });
      await lena.waitForFunction(
        (job) =>
          document.querySelector(`[data-today="${job}"]`) === null &&
          document.body.innerText.includes('Handed over with open items'),
        {},
        id,
      );
    }),
};
