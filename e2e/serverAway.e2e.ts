import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { launch, newPage } from './support/browser.ts';
import { allSaved, byTest, choose, click, fill, seeText, signIn } from './support/acts.ts';
import { foundValue, openJobOn, PASSWORD } from './support/steps.ts';
import { query } from './support/database.ts';
import { startServer } from './support/server.ts';
import { expectSame, type EndToEndTest } from './support/suite.ts';

/** The server dies while somebody types; the browser is closed; somebody else signs in. */
export const serverAway: EndToEndTest = {
  name: 'server killed, a value typed, the browser closed, the server started, another person signed in: the entry arrives, once, under its author',
  async run() {
    const server = await startServer();
    const profile = mkdtempSync(join(tmpdir(), 'brine-profile-'));
    let chromium = await launch(profile);
    try {
      let page = await newPage(chromium.browser, 'desk', { serviceWorker: true });
      await signIn(page, server.base, 'tess', PASSWORD);
      const id = await openJobOn(page, server.base, 'BK-2', 'Server away');
      await choose(page, byTest('control-old'), 'Gault P');
      await page.waitForSelector('[data-found="Cp"] input');
      await allSaved(page);
      // The program lies on the device whole: pages that were not opened yet open without the server.
      await page.evaluate(async () => void (await navigator.serviceWorker.ready));

      await server.kill();
      await fill(page, '[data-found="Cp"] input', '330');
      await seeText(page, 'Go on working. One entry waits on this device');
      await seeText(page, '1 waiting');
      expectSame(await foundValue(page, 'Cp'), '330', 'the typed value stays on the page');
      // Pages not opened yet open all the same.
      await click(page, byTest('save-state'));
      await seeText(page, 'Found Cp: 330');
      await page.close();
      await chromium.close();

      // The server is back, the same browser is opened, and before anything was sent another person signs in.
      await server.start();
      chromium = await launch(profile);
      page = await newPage(chromium.browser, 'desk', { serviceWorker: true });
      await page.setRequestInterception(true);
      const hold = { on: true };
      page.on(
        'request',
        (request) =>
          void (hold.on && request.url().endsWith('/api/entries') ? request.abort() : request.continue()),
      );
      await page.goto(`${server.base}/jobs`, { waitUntil: 'networkidle2' });
      await click(page, byTest('person-menu'));
      await click(page, byTest('sign-out'));
      await page.waitForSelector(byTest('sign-in'));
      await fill(page, 'input[name="login"]', 'lena');
      await fill(page, 'input[name="password"]', PASSWORD);
      await click(page, byTest('sign-in'));
      await page.waitForSelector(byTest('person-menu'));
      await seeText(page, 'waiting');
      hold.on = false;
      await page.evaluate(() => dispatchEvent(new Event('online')));
      await allSaved(page);

      const rows = await query(
        server.databaseUrl,
        `select p.login, e.body->>'value' as value from entry e join person p on p.id = e.author_id where e.job_id = '${id}' and e.body->>'code' = 'Cp'`,
      );
      expectSame(rows, [{ login: 'tess', value: '330' }], 'rows of the entry');
      await page.goto(`${server.base}/jobs/${id}/survey`, { waitUntil: 'networkidle0' });
      await page.waitForSelector('[data-found="Cp"] input');
      expectSame(await foundValue(page, 'Cp'), '330', 'Lena sees it');
    } finally {
      await chromium.close().catch(() => undefined);
      await server.stop();
      rmSync(profile, { recursive: true, force: true });
    }
  },
};
