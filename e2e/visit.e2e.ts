import type { Page } from 'puppeteer-core';
import { allSaved, byTest, fill, seeText, tap, textOf } from './support/acts.ts';
import { phoneOnOwnFreezer } from './support/cabinet.ts';
import { query } from './support/database.ts';
import { onStage } from './support/stage.ts';
import { expectHolds, expectSame, type EndToEndTest } from './support/suite.ts';

const steps = (page: Page) =>
  page.$$eval('[data-step]', (lines) => lines.map((line) => (line as HTMLElement).dataset['step']!));
/** Waits until the steps of the visit are such. */
const untilSteps = (page: Page, has: string | null, hasNot: string | null) =>
  page.waitForFunction(
    (wanted, unwanted) => {
      const now = [...document.querySelectorAll<HTMLElement>('[data-step]')].map(
        (line) => line.dataset['step'],
      );
      return (
        now.length > 0 &&
        (wanted === null || now.includes(wanted)) &&
        (unwanted === null || !now.includes(unwanted))
      );
    },
    {},
    has,
    hasNot,
  );
const passInWords = async (page: Page, test: string, words: string) => {
  const card = `[data-test-id="${test}"]`;
  if (!(await page.$(card))) await tap(page, byTest(`test-${test}`));
  await fill(page, `${card} ${byTest('test-word')}`, words);
  await tap(page, `${card} ${byTest('pass')}`);
  // The next open test opens by itself.
  await page.waitForFunction((at) => !document.querySelector(at), {}, card);
};

export const visitOf35: EndToEndTest = {
  name: 'a visit of 35 minutes by touch: planned, planned anew as tests are done and time runs short; what is borrowed is watched until it is read back, and what does not fit is asked of the people on site',
  run: () =>
    onStage(async (stage) => {
      const { server } = stage;
      const { phone, id } = await phoneOnOwnFreezer(stage, 'prove/run');
      await fill(phone, byTest('visit-minutes'), 'soon');
      await tap(phone, byTest('visit-begin'));
      await seeText(phone, 'expected minutes from 1 to 1440');
      await fill(phone, byTest('visit-minutes'), '35');
      // A box that is cold: it stands within its band.
      await fill(phone, byTest('visit-air'), '-6');
      await tap(phone, byTest('visit-begin'));
      await untilSteps(phone, 'power', null);
      expectHolds(await textOf(phone, byTest('visit-leave')), 'Done at', 'when one may leave');
      expectSame((await steps(phone))[0]!.startsWith('dead.'), true, 'dead checks come first');

      // Done and out of the plan, which is made anew.
      await passInWords(phone, 'dead.meter', 'all right');
      await untilSteps(phone, null, 'dead.meter');
      await passInWords(phone, 'dead.probes', 'placed');
      await passInWords(phone, 'power.order', 'in order');
      await untilSteps(phone, 'powerCut', 'power');

      // What a proof borrows is told on every page, and nothing is proven before it is back.
      const cut = '[data-step="powerCut"]';
      await phone.$eval(`${cut} details`, (node) => ((node as HTMLDetailsElement).open = true));
      await tap(phone, `${cut} [data-borrow="probe:air"] ${byTest('lend')}`);
      await phone.waitForSelector('[data-borrowed="probe:air"]');
      await tap(phone, byTest('test-memory.kept'));
      await fill(phone, `[data-test-id="memory.kept"] ${byTest('test-word')}`, 'three read');
      await tap(phone, `[data-test-id="memory.kept"] ${byTest('pass')}`);
      await seeText(phone, 'put it back and read it back, then mark it passed');
      await phone.goto(`${server.base}/jobs/${id}/handover`, { waitUntil: 'networkidle0' });
      await phone.waitForSelector(byTest('sign-borrowed'));
      expectHolds(
        await textOf(phone, byTest('not-back')),
        '1 thing borrowed and not back',
        'before a hand-over',
      );
      await fill(phone, byTest('back-shows'), '84');
      await tap(phone, byTest('take-back'));
      await seeText(phone, 'is far from the air of before');
      await fill(phone, byTest('back-shows'), '-4');
      await tap(phone, byTest('take-back'));
      await phone.waitForFunction((at) => !document.querySelector(at), {}, byTest('borrowed'));
      expectSame(await phone.$(byTest('sign-borrowed')), null, 'the sign-off once it is back');

      // Less time: less of it fits; of what does not, the display tells the people on site.
      await phone.goto(`${server.base}/jobs/${id}/prove/run`, { waitUntil: 'networkidle0' });
      await untilSteps(phone, 'stop', null);
      await tap(phone, byTest('visit-edit'));
      await fill(phone, byTest('visit-minutes'), '8');
      await tap(phone, byTest('visit-begin'));
      await untilSteps(phone, null, 'stop');
      expectHolds(await textOf(phone, byTest('visit-left')), 'Ask the people on site', 'what does not fit');
      await tap(phone, byTest('visit-ask'));
      await phone.waitForSelector(byTest('site-questions'));
      await phone.goto(`${server.base}/jobs/${id}/handover`, { waitUntil: 'networkidle0' });
      await fill(phone, byTest('site-answer'), '-5');
      await tap(phone, byTest('site-answered'));
      await seeText(phone, '✓ It showed');
      await allSaved(phone);
      const results = await query(
        server.databaseUrl,
        `select body->>'test' as test, body->>'result' as result from entry
         where job_id = '${id}' and body->>'kind' = 'test' and body->>'word' like 'Read by the people%'`,
      );
      expectSame(
        results.map(({ test, result }) => `${String(test)} ${String(result)}`).toSorted(),
        ['regulation.cutIn passed', 'regulation.cutOut passed', 'regulation.pullDown passed'],
        'what the answer proves',
      );
    }),
};
