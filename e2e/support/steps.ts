import type { Page } from 'puppeteer-core';
import { askServer, byTest, choose, click, fill, findOne, seeText, signIn } from './acts.ts';

export const PASSWORD = 'salt-and-ice';

/** Opens a job on a demo unit through the pages, and returns its id. */
export async function openJobOn(page: Page, base: string, unit: string, title: string): Promise<string> {
  await page.goto(`${base}/jobs`, { waitUntil: 'networkidle0' });
  await click(page, byTest('new-job'));
  await findOne(page, '#job-unit', unit);
  await fill(page, 'input[name="title"]', title);
  await click(page, byTest('create-job'));
  await page.waitForFunction(() => location.pathname.endsWith('/survey'));
  await seeText(page, 'The old control, as found');
  return new URL(page.url()).pathname.split('/')[2]!;
}

/** Pastes text as from the clipboard into the as-found table. */
export async function paste(page: Page, text: string): Promise<void> {
  await page.waitForSelector(byTest('as-found'));
  await page.$eval(
    byTest('as-found'),
    (node, pasted) => {
      const data = new DataTransfer();
      data.setData('text/plain', pasted);
      node.dispatchEvent(
        new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }),
      );
    },
    text,
  );
}

/** Answers the four questions a plan needs, and the degrees. */
export async function answerFreezer(page: Page): Promise<void> {
  await choose(page, '#question-application-field', 'Walk-in freezer');
  await choose(page, '#question-goods-field', 'Frozen fish');
  await choose(page, '#question-defrostMethod-field', 'Electric heater');
  await click(page, '#question-probes input[value="air"]');
  await page.waitForSelector('#question-probes input[value="air"]:checked');
  await click(page, '#question-probes input[value="coil"]');
  await page.waitForSelector('#question-probes input[value="coil"]:checked');
  await choose(page, '#question-displayUnit-field', '°F');
}

/** The sheet of an old freezer control, as somebody pastes it. */
export const oldSheet =
  'code,value\nUn,F\nSn,-3\nhY,5\nLo,-20\nHi,15\nPr,0\nEr,1\nCp,240\ndP,30\ndE,40\ndr,0\nHE,E\nFd,0\nFn,Y\nAL,8\nAd,0\nCA,1\n';

/** The value of an input in a found row. */
export async function foundValue(page: Page, code: string): Promise<string> {
  return page.$eval(`[data-found="${code}"] :is(input, select)`, (node) => (node as HTMLInputElement).value);
}

/** Signs in as the technician of the demo; the id of its freezer's job. */
export async function fishStoreJob(page: Page, base: string): Promise<string> {
  await signIn(page, base, 'tess', PASSWORD);
  const { jobs } = await askServer<{ jobs: { id: string }[] }>(page, 'jobs?search=fish%20store');
  return jobs[0]!.id;
}

/** A site and a unit of one's own. */
export async function ownUnit(
  page: Page,
  place: string,
  unit: { readonly name: string; readonly tag: string; readonly plate: string },
): Promise<void> {
  const { site } = await askServer<{ site: { id: string } }>(page, 'sites', { name: place, place: '' });
  await askServer(page, 'units', { siteId: site.id, ...unit });
}
