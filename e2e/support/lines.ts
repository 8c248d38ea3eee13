import type { Page } from 'puppeteer-core';
import { byTest, choose, click, fill } from './acts.ts';

/** Opens the lines of a site, as a lead has them. */
export async function openLines(lead: Page, base: string, site: string): Promise<void> {
  await lead.goto(`${base}/units?search=${encodeURIComponent(site)}`, { waitUntil: 'networkidle0' });
  await click(lead, byTest('site-lines'));
}

/** Enters a line to a device on this machine, with the lines open; `link`: the program on site that holds it. */
export async function enterLine(lead: Page, name: string, port: number, link?: string): Promise<void> {
  await fill(lead, byTest('line-name'), name);
  await fill(lead, byTest('line-host'), '127.0.0.1');
  await fill(lead, byTest('line-port'), String(port));
  if (link !== undefined) await choose(lead, byTest('line-link'), link);
  await click(lead, byTest('line-enter'));
  await lead.waitForFunction(
    (at, words) => [...document.querySelectorAll(at)].some((row) => row.textContent?.includes(words)),
    {},
    byTest('line-row'),
    name,
  );
}
