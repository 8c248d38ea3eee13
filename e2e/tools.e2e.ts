import { allSaved, byTest, click, demoJob, fill, seeText, signIn, textOf } from './support/acts.ts';
import { newPage } from './support/browser.ts';
import { onStage } from './support/stage.ts';
import { PASSWORD } from './support/steps.ts';
import { expectHolds, expectSame, type EndToEndTest } from './support/suite.ts';

/** Tools of two kinds of job: a coil sensor that belongs elsewhere, a cellar's humidity step by step. */
export const ownTools: EndToEndTest = {
  name: 'tools of a kind of job: frost noted on the coil moves the sensor and the defrost on demand is planned; a cellar takes no step without a reading, and each step brings a follow-up',
  run: () =>
    onStage(async ({ server, browser }) => {
      const page = await newPage(browser);
      await signIn(page, server.base, 'lena', PASSWORD);
      const at = (job: string, path: string) =>
        page.goto(`${server.base}/jobs/${job}/${path}`, { waitUntil: 'networkidle0' });

      const bread = await demoJob(page, 'Coil ices');
      await at(bread, 'program/tools');
      await page.waitForSelector(byTest('tool-answer'));
      expectHolds(
        await textOf(page, byTest('tool-answer')),
        'row 2 from the top, column 6',
        'the best place',
      );
      // What is no number stays as typed, with a sentence.
      await fill(page, byTest('fact-sensorRow'), 'top');
      await seeText(page, 'top: expected 1 to 12.');
      await fill(page, byTest('fact-sensorRow'), '2');
      await fill(page, byTest('fact-sensorColumn'), '6');
      await page.waitForFunction(
        (answer) => document.querySelector(answer)?.textContent?.includes('The sensor is where'),
        {},
        byTest('tool-answer'),
      );
      await click(page, `${byTest('tool-demand')} tr.bg-good-wash button`);
      await allSaved(page);
      // A cell that was thick is pressed round to “not noted”.
      await click(page, '[data-cell="2:6"]');
      await page.waitForFunction(() =>
        document.querySelector('[data-cell="2:6"]')?.textContent?.trim().startsWith('·'),
      );
      await allSaved(page);

      const cellar = await demoJob(page, 'Rinds');
      await at(cellar, 'program/tools');
      await page.waitForSelector(byTest('tool-answer'));
      expectHolds(
        await textOf(page, byTest('tool-answer')),
        'read it again',
        'an old reading decides nothing',
      );
      expectSame(
        await page.$$eval(`${byTest('tool-run-on')} button`, (all) => all.length),
        0,
        'no step is offered',
      );
      await fill(page, byTest('humidity-now'), 'damp');
      await click(page, byTest('humidity-add'));
      await seeText(page, 'damp: expected a relative humidity above 0, up to 100 %.');
      await fill(page, byTest('humidity-now'), '78');
      await page.select(byTest('coil-look'), 'wet');
      await click(page, byTest('humidity-add'));
      await page.waitForFunction(
        (answer) => document.querySelector(answer)?.textContent?.includes('To 10 min'),
        {},
        byTest('tool-answer'),
      );
      await click(page, `${byTest('tool-run-on')} button`);
      await seeText(page, 'run-on to 10 min');
      await page.waitForFunction(
        (answer) => document.querySelector(answer)?.textContent?.includes('less than 3 days ago'),
        {},
        byTest('tool-answer'),
      );
      await allSaved(page);
      await at(cellar, 'handover');
      await seeText(page, 'Read the humidity and look at the coil: run-on stands at 10 min');
    }),
};
