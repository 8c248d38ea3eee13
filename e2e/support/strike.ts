import { readFileSync } from 'node:fs';
import type { KeyInput, Page } from 'puppeteer-core';
import type { ControllerDefinition } from '@brine/core/controllers/definitions';
import { machineOf, type PlanStep } from '@brine/core/controllers/panel';
import { byTest } from './acts.ts';
import { expectSame } from './suite.ts';

/** The definition of a demo family. */
export const familyOf = (id: string) =>
  JSON.parse(
    readFileSync(new URL(`../../demo/controllers/${id}.controller.json`, import.meta.url), 'utf8'),
  ) as ControllerDefinition;

const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

/** Does a planned step with the digits that stand on the keys, in real time. */
export async function strike(page: Page, definition: ControllerDefinition, step: PlanStep): Promise<void> {
  const machine = machineOf(definition)!;
  const digit = (id: string) => String(machine.panel.keys.findIndex((k) => k.id === id) + 1) as KeyInput;
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

/** Does a list of steps, looking at the display after each stroke that shows something. */
export async function strikeAll(
  page: Page,
  definition: ControllerDefinition,
  steps: readonly PlanStep[],
): Promise<void> {
  await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
  for (const step of steps) {
    await strike(page, definition, step);
    if (step.action !== 'wait' && step.holding === undefined && step.shows !== 'reading')
      expectSame(
        await displayOf(page),
        step.shows.replaceAll('−', '-').toUpperCase(),
        `the display after ${JSON.stringify(step)}`,
      );
  }
}

/** What the practice panel's display shows. */
export const displayOf = (page: Page) =>
  page.$eval(byTest('panel-display'), (node) => node.textContent!.trim());

/** The values a drill asks for, as wishes of the planner. */
export async function drillGoal(page: Page): Promise<{ code: string; value: string }[]> {
  const goal = await page.$$eval(`${byTest('drill-goal')} tr`, (rows) =>
    rows.map((row) => [...row.querySelectorAll('td')].map((cell) => cell.textContent!.trim())),
  );
  return goal.map(([code, , value]) => ({ code: code!, value: value!.split(' ')[0]!.replace('−', '-') }));
}
