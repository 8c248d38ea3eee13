import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import type { Page } from 'puppeteer-core';
import { allSaved, byTest, choose, click, fill, seeText, signIn } from './support/acts.ts';
import { launch, newPage } from './support/browser.ts';
import { pdfPicture } from './support/pdfPicture.ts';
import { startServer } from './support/server.ts';
import { openJobOn, PASSWORD } from './support/steps.ts';

/** One picture of each main view, from the demo data. The folder may be given; the default is the one the README links to. */
const folder = process.argv[2] ?? fileURLToPath(new URL('../docs/screenshots', import.meta.url));
mkdirSync(folder, { recursive: true });

const server = await startServer();
const { browser, close } = await launch();
try {
  const desk = await newPage(browser);
  await signIn(desk, server.base, 'lena', PASSWORD);
  const job = await demoJob(desk, 'fish store');
  await visit(desk, '/jobs', 'jobs');
  await visit(desk, `/jobs/${job}/survey`, 'survey');
  await visit(desk, `/jobs/${job}/program/plan`, 'program-plan');
  await switchTheme(desk);
  await visit(desk, `/jobs/${job}/program/plan`, 'program-plan-dark');
  await switchTheme(desk);
  await desk.goto(`${server.base}/jobs/${job}/program/forecast`, { waitUntil: 'networkidle0' });
  await desk.waitForSelector(byTest('figures'));
  await desk.waitForFunction(() => !document.querySelector('progress'));
  await desk.hover(`${byTest('day-strip')} svg`);
  await shoot(desk, 'program-forecast');
  await desk.goto(`${server.base}/jobs/${job}/program/tune`, { waitUntil: 'networkidle0' });
  await click(desk, byTest('tune-run'));
  await desk.waitForSelector(byTest('advised'), { timeout: 120_000 });
  await desk.$eval(byTest('trade-off'), (node) => node.scrollIntoView({ block: 'start' }));
  await shoot(desk, 'program-tune');
  await visit(desk, `/jobs/${job}/program/cabinet`, 'program-cabinet');
  await visit(desk, `/jobs/${job}/program/compare`, 'program-compare');
  await visit(desk, `/jobs/${job}/handover`, 'hand-over');
  writeFileSync(
    join(folder, 'sheet-left-in-the-unit.png'),
    await pdfPicture(browser, await pdfOf(desk, job)),
  );
  await visit(desk, '/units', 'units');
  await visit(desk, '/controls', 'controls');
  await desk.goto(`${server.base}/controls/write`, { waitUntil: 'networkidle0' });
  await desk.$eval(
    byTest('paste'),
    (node, text) => {
      (node as HTMLTextAreaElement).value = text;
      node.dispatchEvent(new InputEvent('input', { bubbles: true }));
    },
    readFileSync(new URL('../docs/formats/examples/peat-6.table.tsv', import.meta.url), 'utf8'),
  );
  await desk.$eval(byTest('rows'), (node) => node.scrollIntoView());
  await shoot(desk, 'write-a-control');
  await desk.goto(`${server.base}/practice`, { waitUntil: 'networkidle0' });
  await click(desk, 'a[href^="/practice/"]:nth-of-type(1)');
  await click(desk, byTest('drill-whyWarm'));
  await desk.waitForSelector('[data-test^="cause-"]');
  await shoot(desk, 'practice');
  await visit(desk, '/people', 'people');

  const phone = await newPage(browser, 'phone');
  await phone.goto(server.base, { waitUntil: 'networkidle0' });
  await visit(phone, `/jobs/${job}/program/cabinet`, 'phone-cabinet');
  await visit(phone, `/jobs/${job}/survey`, 'phone-survey');
  await phone.close();

  await conflictAndWaiting(desk);
} finally {
  await close();
  await server.stop();
}

async function visit(page: Page, path: string, name: string): Promise<void> {
  await page.goto(server.base + path, { waitUntil: 'networkidle0' });
  await shoot(page, name);
}

async function shoot(page: Page, name: string): Promise<void> {
  await page.bringToFront();
  await page.evaluate(() => document.fonts.ready);
  await new Promise((resolve) => setTimeout(resolve, 700));
  await page.screenshot({ path: join(folder, `${name}.png`) as `${string}.png` });
}

/** The theme is kept on the device; the next visit shows it. */
async function switchTheme(page: Page): Promise<void> {
  await page.evaluate(() =>
    localStorage.setItem('brine-theme', localStorage.getItem('brine-theme') === 'box' ? 'paper' : 'box'),
  );
}

async function demoJob(page: Page, words: string): Promise<string> {
  return page.evaluate(async (search) => {
    const { jobs } = (await (await fetch(`/api/jobs?search=${encodeURIComponent(search)}`)).json()) as {
      jobs: { id: string }[];
    };
    return jobs[0]!.id;
  }, words);
}

async function pdfOf(page: Page, job: string): Promise<Uint8Array> {
  const bytes = await page.evaluate(
    async (id) => [...new Uint8Array(await (await fetch(`/api/jobs/${id}/sheet.pdf`)).arrayBuffer())],
    job,
  );
  return new Uint8Array(bytes);
}

/** Two who changed one value without seeing each other, and entries that wait for a server that is away. */
async function conflictAndWaiting(lena: Page): Promise<void> {
  const id = await openJobOn(lena, server.base, 'BK-2', 'Old control out, new one in');
  await choose(lena, byTest('control-old'), 'Gault P');
  await fill(lena, '[data-found="Cp"] input', '240');
  await allSaved(lena);
  const tess = await newPage(await browser.createBrowserContext());
  await signIn(tess, server.base, 'tess', PASSWORD);
  await tess.goto(`${server.base}/jobs/${id}/survey`, { waitUntil: 'networkidle0' });
  await tess.waitForFunction(
    () => (document.querySelector('[data-found="Cp"] input') as HTMLInputElement | null)?.value === '240',
  );
  await tess.setOfflineMode(true);
  await fill(tess, '[data-found="Cp"] input', '300');
  await fill(tess, '[data-found="dP"] input', '25');
  await click(tess, byTest('save-state'));
  await seeText(tess, 'Found dP: 25');
  await shoot(tess, 'waiting');
  await lena.bringToFront();
  await fill(lena, '[data-found="Cp"] input', '360');
  await allSaved(lena);
  await tess.setOfflineMode(false);
  await tess.evaluate(() => dispatchEvent(new Event('online')));
  await lena.waitForSelector(byTest('conflicts'));
  await lena.$eval('main', (main) => main.scrollTo(0, 0));
  await shoot(lena, 'conflict');
}
