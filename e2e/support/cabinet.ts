import type { Page } from 'puppeteer-core';
import { allSaved, byTest, choose, signIn, tap } from './acts.ts';
import { newPage } from './browser.ts';
import type { Stage } from './stage.ts';
import { answerFreezer, openJobOn, ownUnit, PASSWORD } from './steps.ts';

/** A job on a walk-in freezer that nobody prepared, opened at a desk; surveyed, with a control chosen, where that is wanted. */
export async function ownFreezer(
  { server, browser }: Stage,
  surveyed = true,
  control = 'Marl 4',
): Promise<string> {
  // In a context of its own: on the phone nobody has signed in yet.
  const context = await browser.createBrowserContext();
  const desk = await newPage(context);
  await signIn(desk, server.base, 'tess', PASSWORD);
  await ownUnit(desk, 'Own quay', { name: 'Own freezer', tag: 'OWN-9', plate: 'R-449A 230 V' });
  const id = await openJobOn(desk, server.base, 'OWN-9', 'Flight mode');
  if (surveyed) {
    await answerFreezer(desk);
    await choose(desk, byTest('control-new'), control);
  }
  await allSaved(desk);
  await context.close();
  return id;
}

/** A phone signed in on a page of a job on a freezer that nobody prepared; the job's id. */
export async function phoneOnOwnFreezer(
  stage: Stage,
  place: string,
): Promise<{ readonly phone: Page; readonly id: string }> {
  const id = await ownFreezer(stage);
  const phone = await newPage(await stage.browser.createBrowserContext(), 'phone');
  await signIn(phone, stage.server.base, 'tess', PASSWORD);
  await phone.goto(`${stage.server.base}/jobs/${id}/${place}`, { waitUntil: 'networkidle0' });
  return { phone, id };
}

/** The code that stands in cabinet mode. */
export const codeNow = (page: Page) =>
  page.$eval(byTest('cabinet-card'), (node) => node.getAttribute('data-now'));

/** Keys the code that stands in cabinet mode, and waits for the next. */
export async function keyOne(page: Page): Promise<void> {
  const before = await codeNow(page);
  if (await page.$(byTest('decide-first'))) {
    await tap(page, byTest('leave-default'));
    await page.waitForFunction((at) => !document.querySelector(at), {}, byTest('decide-first'));
  }
  await tap(page, byTest('keyed-in'));
  await page.waitForFunction(
    (at, code) =>
      document.querySelector(at)?.getAttribute('data-now') !== code ||
      document.body.innerText.includes('All codes are settled'),
    {},
    byTest('cabinet-card'),
    before,
  );
}
