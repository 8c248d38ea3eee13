import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Browser, ElementHandle, Page } from 'puppeteer-core';
import { printedRows } from '../core/testing/booklets.ts';
import { byTest, click, fill, seeText, signIn } from './support/acts.ts';
import { newPage } from './support/browser.ts';
import { onStage } from './support/stage.ts';
import { PASSWORD } from './support/steps.ts';
import { expectHolds, expectSame, type EndToEndTest } from './support/suite.ts';
import { libraryOf, writerStep } from './support/writer.ts';

const rows = printedRows(24, 'letters');
const heads = ['Par.', 'Description', 'Min', 'Max', 'U.M.', 'Def.'];
const cells = (row: (typeof rows)[number]) => [
  row.code,
  row.description,
  row.min,
  row.max,
  row.unit,
  row.default,
];

/** A page of a booklet: running text, a ruled table with narrow columns, a footnote. */
const sheet = (part: typeof rows, title: string) => `<article>
<h2>${title}</h2>
<p>The parameters below are reached by holding the key for five seconds. Do this only with the compressor stopped, as some of them take effect at once.</p>
<table><tr>${heads.map((head) => `<th>${head}</th>`).join('')}</tr>
${part
  .map(
    (row) =>
      `<tr>${cells(row)
        .map((cell) => `<td>${cell}</td>`)
        .join('')}</tr>`,
  )
  .join('\n')}
</table><p>* Only on models with a clock.</p></article>`;
const style = `<style>
body{font:13px Helvetica,Arial,sans-serif;margin:24px;background:#fff;color:#111}
article{break-after:page}
table{border-collapse:collapse}
td,th{border:1px solid #000;padding:3px 8px;vertical-align:middle;text-align:left}
td:nth-child(2){width:230px}
</style>`;

/** A page of the browser's own that is printed, or looked at by a camera. */
async function printed<T>(browser: Browser, html: string, take: (page: Page) => Promise<T>): Promise<T> {
  const page = await browser.newPage();
  await page.setViewport({ width: 640, height: 900, deviceScaleFactor: 2 });
  await page.setContent(`${style}${html}`);
  const taken = await take(page);
  await page.close();
  return taken;
}

async function isRead(page: Page): Promise<void> {
  await page.waitForSelector(`${byTest('booklet')} [data-page="1"]`, { timeout: 120_000 });
  await page.waitForFunction(
    (at) => !document.querySelector(at),
    { timeout: 120_000 },
    byTest('stop-reading'),
  );
}

/** The next question of the page, answered. */
const answered = (page: Page, yes: boolean) =>
  new Promise<void>((done) =>
    page.once('dialog', (dialog) => void (yes ? dialog.accept() : dialog.dismiss()).then(done)),
  );

async function chooseFile(
  page: Page,
  name: string,
  bytes: Uint8Array,
  until: () => Promise<void> = () => isRead(page),
): Promise<void> {
  const folder = mkdtempSync(join(tmpdir(), 'brine-booklet-'));
  const path = join(folder, name);
  writeFileSync(path, bytes);
  const input = (await page.waitForSelector(byTest('table-file'))) as ElementHandle<HTMLInputElement>;
  await input.uploadFile(path);
  await until();
  rmSync(folder, { recursive: true });
}

interface ReadRow {
  readonly code: string;
  readonly figures: string;
}
/** The rows as the page shows them for checking: code, and range, unit and factory value in words. */
const rowsOf = (page: Page): Promise<ReadRow[]> =>
  page.$$eval('[data-row]', (all) =>
    all.map((row) => ({
      code: row.getAttribute('data-row')!,
      figures: row.querySelector('.hint')?.textContent?.trim() ?? '',
    })),
  );
const figuresOf = ({ min, max, unit, default: standard }: (typeof rows)[number]) =>
  [`${min} to ${max}`, unit, `factory ${standard}`].filter(Boolean).join(', ');

const atWriter = async (page: Page, base: string) => {
  await signIn(page, base, 'tess', PASSWORD);
  await page.goto(`${base}/controls/write`, { waitUntil: 'networkidle0' });
};

export const bookletPdf: EndToEndTest = {
  name: 'a booklet as a PDF of two pages: its table is found, every row stands beside its cut-out of the page, taken up again after a reload, a part of a page chosen by hand, and saved',
  run: () =>
    onStage(async ({ server, browser }) => {
      const pdf = await printed(
        browser,
        `<article><h1>Dorry 4</h1><p>Mounting instructions. Read them before use.</p></article>${sheet(rows.slice(0, 14), 'Parameters')}${sheet(rows.slice(14), 'Parameters, continued')}<p>Room for notes of your own.</p>`,
        (page) => page.pdf({ format: 'A4', printBackground: true }),
      );
      const page = await newPage(browser);
      await atWriter(page, server.base);
      await chooseFile(page, 'dorry.pdf', pdf);
      await seeText(page, `${rows.length} rows read`);
      const booklet = await page.$eval(byTest('booklet'), (node) => (node as HTMLElement).innerText);
      expectHolds(booklet, 'Page 1, no table', 'a page without the table');
      expectHolds(booklet, 'Page 2, 14 rows', 'the first page of the table');
      expectHolds(booklet, 'Page 3, 10 rows', 'the second page of the table');

      await writerStep(page, 'Meanings');
      // Oracle: the rows before they were printed.
      expectSame(
        await rowsOf(page),
        rows.map((row) => ({ code: row.code, figures: figuresOf(row) })),
        'every row with its figures',
      );
      const cutOuts = () =>
        page.$$eval(byTest('cut-out'), (all) => all.map((one) => one.getAttribute('aria-label')));
      expectSame(
        await cutOuts(),
        rows.map((_, i) => `As printed on page ${i < 14 ? 2 : 3}`),
        'a cut-out of its page beside each row',
      );

      // A table changed by hand is not replaced unasked, and the booklet that stands keeps its own file: its last page is drawn from it.
      await writerStep(page, 'Booklet');
      await page.$eval(byTest('paste'), (node) => {
        (node as HTMLTextAreaElement).value += '\nzz\tby hand';
        node.dispatchEvent(new Event('input'));
      });
      const other = await printed(browser, sheet(rows.slice(0, 5), 'Other'), (one) =>
        one.pdf({ format: 'A4' }),
      );
      const refused = answered(page, false);
      await chooseFile(page, 'other.pdf', other, () => refused);
      await isRead(page);
      expectHolds(
        await page.$eval(byTest('booklet'), (node) => (node as HTMLElement).innerText),
        'dorry.pdf',
        'the booklet that stands',
      );
      const taken = answered(page, true);
      await click(page, '[data-page="4"]');
      await taken;
      await page.waitForSelector('li:has([data-page="4"]) button');
      await seeText(page, `${rows.length} rows read`);
      await click(page, '[data-page="4"]');
      await page.waitForFunction(
        (at) => !document.querySelector<HTMLInputElement>(at)!.checked,
        {},
        '[data-page="4"]',
      );
      await writerStep(page, 'Meanings');

      // Left and taken up again: the step, the rows and their cut-outs.
      await page.reload({ waitUntil: 'networkidle0' });
      await page.waitForSelector(byTest('cut-out'));
      expectSame((await cutOuts()).length, rows.length, 'cut-outs after a reload');

      // The keyboard goes through the rows to check.
      const check = await page.$$eval('[data-check]', (all) =>
        all.map((row) => row.getAttribute('data-key')),
      );
      if (check.length > 0) {
        await page.focus('[data-row] select');
        await page.keyboard.down('Alt');
        await page.keyboard.press('ArrowDown');
        await page.keyboard.up('Alt');
        const key = await page.evaluate(
          () => document.activeElement?.closest('tr')?.getAttribute('data-key') ?? null,
        );
        expectSame(check.includes(key), true, 'Alt and the arrow go to a row to check');
      }

      // A frame around the last rows of page 3 leaves the others of it out; the whole page brings them back.
      await writerStep(page, 'Booklet');
      await click(page, `li:has([data-page="3"]) button`);
      const board = await page.waitForSelector(byTest('page-picture'));
      await board!.evaluate((node) => node.scrollIntoView({ block: 'start' }));
      const box = (await board!.boundingBox())!;
      await page.mouse.move(box.x + 2, box.y + 2);
      await page.mouse.down();
      await page.mouse.move(box.x + box.width - 2, box.y + box.height * 0.24, { steps: 4 });
      await page.mouse.up();
      await seeText(page, 'Only the part in the frame is read');
      await page.waitForFunction((n) => !document.body.innerText.includes(`${n} rows read`), {}, rows.length);
      await page.evaluate(() =>
        [...document.querySelectorAll('button')]
          .find((b) => b.textContent?.includes('Read the whole page'))!
          .click(),
      );
      await seeText(page, `${rows.length} rows read`);

      await writerStep(page, 'Meanings');
      for (const code of await page.$$eval('[data-row] .problem', (all) =>
        all.map((p) => p.closest('tr')!.getAttribute('data-row')!),
      ))
        await page.$$eval(`[data-row="${code}"] button`, (all) =>
          all.find((b) => b.textContent?.includes('leave out'))?.click(),
        );
      await writerStep(page, 'Try');
      await fill(page, byTest('family-name'), 'Dorry of paper');
      await click(page, byTest('save-definition'));
      await page.waitForFunction(() => /^\/controls\/[0-9a-f]{64}$/.test(location.pathname));
      const [saved] = await libraryOf(page, 'Dorry of paper');
      expectSame(
        saved!.parameters.length >= rows.length - 4,
        true,
        `codes saved: ${saved!.parameters.length}`,
      );
    }),
};

export const bookletPhoto: EndToEndTest = {
  name: 'a photograph of a ruled table is read letter by letter, with nothing fetched from elsewhere; its rows stand beside their cut-outs; a reading is stopped',
  run: () =>
    onStage(async ({ server, browser }) => {
      const shown = rows.slice(0, 16);
      const png = await printed(browser, sheet(shown, 'Parameters'), (page) =>
        page.screenshot({ fullPage: true }),
      );
      const page = await newPage(browser);
      await atWriter(page, server.base);
      const asked: string[] = [];
      page.on('request', (request) => void asked.push(request.url()));

      await chooseFile(page, 'page.png', png);
      await writerStep(page, 'Meanings');
      const read = await rowsOf(page);
      // Oracle: the rows before they were drawn. Letters may be misread: what is asked is nearly all, and nothing invented.
      const right = shown.filter((row) =>
        read.some(({ code, figures }) => code === row.code && figures === figuresOf(row)),
      );
      expectSame(
        right.length >= shown.length - 2,
        true,
        `rows read right: ${right.length} of ${shown.length}`,
      );
      expectSame(read.length <= shown.length, true, `rows read: ${read.length}, none invented`);
      expectSame(
        await page.$$eval(byTest('cut-out'), (all) => all.length),
        read.length,
        'a cut-out beside each',
      );
      expectSame(
        asked.filter((url) => !url.startsWith(server.base) && !/^(blob|data):/.test(url)),
        [],
        'nothing is fetched from elsewhere',
      );
      expectSame(
        asked.some((url) => url.includes('/letters/')),
        true,
        'the reader of letters came from here',
      );

      // A second reading is stopped: the first one stays.
      await writerStep(page, 'Booklet');
      const input = (await page.waitForSelector(byTest('table-file'))) as ElementHandle<HTMLInputElement>;
      const folder = mkdtempSync(join(tmpdir(), 'brine-booklet-'));
      writeFileSync(join(folder, 'again.png'), png);
      await input.uploadFile(join(folder, 'again.png'));
      await click(page, byTest('stop-reading'));
      await page.waitForFunction((at) => !document.querySelector(at), {}, byTest('stop-reading'));
      expectHolds(
        await page.$eval(byTest('booklet'), (node) => (node as HTMLElement).innerText),
        'page.png',
        'the booklet before',
      );
      rmSync(folder, { recursive: true });
    }),
};
