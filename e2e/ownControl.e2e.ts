import type { Page } from 'puppeteer-core';
import { act, machineOf, panelAtRest, planKeys } from '@brine/core/controllers/panel';
import { readPdf } from '../server/testing/readPdf.ts';
import type { Panel } from '@brine/core/controllers/definitions';
import {
  allSaved,
  byTest,
  choose,
  click,
  clickText,
  fill,
  findOne,
  seeText,
  signIn,
  textOf,
} from './support/acts.ts';
import { newPage } from './support/browser.ts';
import { onStage } from './support/stage.ts';
import { answerFreezer, openJobOn, ownUnit, PASSWORD } from './support/steps.ts';
import {
  libraryOf,
  addLine,
  pasteTable,
  realControl,
  showKeys,
  watchedKeys,
  writerStep,
} from './support/writer.ts';
import { sayWhyOpen } from './support/leaving.ts';
import { expectHolds, expectSame, type EndToEndTest } from './support/suite.ts';

/** A booklet unlike any family of the demo: no row says what is counted to a defrost, nor what ends it. */
const booklet = `DORRY 4 freezer controller                     Rev. 3 05/26
Code Parameter Min. Max. Fact. U.M.
REGULATION
do01 Set point -40 10 -18 °C
do02 Hysteresis 1 15 2 °C
do03 Lowest set point for the user -40 10 -25 °C
COMPRESSOR
do11 Minimum compressor off time 0 15 3 min
do12 Compressor start delay from power-up 0 15 1 min
DEFROST
do21 Interval between defrosts 1 48 6 h
do22 Defrost end temperature, evaporator 0 30 12 °C
do23 Maximum defrost duration 1 90 45 min
do24 Dripping time after
     defrosting 0 20 4 min
EVAPORATOR FAN
do31 Fan stop temperature -30 15 -2 °C
do32 Fan delay after defrost 0 20 3 min
do33 Fan with compressor off: 0 = stopped; 1 = on 0 1 0
ALARMS
do41 High temperature alarm above set point 1 40 8 °C
do42 Low temperature alarm below set point 1 40 5 °C
do43 Temperature alarm delay 0 240 30 min
do44 No alarm after defrost 0 240 60 min
MISCELLANEOUS
do51 Air probe calibration -10 10 0 °C
do52 Keypad lock: 0 = no; 1 = yes 0 1 0
* Only on models with a clock.
                                               Page 2 of 4
`;

/** Its panel, unlike any pattern: two keys together, two codes counted up, another key held to save. */
const panel: Panel = {
  display: { digits: 4, text: false },
  keys: [
    { id: 'set', label: 'SET' },
    { id: 'up', label: '▲' },
    { id: 'down', label: '▼' },
    { id: 'key4', label: 'FRZ' },
  ],
  menus: [
    {
      id: 'all',
      enter: [
        { press: ['set', 'down'], seconds: 4 },
        { code: '7', by: 'count', more: 'up', less: 'down', take: 'set' },
        { code: '12', by: 'count', more: 'up', less: 'down', take: 'set' },
      ],
      move: { next: 'down', previous: 'up', open: 'set' },
      edit: { more: 'up', less: 'down', take: 'set', then: 'next' },
      stores: 'leaving',
      leave: [{ press: 'key4', seconds: 3, then: 'save' }],
      timeOut: { seconds: 40, keeps: 'nothing' },
    },
  ],
};
const real = realControl(booklet, panel);

const section = (name: string) => byTest(`connect-${name}`);

/** Writes the controller down, from the pasted booklet to the library. */
async function writeDown(page: Page, base: string): Promise<void> {
  await page.goto(`${base}/controls/write`, { waitUntil: 'networkidle0' });
  await pasteTable(page, booklet);
  await seeText(page, '18 rows');
  expectHolds(await textOf(page, byTest('aside')), 'lines are no row', 'what is no row is told');
  await writerStep(page, 'Meanings');
  expectHolds(await textOf(page, byTest('row-count')), '18 have a meaning', 'the booklet');

  await writerStep(page, 'Connections');
  await addLine(page, 'supply');
  await fill(page, byTest('supply-volts'), '208-240');
  for (const [at] of ['Compressor', 'Defrost', 'Evaporator fan'].entries()) {
    await addLine(page, 'relays');
    await fill(page, `${section('relays')} > div:nth-of-type(${at + 2}) ${byTest('resistiveAmps')}`, '16');
  }
  await addLine(page, 'probe-inputs');
  await addLine(page, 'probe-inputs');

  // What no row says is proposed with its reason, and confirmed.
  await writerStep(page, 'Built in');
  await page.waitForSelector('[data-implied="defrost.initiation"]');
  expectHolds(
    await textOf(page, '[data-implied="defrost.initiation"]'),
    'do21, Interval between defrosts',
    'the reason',
  );
  await click(page, byTest('confirm-all'));
  await click(page, '[data-implied="defrost.method"] [data-test="it-is-so"]');
  await click(page, '[data-implied="regulation.differentialPlacement"] [data-test="it-is-so"]');
  // What the compressor does without its probe stays not stated.
  await page.waitForFunction(
    () => document.querySelectorAll('[data-implied] [data-test="it-is-so"]').length === 1,
  );

  // No pattern fits its keys: they are shown for one value, and the panel that comes of it is played back.
  await writerStep(page, 'Keys');
  await click(page, byTest('show-me-pick'));
  await click(page, byTest('add-key'));
  await fill(page, '[aria-label="Key 4"]', 'FRZ');
  await choose(page, byTest('show-code'), 'do03');
  await fill(page, byTest('show-value'), '-22');
  await fill(page, byTest('show-access'), '7, 12');
  await showKeys(page, byTest('show-me'), watchedKeys(real, 'do03', '-22'));
  await choose(page, byTest('show-less'), '▼');
  await seeText(page, '✓ Played back');
  await page.waitForSelector(`${byTest('second-code')} ol`);

  // A forced defrost by a key outside the menu.
  await writerStep(page, 'Shortcuts');
  await click(page, byTest('add-shortcut'));
  await showKeys(page, '[data-shortcut="startDefrost"]', [
    { act: { action: 'hold', keys: ['key4'], seconds: 6 }, shows: 'dEF' },
  ]);
  await click(page, `${section('alarm-codes')} ${byTest('add-line')}`);
  await fill(page, byTest('alarm-code'), 'dE1');
  await fill(page, byTest('alarm-means'), 'Air probe open or short');

  await writerStep(page, 'Try');
  await fill(page, byTest('family-name'), 'Dorry 4');
  await click(page, byTest('save-definition'));
  await page.waitForFunction(() => /^\/controls\/[0-9a-f]{64}$/.test(location.pathname));
}

/** A controller that nobody prepared goes the whole way. */
export const ownControl: EndToEndTest = {
  name: 'a controller written down from a booklet unlike any of the demo fits, is planned, simulated with its defrosts, set by hand where the plan says nothing, and has its tests',
  run: () =>
    onStage(async ({ server, browser }) => {
      const page = await newPage(browser);
      await signIn(page, server.base, 'tess', PASSWORD);
      await writeDown(page, server.base);
      await ownUnit(page, 'Own cold store', { name: 'Bait freezer', tag: 'OWN-1', plate: 'R-449A, 208 V' });
      const id = await openJobOn(page, server.base, 'OWN-1', 'New control');
      await answerFreezer(page);
      await choose(page, byTest('control-new'), 'Dorry 4');
      await allSaved(page);

      // Fit: nothing is missing that was written down.
      await page.goto(`${server.base}/jobs/${id}/fit`, { waitUntil: 'networkidle0' });
      await seeText(page, 'Dorry 4');
      const fit = await page.evaluate(() => document.body.innerText);
      expectSame(/has no relay|not stated/.test(fit.split('Dorry 4')[1]!.slice(0, 400)), false, 'Fit');

      // The forecast defrosts, though no row says what is counted.
      await page.goto(`${server.base}/jobs/${id}/program/forecast`, { waitUntil: 'networkidle0' });
      await page.waitForSelector(byTest('figures'), { timeout: 120_000 });
      await page.waitForFunction(() => !document.querySelector('progress'), { timeout: 120_000 });
      const figures = await textOf(page, byTest('figures'));
      expectSame(/Defrosts[^\d]*[1-9]/.test(figures.replace(/\s+/g, ' ')), true, `defrosts in ${figures}`);

      // A code the plan did not think of takes a value by hand; one beyond its range is refused with the range, and stays typed.
      await page.goto(`${server.base}/jobs/${id}/program/plan`, { waitUntil: 'networkidle0' });
      await clickText(page, `${byTest('plan-which')} [role="radio"]`, 'All codes');
      const calibration = '[data-all-code="do51"]';
      await fill(page, `${calibration} input`, '99');
      await seeText(page, 'expected −10 to 10');
      await fill(page, `${calibration} input`, '-1');
      await seeText(page, 'By hand');
      await allSaved(page);
      await page.goto(`${server.base}/jobs/${id}/program/cabinet`, { waitUntil: 'networkidle0' });
      await page.waitForSelector('[data-code="do51"]');
      expectHolds(await textOf(page, '[data-code="do51"]'), '−1', 'at the cabinet');

      // The key presses of every planned code, from the definition that was written, do on the real panel what was planned.
      const [saved] = await libraryOf(page, 'Dorry 4');
      const rows = await page.$$eval('[data-code]', (all) =>
        all.map((row) => row.getAttribute('data-code')!),
      );
      const wishes = [
        { code: 'do01', value: '-24' },
        { code: 'do12', value: '5' },
        { code: 'do22', value: '10' },
        { code: 'do52', value: '1' },
      ];
      for (const { code } of wishes) expectSame(rows.includes(code), true, `${code} at the cabinet`);
      const machine = machineOf(real)!;
      const end = planKeys(machineOf(saved!)!, new Map(), wishes).steps.reduce(
        (state, step) => act(machine, state, step).state,
        panelAtRest(machine),
      );
      for (const { code, value } of wishes)
        expectSame(String(end.memory.get(code)), value, `${code} on the real panel`);
      const strokes = await textOf(page, byTest('strokes'));
      expectHolds(
        strokes.replace(/\s+/g, ' '),
        'hold together SET ▼ for 4 s',
        'the way into its menu, as it was shown',
      );

      // The same control in cabinet mode, by key: nobody has seen what it holds, so no count is claimed.
      await page.keyboard.press('m');
      await page.waitForSelector(byTest('cabinet-mode'));
      const turned = await textOf(page, `${byTest('cabinet-mode')} ${byTest('strokes')}`);
      expectSame(/until it shows/.test(turned), true, `strokes of a value nobody has seen: ${turned}`);
      await page.keyboard.press('Escape');
      await page.waitForFunction((at) => !document.querySelector(at), {}, byTest('cabinet-mode'));

      // What nobody stated is said to be so, not that the control cannot.
      expectSame(await page.$(byTest('grave-losses')), null, 'nothing protective is lost');
      expectHolds(await textOf(page, byTest('unsaid')), 'Not stated by its booklet', 'what nobody stated');

      // Wires are planned from the terminals and relays that were written down.
      await page.goto(`${server.base}/jobs/${id}/wire/found`, { waitUntil: 'networkidle0' });
      await click(page, '[data-start="timer-and-thermostat"]');
      await seeText(page, 'wires traced');
      await allSaved(page);
      await page.goto(`${server.base}/jobs/${id}/wire/list`, { waitUntil: 'networkidle0' });
      await seeText(page, 'wires done');
      const wires = Number(
        /0 of (\d+) wires done/.exec(await page.evaluate(() => document.body.innerText))?.[1],
      );
      expectSame(wires >= 10, true, `wires planned: ${wires}`);

      // Proven: its outputs and its defrost have their tests, and the defrost is started by the key that was shown.
      await page.goto(`${server.base}/jobs/${id}/prove/run`, { waitUntil: 'networkidle0' });
      await seeText(page, 'efrost');
      const tests = await page.evaluate(() => document.body.innerText);
      for (const part of ['ompressor', 'efrost', 'fan']) expectHolds(tests, part, 'the tests');
      await clickText(page, 'button[aria-expanded]', 'Starts by hand');
      await seeText(page, 'Start a defrost: Hold FRZ for 6 s');

      // The sheet that is left says nothing that is not so.
      await page.goto(`${server.base}/jobs/${id}/handover`, { waitUntil: 'networkidle0' });
      await page.waitForSelector('#to');
      await fill(page, '#to', 'The store');
      await sayWhyOpen(page);
      await click(page, byTest('hand-over'));
      await seeText(page, 'Handed over to The store');
      await allSaved(page);
      await page.waitForSelector(byTest('pdf'));
      const href = await page.$eval(byTest('pdf'), (node) =>
        (node as HTMLAnchorElement).href.replace('for=site', 'for=file'),
      );
      const bytes = await page.evaluate(
        async (url) => [...new Uint8Array(await (await fetch(url)).arrayBuffer())],
        href,
      );
      const { text } = await readPdf(new Uint8Array(bytes));
      for (const part of ['Dorry 4', 'do21', 'Air probe open or short', 'Start a defrost'])
        expectHolds(text, part, 'the sheet');
      for (const wrong of ['has no relay', 'has no output', 'undefined', 'NaN'])
        expectSame(text.includes(wrong), false, `“${wrong}” on the sheet`);
      // The unit's own page: what is open and planned there is what the job and the paper say, and its papers are there.
      const unit = await page.evaluate(
        async (job) => (await (await fetch(`/api/jobs/${job}`)).json()).job.unit.id as string,
        id,
      );
      await page.goto(`${server.base}/units/${unit}`, { waitUntil: 'networkidle0' });
      expectHolds(
        await textOf(page, byTest('unit-papers')),
        'to The store',
        'papers on the page of the unit',
      );
      const open = /(\d+) codes? not keyed in/.exec(text)?.[1];

      // The report for the customer, asked for by typing the site's name: the same control, the same count.
      const site = await page.evaluate(
        async (of) => (await (await fetch(`/api/units/${of}`)).json()).unit.siteName as string,
        unit,
      );
      await page.goto(`${server.base}/work`, { waitUntil: 'networkidle0' });
      await findOne(page, `${byTest('report-form')} ${byTest('find-one')}`, site);
      await click(page, byTest('make-report'));
      await page.waitForSelector('a[download$=".pdf"]');
      const file = await page.$eval('a[download$=".pdf"]', (node) => (node as HTMLAnchorElement).href);
      const report = await readPdf(
        new Uint8Array(
          await page.evaluate(
            async (url) => [...new Uint8Array(await (await fetch(url)).arrayBuffer())],
            file,
          ),
        ),
      );
      for (const part of [site, 'Dorry 4', 'Handed over to The store'])
        expectHolds(report.text, part, 'the report');
      if (open)
        expectHolds(report.text, `${open} ${open === '1' ? 'code' : 'codes'} not keyed in`, 'the report');
      for (const wrong of ['undefined', 'NaN', 'null'])
        expectSame(report.text.includes(wrong), false, `“${wrong}” in the report`);
      if (process.env['BRINE_SEE']) process.stderr.write(`${tests}\n----\n${text}\n`);
    }),
};
