import { readFileSync } from 'node:fs';
import type { Page } from 'puppeteer-core';
import { machineOf, planKeys, readController } from '@brine/core/controllers/panel';
import {
  draftDefinition,
  draftRows,
  panelFrom,
  panelPatterns,
  readTable,
} from '@brine/core/controllers/suggest';
import { byTest, choose, click, clickText, fill, seeText, signIn } from './support/acts.ts';
import { newPage } from './support/browser.ts';
import { onStage } from './support/stage.ts';
import { PASSWORD } from './support/steps.ts';
import { libraryOf, pasteTable, writerStep } from './support/writer.ts';
import { drillGoal, strikeAll } from './support/strike.ts';
import { expectHolds, expectSame, type EndToEndTest } from './support/suite.ts';

/** The same definition as the page should draft, made here from the same text. */
const panel = panelFrom(
  panelPatterns.find((p) => p.id === 'chordList')!,
  { code: '19', holdSeconds: 3 },
);
const booklet = readFileSync(new URL('../docs/formats/examples/peat-6.table.tsv', import.meta.url), 'utf8');

const draft = draftDefinition(
  { id: 'peat-6', family: 'Peat 6', version: '1' },
  draftRows(readTable(booklet).rows),
  panel,
).definition;

const textOf = (page: Page, test: string) =>
  page.$eval(byTest(test), (node) => (node as HTMLElement).innerText.replace(/\s+/g, ' '));

/** From a booklet's pasted table to a control that was practised, in one go. */
export const writing: EndToEndTest = {
  name: 'a table of 60 rows is pasted, its rows placed, its panel picked, practised and saved in one go; mended where it is broken; a second version compared',
  run: () =>
    onStage(async ({ server, browser }) => {
      const page = await newPage(browser);
      await signIn(page, server.base, 'tess', PASSWORD);
      await page.goto(`${server.base}/controls`, { waitUntil: 'networkidle0' });
      await click(page, byTest('write-one'));

      // A table with a merged and a missing cell: shown for mending, nothing dropped.
      const broken = booklet
        .replace(
          'H20\tMinimum off time of compressor\t0\t15\tmin\t3',
          'H20\tMinimum off time of compressor\t3',
        )
        .replace('E36\tDripping time', 'E36 Dripping time');
      await pasteTable(page, broken);
      await seeText(page, '60 rows');
      await writerStep(page, 'Meanings');
      expectHolds(await textOf(page, 'row-count'), '2 to be put right', 'the broken rows');
      await writerStep(page, 'Try');
      await fill(page, byTest('family-name'), 'Peat 6');
      expectHolds(await textOf(page, 'in-the-way'), 'H20: expected a range', 'what is in the way of saving');
      await writerStep(page, 'Meanings');
      await page.waitForSelector('[data-row="H20"] [data-test="mend"]');
      for (const [label, value] of [
        ['Least', '0'],
        ['Greatest', '15'],
        ['Factory', '3'],
        ['Unit', 'min'],
      ] as const)
        await fill(page, `[data-row="H20"] input[aria-label^="${label} of"]`, value);
      expectHolds(await textOf(page, 'row-count'), '1 to be put right', 'one mended');

      // Typed work survives a reload.
      await page.reload({ waitUntil: 'networkidle0' });
      expectHolds(await textOf(page, 'row-count'), '1 to be put right', 'after a reload');

      // The whole table: every row is placed, or said to be of this family alone.
      await writerStep(page, 'Booklet');
      await pasteTable(page, booklet);
      await writerStep(page, 'Meanings');
      await page.waitForFunction(
        (at) => document.querySelector(at)?.textContent?.includes('57 have a meaning'),
        {},
        byTest('row-count'),
      );
      expectHolds(await textOf(page, 'row-count'), '3 no common meaning', 'the rest');
      await choose(page, '[data-row="F20"] select[aria-label$=" means"]', 'Free key');
      await choose(page, '[data-row="F20"] select[aria-label$=" means"]', 'no common meaning');
      await writerStep(page, 'Keys');
      await click(page, 'input[value="chordList"]');
      await fill(page, byTest('answer-code'), '19');
      await fill(page, byTest('answer-holdSeconds'), '3');
      await seeText(page, 'Count up to 19');

      // Tried at once on the practice panel: five values set with its keys.
      await writerStep(page, 'Try');
      await page.waitForSelector(byTest('panel-face'));
      await click(page, byTest('drill-setValues'));
      await page.waitForSelector(`${byTest('drill-goal')} tr`);
      await strikeAll(page, draft, planKeys(machineOf(draft)!, new Map(), await drillGoal(page)).steps);
      await click(page, byTest('drill-finish'));
      await seeText(page, '✓ All right');
      await click(page, byTest('save-definition'));
      await page.waitForFunction(() => /^\/controls\/[0-9a-f]{64}$/.test(location.pathname));
      const [saved] = await libraryOf(page, 'Peat 6');
      expectSame(saved!.parameters.length, 60, 'codes of the saved definition');
      expectSame('definition' in readController(saved), true, 'it passes the check');

      // In the library it is practised like every other.
      await page.goto(`${server.base}/practice/${new URL(page.url()).pathname.split('/')[2]}`, {
        waitUntil: 'networkidle0',
      });
      await click(page, byTest('drill-setValues'));
      await page.waitForSelector(`${byTest('drill-goal')} tr`);
      const asked = await drillGoal(page);
      expectSame(asked.length, 5, 'five values');
      await strikeAll(page, saved!, planKeys(machineOf(saved!)!, new Map(), asked).steps);
      await click(page, byTest('drill-finish'));
      await seeText(page, '✓ All right');

      // What was decided is learned.
      const learned = await page.evaluate(async () => (await (await fetch('/api/meanings')).json()).meanings);
      expectSame(
        learned.find((m: { description: string }) => m.description === 'Dripping time')?.setting,
        'defrost.drainTime',
        'a lesson',
      );

      // A second version begins with what the first was written from, and every difference is told.
      await page.goto(`${server.base}/controls`, { waitUntil: 'networkidle0' });
      await clickText(page, 'section[aria-label="Controllers"] a', 'Peat 6');
      await seeText(page, 'No job names it yet');
      await clickText(page, 'a.link', 'New version');
      await page.waitForSelector('[data-row="E36"]');
      await clickText(page, '[data-row="E36"] button', 'edit');
      await fill(page, '[data-row="E36"] input[aria-label^="Factory"]', '4');
      await writerStep(page, 'Try');
      expectSame(
        await page.$eval(byTest('family-version'), (node) => (node as HTMLInputElement).value),
        '2',
        'the next version',
      );
      await click(page, byTest('save-definition'));
      await page.waitForSelector(byTest('compare-with'));
      await choose(page, byTest('compare-with'), '1');
      await page.waitForSelector(byTest('changes'));
      const changes = await textOf(page, 'changes');
      expectHolds(changes, 'E36 default changed 3 4', 'the one difference in the codes');
    }),
};
