import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import type { ElementHandle, Page } from 'puppeteer-core';
import type { AcceptedEntry } from '@brine/core/record/entries';
import { fold } from '@brine/core/record/fold';
import { predictionOf, programOf } from '@brine/core/record/job';
import { unitScenario } from '@brine/core/judgement/tuning';
import { parameters, pointOf } from '@brine/core/machines/identification';
import { logCsv, LOGS_BEGIN } from '../core/testing/otherBoxes/logCsv.ts';
import { ownLog } from '../core/testing/ownLog.ts';
import { allSaved, byTest, choose, click, fill, seeText, textOf } from './support/acts.ts';
import { newPage } from './support/browser.ts';
import { sayWhyOpen } from './support/leaving.ts';
import { onStage } from './support/stage.ts';
import { fishStoreJob } from './support/steps.ts';
import { expectHolds, expectSame, type EndToEndTest } from './support/suite.ts';

const demoLog = fileURLToPath(new URL('../demo/logs/fish-store.csv', import.meta.url));
/** Drawing days on a busy machine. */
const LONG = { timeout: 120_000 };

/** The loop: a log is learned, the forecast is the unit's own, what is predicted at the hand-over is held against the next logs. */
export const ownBox: EndToEndTest = {
  name: 'a unit’s own box is learned from its log: the forecast changes, a tuned value is taken, the hand-over keeps the prediction, a later log confirms it and another contradicts it',
  run: () =>
    onStage(async ({ server, browser }) => {
      const page = await newPage(browser);
      const id = await fishStoreJob(page, server.base);
      const at = (path: string) =>
        page.goto(`${server.base}/jobs/${id}/${path}`, { waitUntil: 'networkidle0' });
      await at('prove/log');
      await readLog(page, demoLog);
      await keep(page);

      await click(page, byTest('learn'));
      await page.waitForSelector(byTest('learned-words'), LONG);
      expectHolds(await textOf(page, byTest('learned-words')), 'W/K', 'what its walls let through');
      expectHolds(await textOf(page, byTest('learned-words')), 'changed in the middle', 'what was left out');
      expectHolds(await textOf(page, byTest('untold-words')), 'not logged', 'what would sharpen it');
      await page.waitForSelector(`${byTest('fit-chart')} svg`);
      await click(page, byTest('use-learned'));
      await allSaved(page);

      await at('program/forecast');
      await page.waitForSelector(`${byTest('own-figures')} [data-figure="startsPerHour"]`, LONG);
      expectHolds(
        await textOf(page, byTest('box-line')),
        'With this unit’s own box',
        'said where it is used',
      );
      expectHolds(await textOf(page, byTest('own-figures')), ' to ', 'a range');
      await seeText(page, 'Judged on this unit’s own box');
      await page.waitForSelector(byTest('figures'), LONG);
      const own = await textOf(page, byTest('figures'));
      await click(page, byTest('switch-box'));
      await page.waitForFunction((list) => !document.querySelector(list), {}, byTest('own-figures'));
      await page.waitForFunction(
        (table, before) => {
          const now = (document.querySelector(table) as HTMLElement | null)?.innerText ?? '';
          return now.includes('Starts an hour') && now !== before;
        },
        LONG,
        byTest('figures'),
        own,
      );
      await click(page, byTest('switch-box'));
      await page.waitForSelector(byTest('own-figures'), LONG);

      await at('program/tune');
      await choose(page, byTest('goal'), 'The shortest defrosts that leave no ice');
      await click(page, byTest('tune-run'));
      await page.waitForSelector(byTest('advised'), LONG);
      await click(page, byTest('take'));
      await allSaved(page);

      await at('handover');
      await page.waitForSelector(`${byTest('prediction')} ${byTest('own-figures')}`, LONG);
      await sayWhyOpen(page);
      await fill(page, '#to', 'Market office');
      await click(page, byTest('hand-over'));
      await seeText(page, 'Handed over to Market office');
      await allSaved(page);
      await seeText(page, 'hold it against the prediction');

      const later = await laterLogs(page, id);
      try {
        await at('prove/log');
        await readLog(page, later.asLearned);
        await page.waitForSelector(byTest('held-verdict'), LONG);
        expectHolds(
          await textOf(page, byTest('held-verdict')),
          'It came as predicted',
          'the log that confirms',
        );
        await keep(page);
        await seeText(page, 'Noted with the job');
        await allSaved(page);
        await readLog(page, later.failing);
        await page.waitForSelector(byTest('held-verdict'), LONG);
        expectHolds(
          await textOf(page, byTest('held-verdict')),
          'Not as predicted',
          'the log that contradicts',
        );
        await keep(page);
        await seeText(page, 'Noted with the job');
        await allSaved(page);
      } finally {
        later.drop();
      }
      const { entries } = await read(page, id);
      const held = entries.filter(({ body }) => body.kind === 'heldAgainst');
      expectSame(held.length, 2, 'both logs are noted');
      await at('handover');
      const followUps = await textOf(page, byTest('follow-ups'));
      expectHolds(followUps, 'is not as predicted', 'somebody is to find out why');
      expectSame(
        await page.$$eval(
          `${byTest('follow-ups')} input[type=checkbox]`,
          (boxes) => boxes.filter((box) => (box as HTMLInputElement).checked).length,
        ),
        1,
        'the follow-up that asked for the log is done',
      );
    }),
};

async function readLog(page: Page, path: string): Promise<void> {
  const input = (await page.waitForSelector(byTest('log-file'))) as ElementHandle<HTMLInputElement>;
  await input.uploadFile(path);
  await click(page, byTest('read-log'));
  await page.waitForSelector(byTest('keep-log'), LONG);
}

async function keep(page: Page): Promise<void> {
  await click(page, byTest('keep-log'));
  await page.waitForSelector(byTest('log-kept'));
  await allSaved(page);
}

const read = (page: Page, id: string) =>
  page.evaluate(
    async (job) =>
      (await (await fetch(`/api/jobs/${job}/entries?after=0`)).json()) as { entries: AcceptedEntry[] },
    id,
  );

/** Logs of the box that was learned, under the settings that were handed over: as it was, and with a machine that gives six tenths. */
async function laterLogs(
  page: Page,
  id: string,
): Promise<{ readonly asLearned: string; readonly failing: string; drop(): void }> {
  const { entries } = await read(page, id);
  const state = fold(entries, []);
  const { values } = predictionOf(state)!;
  const { unit } = programOf({ state, name: '', old: null, replacement: null, companyDefaults: {} });
  const scenario = unitScenario(unit!, values, { hours: 72, warmUpHours: 24 });
  if (typeof scenario === 'string') throw new Error(scenario);
  const point = pointOf(scenario, unit!.learned!);
  const failing = point.with(
    parameters.findIndex((p) => p.id === 'capacity'),
    Math.max(Math.log(0.6), parameters.find((p) => p.id === 'capacity')!.lower),
  );
  const folder = mkdtempSync(join(tmpdir(), 'brine-logs-'));
  const written = (name: string, truth: Float64Array, seed: number) => {
    const path = join(folder, name);
    const rows = ownLog(scenario, truth, { days: 3, every: 60, seed });
    // They begin a little after the hand-over.
    const begins = Math.round((Date.now() + 3_600_000) / 1000 - LOGS_BEGIN);
    const dated = rows.map((row) => ({ ...row, t: row.t + begins }));
    writeFileSync(path, logCsv(dated, ['air', 'coil', 'compressor', 'defrost', 'fan']));
    return path;
  };
  return {
    asLearned: written('after-a-week.csv', point, 4),
    failing: written('after-a-month.csv', failing, 5),
    drop: () => rmSync(folder, { recursive: true, force: true }),
  };
}
