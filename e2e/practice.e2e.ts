import { readdirSync } from 'node:fs';
import type { Page } from 'puppeteer-core';
import { atEase, machineOf, planDeed, planKeys } from '@brine/core/controllers/panel';
import { byTest, click, clickText, fill, seeText, signIn } from './support/acts.ts';
import { newPage } from './support/browser.ts';
import { onStage } from './support/stage.ts';
import { PASSWORD } from './support/steps.ts';
import { displayOf, drillGoal, familyOf, strikeAll } from './support/strike.ts';
import { expectHolds, expectSame, type EndToEndTest } from './support/suite.ts';

async function chooseFamily(page: Page, name: string): Promise<void> {
  await clickText(page, 'section[aria-label="Controllers"] a', name);
  await page.waitForFunction(
    (wanted) => document.querySelector('a.bg-band')?.textContent?.includes(wanted),
    {},
    name,
  );
  await page.waitForSelector(byTest('panel-face'));
}

async function finish(page: Page): Promise<string> {
  await click(page, byTest('drill-finish'));
  await page.waitForSelector(byTest('drill-mark'));
  return page.$eval(byTest('drill-mark'), (node) => (node as HTMLElement).innerText);
}

/** The practice panel: drills done with the keyboard, strokes from the planner. */
export const practice: EndToEndTest = {
  name: 'practice: drills on working panels are done with the keys, marked right by what is stored at the end, replayed, and kept per person; a wrong one is said',
  run: () =>
    onStage(async ({ server, browser }) => {
      const page = await newPage(browser);
      await signIn(page, server.base, 'tess', PASSWORD);
      await page.goto(`${server.base}/practice`, { waitUntil: 'networkidle0' });
      // A unit stands behind the panel: its display reads, time may go faster, and a warm one is explained.
      await chooseFamily(page, familyOf('marl-4').family);
      await click(page, byTest('drill-whyWarm'));
      await page.waitForSelector('[data-test^="cause-"]');
      const faces = await page.$eval(byTest('unit-behind'), (node) => (node as HTMLElement).innerText);
      expectHolds(faces, 'relay', 'what is seen at the unit');
      await page.select(byTest('pace'), '60');
      expectSame(/^-?\d+(\.\d)?$|^---$|^DEF$/.test(await displayOf(page)), true, 'a reading on the display');
      await page.$eval('[data-test^="cause-"]', (node) => (node as HTMLInputElement).click());
      await click(page, byTest('why-finish'));
      await page.waitForSelector(byTest('why-mark'));
      expectHolds(
        await page.$eval(byTest('why-mark'), (node) => (node as HTMLElement).innerText),
        'It shows by',
        'why it was so, right or wrong',
      );

      for (const id of ['marl-4', 'gault-p']) {
        const definition = familyOf(id);
        await chooseFamily(page, definition.family);
        await click(page, byTest('drill-setValues'));
        await page.waitForSelector(`${byTest('drill-goal')} tr`);
        // Nothing done yet: each code is named with what it stands at.
        expectHolds(await finish(page), 'Not yet', `nothing done on ${id}`);
        await click(page, byTest('drill-setValues'));
        await page.waitForSelector(byTest('drill-hint'));
        const wishes = await drillGoal(page);
        expectSame(wishes.length, 5, 'five values');
        await strikeAll(page, definition, planKeys(machineOf(definition)!, new Map(), wishes).steps);
        expectHolds(await finish(page), '✓ All right', `the mark of ${id}`);
      }

      // One's strokes are played again from the beginning, and the panel then stands as it stood.
      const before = await displayOf(page);
      await click(page, byTest('replay'));
      await page.waitForSelector(`${byTest('drill-strokes')} [aria-current="step"]`);
      await click(page, byTest('replay-stop'));
      await page.waitForSelector(byTest('replay'));
      expectSame(await displayOf(page), before, 'the display after the replay');

      // A control found locked: unlocked, set back, locked again.
      const skerry = familyOf('skerry-dx');
      const machine = machineOf(skerry)!;
      await chooseFamily(page, skerry.family);
      await click(page, byTest('drill-restoreLocked'));
      await seeText(page, 'Lock the keys again at the end');
      await seeText(page, 'keys locked');
      await strikeAll(page, skerry, planDeed(machine, new Map(), 'unlock'));
      // What was changed nobody knows beforehand: the hints of the page lead on, value by value, out of the menu, to the lock.
      for (let i = 0; i < 10 && (await followHint(page, skerry.id)); i += 1);
      expectHolds(await finish(page), '✓ All right', 'locked again, set back');

      // Alarms: cleared before they are written down is told; written down first is right.
      const corrie = familyOf('corrie-haul');
      await chooseFamily(page, corrie.family);
      await click(page, byTest('drill-clearAlarms'));
      await page.waitForSelector(byTest('drill-notebook'));
      await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
      const codes: string[] = [];
      for (let i = 0; i < 6; i += 1) {
        await page.keyboard.press('5', { delay: 15 });
        const shown = await displayOf(page);
        if (shown === '-00-') break;
        codes.push(shown);
      }
      expectSame(codes.length >= 2, true, 'two or three alarms stand');
      for (const code of codes) {
        await fill(page, `${byTest('drill-notebook')} input`, code);
        await click(page, `${byTest('drill-notebook')} button[type="submit"]`);
      }
      const alarms = { condition: { ...atEase, alarms: codes } };
      const clearing = planDeed(machineOf(corrie)!, new Map(), 'clearAlarm', alarms);
      for (let i = 0; i < codes.length; i += 1) await strikeAll(page, corrie, clearing);
      expectHolds(await finish(page), '✓ All right', 'the alarms');

      // Kept per person: there after a reload, and a lead sees whose it is.
      await page.reload({ waitUntil: 'networkidle0' });
      await chooseFamily(page, 'Marl 4');
      await page.waitForSelector(byTest('progress'));
      const progress = await page.$eval(byTest('progress'), (node) =>
        (node as HTMLElement).innerText.replace(/\s+/g, ' '),
      );
      expectHolds(progress, 'Set five values 1 of 2', 'runs and passed');
      const lead = await newPage(await browser.createBrowserContext());
      await signIn(lead, server.base, 'lena', PASSWORD);
      await lead.goto(`${server.base}/practice`, { waitUntil: 'networkidle0' });
      await chooseFamily(lead, 'Marl 4');
      await lead.waitForSelector(byTest('progress'));
      expectHolds(
        await lead.$eval(byTest('progress'), (node) => (node as HTMLElement).innerText),
        'Tess Marram',
        'whose progress',
      );

      // Every family runs: its panel stands there, a drill begins, hints are given.
      const families = readdirSync(new URL('../demo/controllers/', import.meta.url)).map((name) =>
        familyOf(name.replace('.controller.json', '')),
      );
      expectSame(families.length, 25, 'families');
      for (const { family } of families) {
        await chooseFamily(lead, family);
        await click(lead, byTest('drill-findChanged'));
        await click(lead, byTest('drill-hint'));
        await lead.waitForSelector(`${byTest('drill-hints')} li`);
        expectHolds(await finish(lead), 'Not yet', `${family} as it begins`);
      }
    }),
};

/** Does what the next hint on the page says, its sentences read as keys; false where nothing is left to do. */
async function followHint(page: Page, id: string): Promise<boolean> {
  await click(page, byTest('drill-hint'));
  await page.waitForSelector(`${byTest('drill-hints')} li`);
  const hints = await page.$$eval(`${byTest('drill-hints')} li`, (items) =>
    items.map((item) => item.textContent!.trim()),
  );
  await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
  const { keys } = machineOf(familyOf(id))!.panel;
  const digitsIn = (sentence: string) =>
    keys
      .map((key, i) => ({ digit: String(i + 1), at: sentence.split(/\s+/).indexOf(key.label ?? key.id) }))
      .filter(({ at }) => at >= 0)
      .map(({ digit }) => digit as '1');
  for (const sentence of hints) {
    const digits = digitsIn(sentence);
    if (digits.length === 0) return false;
    const until = /until (\S+) shows/.exec(sentence)?.[1];
    const seconds = Number(/for (\d+) s/.exec(sentence)?.[1] ?? 0);
    const times = /once/.test(sentence) ? 1 : Number(/(\d+) times/.exec(sentence)?.[1] ?? 1);
    if (until !== undefined)
      for (let i = 0; i < 500 && (await displayOf(page)) !== until.replace('−', '-').toUpperCase(); i += 1)
        await page.keyboard.press(digits[0]!, { delay: 15 });
    else if (seconds > 0) {
      for (const digit of digits) await page.keyboard.down(digit);
      await new Promise((resolve) => setTimeout(resolve, seconds * 1000 + 250));
      for (const digit of digits) await page.keyboard.up(digit);
    } else for (let i = 0; i < times; i += 1) await page.keyboard.press(digits[0]!, { delay: 15 });
  }
  return true;
}
