import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import type { Page } from 'puppeteer-core';
import { byTest, click, demoJob, fill, signIn } from './support/acts.ts';
import { launch, newPage } from './support/browser.ts';
import { pdfPicture } from './support/pdfPicture.ts';
import { startServer } from './support/server.ts';
import { PASSWORD } from './support/steps.ts';
import { pasteTable, writerStep } from './support/writer.ts';

/** One picture of each main view, from the demo data. The folder may be given; the default is the one the README links to. */
const folder = process.argv[2] ?? fileURLToPath(new URL('../docs/screenshots', import.meta.url));
mkdirSync(folder, { recursive: true });

const server = await startServer();
const { browser, close } = await launch();
try {
  const desk = await newPage(browser);
  await signIn(desk, server.base, 'lena', PASSWORD);
  const job = await demoJob(desk, 'fish store');
  await desk.goto(`${server.base}/today`, { waitUntil: 'networkidle0' });
  // Each job is summarised a moment after the demo is there.
  await desk.waitForFunction(() => {
    const lines = [...document.querySelectorAll('[data-today]')];
    return lines.length > 5 && lines.every((line) => !line.textContent?.includes('being looked at'));
  });
  await shoot(desk, 'today');
  await visit(desk, `/jobs/${job}/survey`, 'survey');
  await desk.goto(`${server.base}/jobs/${job}/complaint`, { waitUntil: 'networkidle0' });
  await desk.waitForSelector(`${byTest('causes')} [data-cause]`);
  await shoot(desk, 'complaint');
  await desk.goto(`${server.base}/jobs/${job}/wire/diagram`, { waitUntil: 'networkidle0' });
  await desk.waitForSelector(byTest('fault-finder'));
  await desk.waitForFunction(
    () => !document.querySelector('progress') && document.querySelector('[data-test="diagram"]'),
  );
  await shoot(desk, 'wire-diagram');
  await visit(desk, `/jobs/${job}/program/plan`, 'program-plan');
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
  await desk.goto(`${server.base}/jobs/${job}/prove/run`, { waitUntil: 'networkidle0' });
  await desk.waitForSelector(`${byTest('pull-down')} svg:not(.lucide) circle`);
  await shoot(desk, 'prove-run');
  await desk.goto(`${server.base}/jobs/${job}/prove/log`, { waitUntil: 'networkidle0' });
  const file = await desk.waitForSelector(byTest('log-file'));
  await (file as unknown as { uploadFile(path: string): Promise<void> }).uploadFile(
    fileURLToPath(new URL('../demo/logs/fish-store.csv', import.meta.url)),
  );
  await click(desk, byTest('read-log'));
  await desk.waitForSelector(`${byTest('log-strip')} svg path[stroke-dasharray="4 3"]`);
  await click(desk, byTest('learn'));
  await desk.waitForSelector(byTest('learned-words'), { timeout: 120_000 });
  await desk.$eval(byTest('learn-box'), (node) => node.scrollIntoView({ block: 'start' }));
  await shoot(desk, 'prove-log');
  await desk.evaluate(
    async (id) =>
      fetch(`/api/units/${(await (await fetch(`/api/jobs/${id}`)).json()).job.unit.id}/share`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: '{}',
      }),
    job,
  );
  await desk.goto(`${server.base}/jobs/${job}/handover`, { waitUntil: 'networkidle0' });
  // The paper is made on this device, as a PDF, and drawn.
  await desk.waitForFunction(() => {
    const [page] = document.querySelectorAll<HTMLCanvasElement>('[data-test="paper"] canvas');
    return page
      ?.getContext('2d')
      ?.getImageData(0, 0, page.width, page.height)
      .data.some((part) => part > 0 && part < 255);
  });
  await shoot(desk, 'hand-over');
  writeFileSync(join(folder, 'page-for-the-site.png'), await pdfPicture(browser, await pdfOf(desk, job)));
  const school = await demoJob(desk, 'Milk too warm');
  const unit = await desk.evaluate(
    async (id) => (await (await fetch(`/api/jobs/${id}`)).json()).job.unit.id as string,
    school,
  );
  await visit(desk, `/units/${unit}`, 'unit');
  await desk.goto(`${server.base}/bench`, { waitUntil: 'networkidle0' });
  await fill(desk, byTest('saturation-at'), '20');
  await fill(desk, byTest('heater-watts'), '3000');
  await fill(desk, byTest('heater-volts'), '208');
  await desk.select(byTest('heater-connection'), 'delta');
  for (const [i, amps] of ['8.3', '4.8', '4.8'].entries())
    await fill(desk, byTest(`heater-amps-${i + 1}`), amps);
  await shoot(desk, 'bench');
  const fans = await demoJob(desk, 'flat out');
  await desk.goto(`${server.base}/jobs/${fans}/program/fans`, { waitUntil: 'networkidle0' });
  await desk.waitForSelector(byTest('fan-figures'));
  await shoot(desk, 'fans');
  const bread = await demoJob(desk, 'Coil ices');
  await desk.goto(`${server.base}/jobs/${bread}/program/tools`, { waitUntil: 'networkidle0' });
  await desk.waitForSelector(byTest('tool-answer'));
  await desk.$eval(byTest('frost-grid'), (node) => node.scrollIntoView({ block: 'start' }));
  await shoot(desk, 'tools-frost');
  await desk.goto(`${server.base}/controls/write`, { waitUntil: 'networkidle0' });
  await pasteTable(
    desk,
    readFileSync(new URL('../docs/formats/examples/peat-6.table.tsv', import.meta.url), 'utf8'),
  );
  await writerStep(desk, 'Meanings');
  await desk.waitForSelector(byTest('rows'));
  await shoot(desk, 'write-a-control');
  await desk.goto(`${server.base}/practice`, { waitUntil: 'networkidle0' });
  await click(desk, 'a[href^="/practice/"]:nth-of-type(1)');
  await click(desk, byTest('drill-whyWarm'));
  await desk.waitForSelector('[data-test^="cause-"]');
  await shoot(desk, 'practice');

  const phone = await newPage(browser, 'phone');
  await phone.goto(server.base, { waitUntil: 'networkidle0' });
  await visit(phone, `/jobs/${job}/program/cabinet`, 'phone-cabinet');
  const van = await demoJob(phone, 'Morning run');
  await phone.goto(`${server.base}/jobs/${van}/prove/trip`, { waitUntil: 'networkidle0' });
  await shoot(phone, 'phone-trip');
  await phone.close();
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

async function pdfOf(page: Page, job: string): Promise<Uint8Array> {
  const bytes = await page.evaluate(
    async (id) => [
      ...new Uint8Array(await (await fetch(`/api/jobs/${id}/sheet.pdf?for=site`)).arrayBuffer()),
    ],
    job,
  );
  return new Uint8Array(bytes);
}
