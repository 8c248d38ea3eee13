import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { BrowserContext, Page } from 'puppeteer-core';
import { byTest, click, demoJob, signIn } from './support/acts.ts';
import { launch, newPage } from './support/browser.ts';
import { startServer } from './support/server.ts';
import { PASSWORD } from './support/steps.ts';

// How soon a page is usable on a slow phone: a quarter of this processor, 1.6 Mbit/s, 150 ms there and back. Cold: nothing was loaded before; warm: the same page once more.

const SLOWED = 4;
const line = { latency: 150, downloadThroughput: 1_600_000 / 8, uploadThroughput: 750_000 / 8 };
/** Seconds within which a page is usable, cold; every page warm. */
const WARM_S = 1.5;
/** Script of the first page as it comes over the line, kB. */
const FIRST_KB = 150;
/** Longest frame while a log of a million rows is taken in, ms. */
const FRAME_MS = 100;
const pages = (job: string) => [
  { name: 'Jobs', path: '/jobs', shows: `${byTest('jobs')} a`, within: 3 },
  { name: 'Plan', path: `/jobs/${job}/program/plan`, shows: `${byTest('plan')} tr`, within: 4 },
  { name: 'At the cabinet', path: `/jobs/${job}/program/cabinet`, shows: byTest('cabinet-card'), within: 4 },
  { name: 'Diagram', path: `/jobs/${job}/wire/diagram`, shows: `${byTest('diagram')} path`, within: 6 },
];

const server = await startServer();
const { browser, close } = await launch();
let fails = 0;
try {
  const desk = await newPage(browser);
  await signIn(desk, server.base, 'tess', PASSWORD);
  const job = await demoJob(desk, 'fish store');
  const cookies = await browser.defaultBrowserContext().cookies();
  console.log('page            cold s  (at most)  warm s  (at most)  sent kB, script kB until usable');
  for (const { name, path, shows, within } of pages(job)) {
    const context = await browser.createBrowserContext();
    await context.setCookie(...cookies);
    const page = await slowed(context);
    const sent = await countSent(page);
    const cold = await usable(page, server.base + path, shows);
    const { all, script } = sent();
    const warm = await usable(page, server.base + path, shows);
    const fine = cold <= within && warm <= WARM_S;
    if (!fine) fails += 1;
    console.log(
      `${name.padEnd(15)} ${cold.toFixed(2).padStart(6)} ${String(within).padStart(10)} ${warm.toFixed(2).padStart(7)} ${String(WARM_S).padStart(10)}  ${Math.round(all / 1000)}, ${Math.round(script / 1000)}${fine ? '' : '   too late'}`,
    );
    await context.close();
  }
  const longest = await longestFrame(desk, `${server.base}/jobs/${job}/prove/log`);
  if (longest > FRAME_MS) fails += 1;
  console.log(
    `A log of a million rows, at full speed: longest frame ${Math.round(longest)} ms of ${FRAME_MS}`,
  );
  const context = await browser.createBrowserContext();
  const page = await slowed(context);
  const sent = await countSent(page);
  const first = await usable(page, `${server.base}/sign-in`, 'input[type="password"]');
  const script = Math.round(sent().script / 1000);
  if (script > FIRST_KB) fails += 1;
  console.log(`First page      ${first.toFixed(2).padStart(6)}; script as sent ${script} kB of ${FIRST_KB}`);
} finally {
  await close();
  await server.stop();
}
process.exitCode = fails > 0 ? 1 : 0;

/** The longest that a page at its usual speed draws nothing, ms, while a logger's file of a million rows is read, judged and drawn. */
async function longestFrame(page: Page, address: string): Promise<number> {
  const folder = mkdtempSync(join(tmpdir(), 'brine-frames-'));
  const file = join(folder, 'million.csv');
  writeFileSync(file, millionRows());
  try {
    await page.goto(address, { waitUntil: 'domcontentloaded' });
    await page.waitForSelector(byTest('log-file'));
    await new Promise((done) => setTimeout(done, 4000));
    // As text: what the compiler adds to functions with names is not known on the page.
    await page.evaluate(`
      globalThis.frames = { longest: 0, last: performance.now() };
      requestAnimationFrame(function look(now) {
        frames.longest = Math.max(frames.longest, now - frames.last);
        frames.last = now;
        requestAnimationFrame(look);
      });
    `);
    const input = (await page.waitForSelector(byTest('log-file')))!;
    await (input as unknown as { uploadFile(path: string): Promise<void> }).uploadFile(file);
    await click(page, byTest('read-log'));
    await page.waitForSelector(byTest('log-strip'));
    await page.select(byTest('log-day'), '40');
    await new Promise((done) => setTimeout(done, 3000));
    return await page.evaluate(
      () => (globalThis as unknown as { frames: { longest: number } }).frames.longest,
    );
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}

/** A row every twenty seconds, of five columns. */
function millionRows(): string {
  const lines = ['time,air_degC,coil_degC,compressor,defrost'];
  const start = Date.UTC(2026, 0, 1);
  for (let i = 0; i < 1_000_000; i += 1) {
    const wave = Math.sin(i / 90);
    lines.push(
      `${new Date(start + 20_000 * i).toISOString().slice(0, 19)},${(2 + wave).toFixed(1)},${(-6 + 3 * wave).toFixed(1)},${wave > 0 ? 1 : 0},${i % 1080 < 60 ? 1 : 0}`,
    );
  }
  return `${lines.join('\n')}\n`;
}

async function slowed(from: BrowserContext): Promise<Page> {
  const page = await newPage(from, 'phone', { serviceWorker: true });
  const session = await page.createCDPSession();
  await session.send('Emulation.setCPUThrottlingRate', { rate: SLOWED });
  await session.send('Network.enable');
  await session.send('Network.emulateNetworkConditions', { offline: false, ...line });
  return page;
}

/** Bytes as they came over the line, all and scripts, from now on. */
async function countSent(page: Page): Promise<() => { readonly all: number; readonly script: number }> {
  const session = await page.createCDPSession();
  await session.send('Network.enable');
  const scripts = new Set<string>();
  let [all, script] = [0, 0];
  session.on('Network.responseReceived', ({ requestId, type }) => {
    if (type === 'Script') scripts.add(requestId);
  });
  session.on('Network.loadingFinished', ({ requestId, encodedDataLength }) => {
    all += encodedDataLength;
    if (scripts.has(requestId)) script += encodedDataLength;
  });
  return () => ({ all, script });
}

/** Seconds from going there until what is asked for stands on the page, and the page answers. */
async function usable(page: Page, address: string, shows: string): Promise<number> {
  const from = performance.now();
  await page.goto(address, { waitUntil: 'domcontentloaded' });
  await page.waitForSelector(shows);
  await page.evaluate(() => new Promise((done) => requestAnimationFrame(() => setTimeout(done, 0))));
  return (performance.now() - from) / 1000;
}
