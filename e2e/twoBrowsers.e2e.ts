import { newPage } from './support/browser.ts';
import { allSaved, byTest, choose, click, clickText, fill, seeText, signIn } from './support/acts.ts';
import { foundValue, oldSheet, openJobOn, paste, PASSWORD } from './support/steps.ts';
import { onStage } from './support/stage.ts';
import { expectHolds, expectSame, type EndToEndTest } from './support/suite.ts';

/** What one browser writes, another one sees; what a viewer may not do. */
export const secondBrowser: EndToEndTest = {
  name: 'a second browser sees the same, while it is open and after it is opened; a viewer sees it and cannot write',
  run: () =>
    onStage(async ({ server, browser }) => {
      const first = await newPage(browser);
      await signIn(first, server.base, 'tess', PASSWORD);
      const id = await openJobOn(first, server.base, 'BK-2', 'Seen by two');
      const lenasBrowser = await browser.createBrowserContext();
      const second = await newPage(lenasBrowser);
      await signIn(second, server.base, 'lena', PASSWORD);
      await second.goto(`${server.base}/jobs/${id}/survey`, { waitUntil: 'networkidle0' });
      await choose(first, byTest('control-old'), 'Gault P');
      await paste(first, oldSheet);
      await second.waitForFunction(
        () => (document.querySelector('[data-found="Cp"] input') as HTMLInputElement | null)?.value === '240',
      );
      const late = await newPage(lenasBrowser);
      await late.goto(`${server.base}/jobs/${id}/survey`, { waitUntil: 'networkidle0' });
      await late.waitForSelector('[data-found="Sn"] input');
      expectSame(await foundValue(late, 'Sn'), '-3', 'opened later, it shows the same');

      const vics = await browser.createBrowserContext();
      const viewer = await newPage(vics);
      await signIn(viewer, server.base, 'vic', PASSWORD);
      expectSame(await viewer.$(byTest('new-job')), null, 'a viewer is offered no new job');
      await viewer.goto(`${server.base}/jobs/${id}/survey`, { waitUntil: 'networkidle0' });
      await viewer.waitForSelector('[data-found="Sn"] input');
      expectSame(await foundValue(viewer, 'Sn'), '-3', 'a viewer sees the values');
      const fields = await viewer.$$eval(
        'main :is(input:not([type="file"]), select, textarea)',
        (nodes) => nodes.filter((node) => !(node as HTMLInputElement).disabled).length,
      );
      expectSame(fields, 0, 'fields open to a viewer');
      // The page is not what keeps a viewer out: the server refuses as well.
      const entry = {
        id: '00000000-0000-4000-8000-00000000000a',
        job: id,
        deviceSequence: 1,
        deviceTime: new Date().toISOString(),
        seen: 0,
        body: { kind: 'note', text: 'x' },
      };
      const attempts: [string, object][] = [
        ['/entries', { entries: [entry] }],
        ['/sites', { name: 'x' }],
        ['/jobs', { unitId: entry.id, title: 'x' }],
        ['/me/ticket', { device: 'd' }],
      ];
      const refusals: number[] = [];
      for (const [path, body] of attempts)
        refusals.push(
          await viewer.evaluate(
            async (to, what) =>
              (
                await fetch(`/api${to}`, {
                  method: 'POST',
                  headers: { 'content-type': 'application/json' },
                  body: JSON.stringify(what),
                })
              ).status,
            path,
            body,
          ),
        );
      expectSame(refusals, [401, 403, 403, 403], 'what the server says to a viewer');
    }),
};

/** Two people change one value without seeing each other. */
export const conflict: EndToEndTest = {
  name: 'two browsers that changed one value without seeing each other show a conflict, and a person settles it for both',
  run: () =>
    onStage(async ({ server, browser }) => {
      const tess = await newPage(browser);
      await signIn(tess, server.base, 'tess', PASSWORD);
      const id = await openJobOn(tess, server.base, 'BK-2', 'Two at once');
      await choose(tess, byTest('control-old'), 'Gault P');
      await fill(tess, '[data-found="Cp"] input', '240');
      await allSaved(tess);
      const lena = await newPage(await browser.createBrowserContext());
      await signIn(lena, server.base, 'lena', PASSWORD);
      await lena.goto(`${server.base}/jobs/${id}/survey`, { waitUntil: 'networkidle0' });
      await lena.waitForFunction(
        () => (document.querySelector('[data-found="Cp"] input') as HTMLInputElement | null)?.value === '240',
      );

      // Lena has no signal; both type.
      await lena.setOfflineMode(true);
      await fill(lena, '[data-found="Cp"] input', '300');
      await seeText(lena, 'The server does not answer');
      await seeText(lena, '1 waiting');
      await fill(tess, '[data-found="Cp"] input', '360');
      await allSaved(tess);
      await lena.setOfflineMode(false);
      await lena.evaluate(() => dispatchEvent(new Event('online')));

      for (const page of [tess, lena]) {
        await page.waitForSelector(byTest('conflicts'));
        const text = await page.$eval(byTest('conflicts'), (node) => (node as HTMLElement).innerText);
        for (const part of ['Cooling period', '300', '360', 'Lena Sandwick', 'Tess Marram'])
          expectHolds(text, part, 'the conflict');
      }
      await clickText(tess, byTest('settle'), '300');
      for (const page of [tess, lena]) {
        await page.waitForFunction((at) => document.querySelector(at) === null, {}, byTest('conflicts'));
        await page.waitForFunction(
          () => (document.querySelector('[data-found="Cp"] input') as HTMLInputElement).value === '300',
        );
      }
      await click(tess, byTest('person-menu'));
    }),
};
