import type { Page } from 'puppeteer-core';
import type { ControllerDefinition, Panel } from '@brine/core/controllers/definitions';
import { act, machineOf, panelAtRest, planKeys, type Act } from '@brine/core/controllers/panel';
import { draftDefinition, draftRows, readTable } from '@brine/core/controllers/suggest';
import { byTest, choose, click, clickText, fill } from './acts.ts';

/** Pastes a booklet's table where a controller is written down. */
export async function pasteTable(page: Page, text: string): Promise<void> {
  await page.waitForSelector(byTest('paste'));
  await page.$eval(
    byTest('paste'),
    (node, pasted) => {
      (node as HTMLTextAreaElement).value = pasted;
      node.dispatchEvent(new InputEvent('input', { bubbles: true }));
    },
    text,
  );
}

/** Goes to a step of writing a controller down. */
export async function writerStep(page: Page, name: string): Promise<void> {
  const phone = await page.evaluate(() => matchMedia('(max-width: 767px)').matches);
  if (!phone) return clickText(page, '[aria-label="Steps"] button', name);
  await choose(page, byTest('writer-step'), name);
}

/** The controller that somebody has in the hand: the codes of its booklet behind a panel of its own. */
export function realControl(booklet: string, panel: Panel): ControllerDefinition {
  const { rows } = readTable(booklet);
  return draftDefinition({ id: 'real', family: 'Real', version: '1' }, draftRows(rows), panel).definition;
}

/** Something done at the real panel, and what its display showed after it; null: the normal display. */
interface Watched {
  readonly act: Act;
  readonly shows: string | null;
}

/** What somebody sees who sets one value at the real panel, key press by key press. */
export function watchedKeys(control: ControllerDefinition, code: string, value: string): readonly Watched[] {
  const machine = machineOf(control)!;
  let state = panelAtRest(machine);
  return planKeys(machine, new Map(), [{ code, value }]).steps.flatMap(({ times = 1, ...step }) =>
    Array.from({ length: step.action === 'press' ? times : 1 }, () => {
      const done = act(machine, state, step);
      state = done.state;
      return { act: step, shows: state.phase === 'rest' ? null : done.shows };
    }),
  );
}

/** Shows keys in the writer: presses each on the blank panel, and writes down what the display showed. */
export async function showKeys(page: Page, within: string, steps: readonly Watched[]): Promise<void> {
  const already = await page.$$eval(`${within} [data-shown]`, (all) => all.length);
  for (const [i, { act: what, shows }] of steps.entries()) {
    const way = what.action === 'hold' ? 'Hold' : what.action === 'chord' ? 'Two together' : 'Press';
    await clickText(page, `${within} [aria-label="How"] [role="radio"]`, way);
    if (what.action !== 'press')
      await fill(page, `${within} ${byTest('hold-seconds')}`, String(what.seconds ?? 0));
    for (const key of what.keys ?? []) await click(page, `${within} [data-key="${key}"]`);
    const row = `${within} [data-shown="${already + i}"]`;
    await page.waitForSelector(row);
    if (shows === null) await click(page, `${row} input[type="checkbox"]`);
    else await fill(page, `${row} label input:not([type="checkbox"])`, shows);
  }
}

/** One line of a list of connections: adds it and waits until it stands there. */
export async function addLine(page: Page, list: string, press = click): Promise<void> {
  const place = byTest(`connect-${list}`);
  const count = () => page.$$eval(`${place} > div`, (all) => all.length);
  const before = await count();
  await press(page, `${place} ${byTest('add-line')}`);
  await page.waitForFunction(
    (at, n) => document.querySelectorAll(`${at} > div`).length > n,
    {},
    place,
    before,
  );
}

/** The definitions of a family, as the library holds them. */
export async function libraryOf(page: Page, family: string): Promise<ControllerDefinition[]> {
  return page.evaluate(async (name) => {
    const { controllers } = await (await fetch('/api/controllers')).json();
    const own = controllers.filter((c: { family: string }) => c.family === name);
    return Promise.all(
      own.map(
        async (c: { hash: string }) => (await (await fetch(`/api/controllers/${c.hash}`)).json()).definition,
      ),
    );
  }, family);
}
