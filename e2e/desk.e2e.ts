import { newPage } from './support/browser.ts';
import { byTest, click, clickText, fill, seeText, signIn } from './support/acts.ts';
import { PASSWORD } from './support/steps.ts';
import { onStage } from './support/stage.ts';
import type { EndToEndTest } from './support/suite.ts';

/** Keys of the desk. */
export const keys: EndToEndTest = {
  name: '/ jumps to a code, ? lists the keys of the page, [ and ] change station, arrows move and Enter ticks',
  run: () =>
    onStage(async ({ server, browser }) => {
      const page = await newPage(browser);
      await signIn(page, server.base, 'tess', PASSWORD);
      await page.keyboard.press('/');
      await page.waitForSelector(byTest('jump-input'));
      await page.type(byTest('jump-input'), 'fish store');
      await page.keyboard.press('Enter');
      // A job opens at its first open station: here its wires.
      await page.waitForFunction(() => location.pathname.split('/')[3] === 'wire');
      for (const station of ['fit', 'survey']) {
        await page.keyboard.press('[');
        await page.waitForFunction((name) => location.pathname.split('/')[3] === name, {}, station);
      }
      await seeText(page, 'The old control, as found');
      for (const station of ['fit', 'wire', 'program', 'prove', 'handover']) {
        await page.keyboard.press(']');
        await page.waitForFunction((name) => location.pathname.split('/')[3] === name, {}, station);
      }
      for (const station of ['prove', 'program']) {
        await page.keyboard.press('[');
        await page.waitForFunction((name) => location.pathname.split('/')[3] === name, {}, station);
      }
      await page.waitForSelector(byTest('plan'));
      await page.keyboard.press('/');
      await page.type(byTest('jump-input'), 'melt');
      await page.keyboard.press('Enter');
      await page.waitForSelector('[data-code="melt"][aria-current="true"]');
      await page.keyboard.press('ArrowDown');
      await page.waitForSelector('[data-code="last"][aria-current="true"]');
      await page.keyboard.press('Enter');
      await page.waitForSelector('[data-code="last"][data-state="keyed"]');
      await page.keyboard.press('?');
      await page.waitForSelector(byTest('key-list'));
      await seeText(page, 'this code is keyed in');
      await page.keyboard.press('Escape');
      await page.keyboard.press('[');
      await page.waitForFunction(() => location.pathname.split('/')[3] === 'wire');
    }),
};

/** An installation without demo data. */
export const firstLead: EndToEndTest = {
  name: 'without demo the first start prints a one-time link; the first lead invites, adds a site, a unit and a controller family; a changed password signs the other devices out',
  run: () =>
    onStage(
      async ({ server, browser }) => {
        const link = /http:\S+\/link\/\S+/.exec(server.output())![0];
        const page = await newPage(browser);
        await page.goto(link, { waitUntil: 'networkidle0' });
        await seeText(page, 'Become the first lead');
        await fill(page, 'input[name="login"]', 'olga');
        await fill(page, 'input[name="name"]', 'Olga Brack');
        await fill(page, 'input[name="password"]', 'a long password');
        await fill(page, 'input[name="again"]', 'a long passwort');
        await click(page, byTest('take-link'));
        await seeText(page, 'The two passwords differ');
        await fill(page, 'input[name="again"]', 'a long password');
        await click(page, byTest('take-link'));
        await seeText(page, 'Three steps to the first job');

        await page.goto(`${server.base}/people`, { waitUntil: 'networkidle0' });
        await click(page, byTest('invite'));
        await fill(page, 'input[name="name"]', 'Piet Ebb');
        await fill(page, 'input[name="login"]', 'piet');
        await click(page, byTest('send-invite'));
        await page.waitForSelector(byTest('one-time-link'));
        const invited = await page.$eval(
          `${byTest('one-time-link')} .select-all`,
          (node) => node.textContent ?? '',
        );
        const other = await newPage(await browser.createBrowserContext());
        await other.goto(invited, { waitUntil: 'networkidle0' });
        await seeText(other, 'Welcome, Piet Ebb');
        await fill(other, 'input[name="password"]', 'another password');
        await fill(other, 'input[name="again"]', 'another password');
        await click(other, byTest('take-link'));
        await seeText(other, 'Nothing is open.');

        await other.goto(`${server.base}/units`, { waitUntil: 'networkidle0' });
        await click(other, byTest('new-site'));
        await fill(other, 'input[name="name"]', 'Lighthouse Canteen');
        await click(other, byTest('save-site'));
        await seeText(other, 'Lighthouse Canteen');
        await click(other, byTest('add-unit'));
        await fill(other, 'input[name="tag"]', 'LC-1');
        await fill(other, 'input[name="name"]', 'Soup freezer');
        await click(other, byTest('save-unit'));
        await seeText(other, 'Soup freezer');
        await other.goto(`${server.base}/controls`, { waitUntil: 'networkidle0' });
        const input = await other.waitForSelector(byTest('controller-file'));
        await (input as unknown as { uploadFile(path: string): Promise<void> }).uploadFile(
          new URL('../demo/controllers/tarn-1.controller.json', import.meta.url).pathname,
        );
        await seeText(other, 'Off-cycle length');
        // Archive and undo instead of asking twice.
        await other.goto(`${server.base}/units`, { waitUntil: 'networkidle0' });
        await other.waitForFunction(() => document.body.innerText.includes('Soup freezer'));
        await clickText(other, 'li button', 'Archive');
        await seeText(other, 'Soup freezer is in the archive.');

        // Piet changes his own password: his other device is signed out, this one is not.
        const tablet = await newPage(await browser.createBrowserContext());
        await signIn(tablet, server.base, 'piet', 'another password');
        await other.goto(`${server.base}/account`, { waitUntil: 'networkidle0' });
        await fill(other, 'input[name="current"]', 'another password');
        await fill(other, 'input[name="next"]', 'quite another one');
        await fill(other, 'input[name="again"]', 'quite another one');
        await click(other, byTest('change-password'));
        await other.waitForSelector(byTest('changed'));
        await tablet.goto(`${server.base}/units`, { waitUntil: 'networkidle0' });
        await tablet.waitForSelector('input[name="login"]');
        await signIn(tablet, server.base, 'piet', 'quite another one');
        await other.reload({ waitUntil: 'networkidle0' });
        await seeText(other, 'Piet Ebb');
      },
      { demo: false },
    ),
};
