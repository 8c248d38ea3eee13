import { readFileSync } from 'node:fs';
import type { Page } from 'puppeteer-core';
import type { ControllerDefinition } from '@brine/core/controllers';
import { machineOf, planKeys, type PlanStep } from '@brine/core/panel';
import { byTest, click, seeText, signIn } from './support/acts.ts';
import { newPage } from './support/browser.ts';
import { onStage } from './support/stage.ts';
import { PASSWORD } from './support/steps.ts';
import { expectHolds, expectSame, type EndToEndTest } from './support/suite.ts';

const family = (id: string) =>
  JSON.parse(
    readFileSync(new URL(`../demo/controllers/${id}.controller.json`, import.meta.url), 'utf8'),
  ) as ControllerDefinition;

const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

/** Does a planned step with the digits that stand on the keys, in real time. */
async function strike(page: Page, definition: ControllerDefinition, step: PlanStep): Promise<void> {
  const machine = machineOf(definition)!;
  const digit = (id: string) =>
    String(machine.panel.keys.findIndex((k) => k.id === id) + 1) as '1' | '2' | '3' | '4';
  const keys = (step.keys ?? []).map(digit);
  const holding = (step.holding ?? []).map(digit);
  for (const key of holding) await page.keyboard.down(key);
  if (step.action === 'press')
    for (let i = 0; i < (step.times ?? 1); i += 1) await page.keyboard.press(keys[0]!, { delay: 15 });
  else if (step.action === 'wait') await pause((step.seconds! + 2) * 1000);
  else {
    for (const key of keys) await page.keyboard.down(key);
    await pause((step.seconds ?? 0) * 1000 + 250);
    for (const key of keys) await page.keyboard.up(key);
  }
  for (const key of holding) await page.keyboard.up(key);
}

/** The practice panel: a drill done with the keyboard, strokes from the planner. */
export const practice: EndToEndTest = {
  name: 'practice: a drill on the working panel of two families is done with the keys, marked right by what is stored, and a wrong one is said',
  run: () =>
    onStage(async ({ server, browser }) => {
      const page = await newPage(browser);
      await signIn(page, server.base, 'tess', PASSWORD);
      await page.goto(`${server.base}/practice`, { waitUntil: 'networkidle0' });
      for (const id of ['marl-4', 'gault-p']) {
        const definition = family(id);
        const links = await page.$$('section[aria-label="Families"] a');
        for (const link of links)
          if ((await link.evaluate((node) => node.textContent ?? '')).includes(definition.family))
            await link.click();
        await page.waitForFunction(
          (name) => document.querySelector('.bg-band')?.textContent?.includes(name),
          {},
          definition.family,
        );
        await click(page, byTest('drill-setValues'));
        await page.waitForSelector(`${byTest('drill-goal')} tr`);
        // Nothing done yet: each code is named with what it stands at.
        await click(page, byTest('drill-finish'));
        await seeText(page, 'Not yet');
        await click(page, byTest('drill-setValues'));
        await page.waitForSelector(byTest('drill-hint'));
        const goal = await page.$$eval(`${byTest('drill-goal')} tr`, (rows) =>
          rows.map((row) => [...row.querySelectorAll('td')].map((cell) => cell.textContent!.trim())),
        );
        expectSame(goal.length, 5, 'five values');
        const wishes = goal.map(([code, , value]) => ({
          code: code!,
          value: value!.split(' ')[0]!.replace('−', '-'),
        }));
        const { steps } = planKeys(machineOf(definition)!, new Map(), wishes);
        await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
        for (const step of steps) {
          await strike(page, definition, step);
          if (step.action === 'press' && step.holding === undefined && step.shows !== 'reading') {
            const shown = await page.$eval(byTest('panel-display'), (node) => node.textContent!.trim());
            expectSame(shown, step.shows.toUpperCase(), `the display after ${JSON.stringify(step)}`);
          }
        }
        await click(page, byTest('drill-finish'));
        await page.waitForSelector(byTest('drill-mark'));
        const mark = await page.$eval(byTest('drill-mark'), (node) => (node as HTMLElement).innerText);
        expectHolds(mark, '✓ All right', `the mark of ${id}`);
      }
    }),
};
