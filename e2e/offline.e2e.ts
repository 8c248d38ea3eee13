import type { Page } from 'puppeteer-core';
import { appendFileSync, cpSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import {
  allSaved,
  byTest,
  choose,
  click,
  demoJob,
  fill,
  seeText,
  signIn,
  tap,
  textOf,
} from './support/acts.ts';
import { newPage } from './support/browser.ts';
import { keyOne, ownFreezer } from './support/cabinet.ts';
import { sayWhyOpen } from './support/leaving.ts';
import { query } from './support/database.ts';
import { onStage, type Stage } from './support/stage.ts';
import { answerFreezer, PASSWORD } from './support/steps.ts';
import { expectHolds, expectSame, type EndToEndTest } from './support/suite.ts';

const phoneOf = (stage: Stage) => newPage(stage.browser, 'phone', { serviceWorker: true });

/** Marks a job to be taken along, and waits until all of it and the program lie on the device. */
async function takeAlong(page: Page, base: string, id: string): Promise<void> {
  await page.goto(`${base}/jobs`, { waitUntil: 'load' });
  await tap(page, `[data-job="${id}"] ${byTest('take-along')}`);
  await page.waitForFunction(
    (job) => document.querySelector(`[data-job="${job}"]`)?.textContent?.includes('on this device'),
    {},
    id,
  );
  await page.evaluate(async () => void (await navigator.serviceWorker.ready));
}

const onPage = (page: Page, path: string) =>
  page.waitForFunction((at) => location.pathname.includes(at), {}, path);
/** A picture file as a camera gives it. */
async function photograph(page: Page): Promise<string> {
  const bytes = await page.evaluate(async () => {
    const canvas = document.createElement('canvas');
    canvas.width = 640;
    canvas.height = 480;
    canvas.getContext('2d')!.fillRect(40, 40, 300, 200);
    const jpeg = await new Promise<Blob>((done) => canvas.toBlob((blob) => done(blob!), 'image/jpeg'));
    return [...new Uint8Array(await jpeg.arrayBuffer())];
  });
  const file = join(tmpdir(), `brine-photo-${process.pid}.jpg`);
  writeFileSync(file, new Uint8Array(bytes));
  return file;
}

export const offlineVisit: EndToEndTest = {
  name: 'flight mode from the first tap on a unit nobody prepared: survey, ten codes, three timed tests, a photograph, a signature, the sheet, two reloads; then everything is at the server once, in order',
  run: () =>
    onStage(async (stage) => {
      const { server } = stage;
      const id = await ownFreezer(stage, false);
      const page = await phoneOf(stage);
      await signIn(page, server.base, 'tess', PASSWORD);
      await takeAlong(page, server.base, id);
      const before = await query(
        server.databaseUrl,
        `select count(*)::int as n from entry where job_id = '${id}'`,
      );
      await server.kill();

      // The page is started anew, without a server.
      await page.goto(`${server.base}/jobs`, { waitUntil: 'load' });
      await seeText(page, 'The server does not answer, since');
      await tap(page, `[data-job="${id}"] a`);
      await onPage(page, `/jobs/${id}/`);
      await page.goto(`${server.base}/jobs/${id}/survey`, { waitUntil: 'load' });
      await answerFreezer(page);
      await fill(page, '#question-complaint-field', 'Too warm since Monday');
      await choose(page, byTest('control-new'), 'Marl 4');
      await seeText(page, '8 waiting');

      await tap(page, byTest('next-act'));
      await page.goto(`${server.base}/jobs/${id}/program/cabinet`, { waitUntil: 'load' });
      await page.waitForSelector(byTest('cabinet-card'));
      for (let n = 0; n < 5; n += 1) await keyOne(page);
      await page.reload({ waitUntil: 'load' });
      await page.waitForSelector(byTest('cabinet-card'));
      for (let n = 0; n < 5; n += 1) await keyOne(page);

      // One touch when it begins, one when it ends; a reload in between loses nothing.
      await page.goto(`${server.base}/jobs/${id}/prove/run`, { waitUntil: 'load' });
      const timed = ['regulation.rest', 'defrost.drain', 'power.delay'];
      for (const test of timed) {
        await tap(page, byTest(`test-${test}`));
        await tap(page, `[data-test-id="${test}"] ${byTest('timer-start')}`);
        await page.waitForSelector(`[data-test-id="${test}"] ${byTest('timer-ended')}`);
      }
      expectSame((await page.$$(`${byTest('timers')} li`)).length, 3, 'stopwatches that run at once');
      await page.reload({ waitUntil: 'load' });
      await page.waitForSelector(`${byTest('timers')} li:nth-child(3)`);
      for (const test of timed) {
        if (!(await page.$(`[data-test-id="${test}"]`))) await tap(page, byTest(`test-${test}`));
        await tap(page, `[data-test-id="${test}"] ${byTest('timer-ended')}`);
        await page.waitForFunction(
          (at) => /passed|failed/.test(document.querySelector(at)?.textContent ?? ''),
          {},
          byTest(`test-${test}`),
        );
      }
      // A picture of what was seen.
      await tap(page, byTest('test-power.order'));
      const input = await page.waitForSelector('[data-test-id="power.order"] input[type="file"]');
      await (input as unknown as { uploadFile(path: string): Promise<void> }).uploadFile(
        await photograph(page),
      );
      await seeText(page, 'A picture is kept with this test');

      await page.goto(`${server.base}/jobs/${id}/handover`, { waitUntil: 'load' });
      await fill(page, byTest('signer'), 'Own quay office');
      const pad = await page.waitForSelector(byTest('signature'));
      await pad!.evaluate((node) => node.scrollIntoView({ block: 'center' }));
      const box = (await pad!.boundingBox())!;
      await page.mouse.move(box.x + 40, box.y + 40);
      await page.mouse.down();
      await page.mouse.move(box.x + 120, box.y + 60, { steps: 6 });
      await page.mouse.up();
      await tap(page, byTest('sign'));
      await page.waitForSelector(byTest('signed'));
      await tap(page, byTest('pdf-here'));
      await page.waitForSelector(byTest('pdf-made'));
      // Its text is that of the server's sheet: both print one document; a page with something on it is no small file.
      const [, kilobytes] = /, (\d+) kB/.exec(await textOf(page, byTest('pdf-made')))!;
      expectSame(Number(kilobytes) > 15, true, `the sheet made on the device, ${kilobytes} kB`);

      // Signal again.
      await server.start();
      await page.evaluate(() => dispatchEvent(new Event('online')));
      await allSaved(page);
      const rows = await query(
        server.databaseUrl,
        `select e.sequence, e.device_sequence, e.body->>'kind' as kind, p.login from entry e join person p on p.id = e.author_id where e.job_id = '${id}' order by e.sequence`,
      );
      const mine = rows.slice(Number(before[0]!['n']));
      expectSame([...new Set(mine.map((row) => row['login']))], ['tess'], 'authors');
      const ranks = mine.map((row) => Number(row['device_sequence']));
      expectSame(
        ranks,
        [...new Set(ranks)].toSorted((a, b) => a - b),
        'each once, in the order typed',
      );
      const kinds = mine.map((row) => String(row['kind']));
      const count = (kind: string) => kinds.filter((k) => k === kind).length;
      expectSame(
        [count('keyed'), count('test'), count('picture'), count('signOff')],
        [10, 3, 1, 1],
        'entries',
      );
      await page.waitForFunction(
        async (job) => {
          const { entries } = await (await fetch(`/api/jobs/${job}/entries?after=0`)).json();
          const picture = entries.find((e: { body: { kind: string } }) => e.body.kind === 'picture');
          return (await fetch(`/api/jobs/${job}/pictures/${picture.body.id}`)).ok;
        },
        { timeout: 60_000, polling: 1000 },
        id,
      );
    }),
};

export const offlineStart: EndToEndTest = {
  name: 'taken along, the server gone: the page starts anew at any address, every page of the job works, and signing out forgets it once nothing waits',
  run: () =>
    onStage(async (stage) => {
      const { server } = stage;
      const page = await phoneOf(stage);
      await signIn(page, server.base, 'tess', PASSWORD);
      const id = await demoJob(page, 'fish store');
      await takeAlong(page, server.base, id);
      await server.kill();
      for (const station of [
        'survey',
        'fit',
        'wire',
        'program',
        'program/cabinet',
        'prove',
        'handover',
        'complaint',
      ]) {
        await page.goto(`${server.base}/jobs/${id}/${station}`, { waitUntil: 'load' });
        await page.waitForSelector(byTest('name-plate'));
        await seeText(page, 'The server does not answer, since');
        expectSame((await textOf(page, byTest('name-plate'))).includes('Loading'), false, station);
      }
      await page.goto(`${server.base}/controls`, { waitUntil: 'load' });
      await seeText(page, 'Marl 4');
      // What waits keeps what is kept; once it has arrived, nothing of it stays.
      await page.goto(`${server.base}/jobs/${id}/survey`, { waitUntil: 'load' });
      await fill(page, '#question-complaint-field', 'Still too warm');
      await seeText(page, '1 waiting');
      // The header comes back at the top of the page.
      await page.$eval('main', (node) => node.scrollTo(0, 0));
      await tap(page, byTest('phone-menu'));
      await tap(page, byTest('phone-sign-out'));
      await page.waitForSelector(byTest('sign-in'));
      const keptJobs = () =>
        page.evaluate(
          () =>
            new Promise<number>((resolve) => {
              const open = indexedDB.open('brine-dial-kept');
              open.onsuccess = () => {
                const count = open.result.transaction('streams').objectStore('streams').count();
                count.onsuccess = () => {
                  open.result.close();
                  resolve(count.result);
                };
              };
            }),
        );
      expectSame((await keptJobs()) > 0, true, 'kept while an entry waits');
      await server.start();
      await page.evaluate(() => dispatchEvent(new Event('online')));
      await page.waitForFunction(() => localStorage.getItem('brine-leaving') === '[]', { timeout: 60_000 });
      expectSame(await keptJobs(), 0, 'kept after it has arrived');
      const [row] = await query(
        server.databaseUrl,
        `select count(*)::int as n from entry where job_id = '${id}' and body->>'value' = 'Still too warm'`,
      );
      expectSame(row!['n'], 1, 'the entry of who signed out without signal');
    }),
};

export const twoPhones: EndToEndTest = {
  name: 'two phones without signal on one job: each goes on by itself, then both have all of it, and a value typed twice is a question',
  run: () =>
    onStage(async (stage) => {
      const { server, browser } = stage;
      const id = await ownFreezer(stage);
      const people = ['tess', 'lena'];
      const phones: Page[] = [];
      for (const login of people) {
        const context = await browser.createBrowserContext();
        const phone = await newPage(context, 'phone', { serviceWorker: true });
        await signIn(phone, server.base, login, PASSWORD);
        await takeAlong(phone, server.base, id);
        phones.push(phone);
      }
      await server.kill();
      for (const [i, phone] of phones.entries()) {
        await phone.bringToFront();
        await phone.goto(`${server.base}/jobs/${id}/survey`, { waitUntil: 'load' });
        await fill(phone, '#question-complaint-field', i === 0 ? 'Warm at noon' : 'Ice on the coil');
        await seeText(phone, '1 waiting');
        await phone.goto(`${server.base}/jobs/${id}/program/cabinet`, { waitUntil: 'load' });
        await phone.waitForSelector(byTest('cabinet-card'));
        for (let n = 0; n < 2 + i; n += 1) await keyOne(phone);
      }
      await server.start();
      for (const phone of phones) {
        await phone.bringToFront();
        await phone.evaluate(() => dispatchEvent(new Event('online')));
        await phone.goto(`${server.base}/jobs/${id}/survey`, { waitUntil: 'load' });
        await allSaved(phone);
      }
      const rows = await query(
        server.databaseUrl,
        `select p.login, count(*)::int as n from entry e join person p on p.id = e.author_id where e.job_id = '${id}' and e.body->>'kind' = 'keyed' group by 1 order by 1`,
      );
      expectSame(
        rows,
        [
          { login: 'lena', n: 3 },
          { login: 'tess', n: 2 },
        ],
        'codes keyed',
      );
      for (const phone of phones) {
        await phone.bringToFront();
        await seeText(phone, 'Warm at noon');
        await seeText(phone, 'Ice on the coil');
        const told = await phone.evaluate(() => document.body.innerText);
        expectHolds(told, 'Ice on the coil', 'the other value stands beside it');
      }
    }),
};

export const clearedStorage: EndToEndTest = {
  name: 'the browser clears its storage under the page: what waits is put back and arrives; an older program in another tab loses nothing typed to a new one',
  run: () =>
    onStage(async (stage) => {
      const { server, browser } = stage;
      const id = await ownFreezer(stage);
      const page = await newPage(browser, 'desk', { serviceWorker: true });
      await signIn(page, server.base, 'tess', PASSWORD);
      await page.goto(`${server.base}/jobs/${id}/survey`, { waitUntil: 'load' });
      await page.waitForSelector('#question-complaint-field');
      await server.kill();
      await fill(page, '#question-complaint-field', 'Typed before');
      await seeText(page, '1 waiting');
      const session = await page.createCDPSession();
      await session.send('Storage.clearDataForOrigin', { origin: server.base, storageTypes: 'indexeddb' });
      await fill(page, '#question-unit-field, #question-refrigerant-field', 'R-449A');
      await seeText(page, '2 waiting');
      await server.start();
      await page.evaluate(() => dispatchEvent(new Event('online')));
      await allSaved(page);
      const rows = await query(
        server.databaseUrl,
        `select e.body->>'value' as value from entry e where e.job_id = '${id}' and e.body->>'value' in ('Typed before', 'R-449A') order by e.sequence`,
      );
      expectSame(rows, [{ value: 'Typed before' }, { value: 'R-449A' }], 'both values, once, in order');

      // A newer storage is opened by another tab: this page says so and holds what is typed until it is sent.
      const newer = await browser.newPage();
      await newer.setBypassServiceWorker(true);
      await newer.goto(`${server.base}/health/live`);
      await newer.evaluate(
        () =>
          new Promise<void>((resolve, reject) => {
            const open = indexedDB.open('brine-dial', 99);
            open.onsuccess = () => (open.result.close(), resolve());
            open.onerror = () => reject(open.error);
          }),
      );
      await page.bringToFront();
      await fill(page, '#question-refrigerant-field', 'R-404A');
      await page.waitForSelector(byTest('device-trouble'));
      await seeText(page, 'This page is older than what is kept on this device');
      await page.waitForFunction(
        async (job) => {
          const { entries } = await (await fetch(`/api/jobs/${job}/entries?after=0`)).json();
          return entries.some((e: { body: { value?: unknown } }) => e.body.value === 'R-404A');
        },
        { timeout: 60_000, polling: 1000 },
        id,
      );
      await click(page, `${byTest('device-trouble')} button`);
      // An old program stays signed in over a newer storage.
      await page.waitForSelector(byTest('person-menu'));
    }),
};

export const newProgram: EndToEndTest = {
  name: 'a new program while an old tab holds typed text: the idle tab takes it over, the other goes on until its text is handed on',
  async run() {
    // A program of its own, so that it can become a newer one under the open tabs.
    const web = mkdtempSync(join(tmpdir(), 'brine-web-'));
    cpSync(fileURLToPath(new URL('../web/dist', import.meta.url)), web, { recursive: true });
    try {
      await onStage(
        async (stage) => {
          const { server, browser } = stage;
          const id = await ownFreezer(stage);
          const open = async () => {
            const tab = await newPage(browser, 'desk', { serviceWorker: true });
            await tab.goto(`${server.base}/jobs/${id}/handover`, { waitUntil: 'load' });
            return tab;
          };
          const first = await newPage(browser, 'desk', { serviceWorker: true });
          await signIn(first, server.base, 'tess', PASSWORD);
          await first.evaluate(async () => void (await navigator.serviceWorker.ready));
          const [typing, idle] = [await open(), await open()];
          await typing.bringToFront();
          await typing.waitForSelector('#to');
          await sayWhyOpen(typing);
          await typing.evaluate(() => void Object.assign(window, { sameVisit: true }));
          await typing.type('#to', 'Market off');

          appendFileSync(join(web, 'serviceWorker.js'), '\n// A newer program.\n');
          // What lies packed beside it is of the older one.
          for (const packed of ['br', 'gz']) rmSync(join(web, `serviceWorker.js.${packed}`), { force: true });
          await idle.bringToFront();
          await idle.evaluate(async () => void (await (await navigator.serviceWorker.ready).update()));
          await idle.waitForSelector(byTest('new-program'));
          expectSame(await typing.$(byTest('new-program')), null, 'asked while something is typed');
          await idle.evaluate(() => void Object.assign(window, { sameVisit: true }));
          await click(idle, `${byTest('new-program')} button`);
          const isSame = () => 'sameVisit' in window;
          await idle.waitForFunction(() => !('sameVisit' in window));
          await idle.waitForSelector('#to');
          await typing.bringToFront();
          // Time enough for a tab that would load itself again.
          await new Promise((resolve) => setTimeout(resolve, 1500));
          expectSame(await typing.evaluate(isSame), true, 'the tab with typed text is as it was');
          expectSame(
            await typing.$eval('#to', (node) => (node as HTMLInputElement).value),
            'Market off',
            'the text',
          );
          await typing.type('#to', 'ice');
          await typing.keyboard.press('Enter');
          await typing.waitForFunction(() => !('sameVisit' in window));
          await seeText(typing, 'Handed over to Market office');
        },
        { web },
      );
    } finally {
      rmSync(web, { recursive: true, force: true });
    }
  },
};
