import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import type { Page } from 'puppeteer-core';
import { readPdf } from '../server/testing/readPdf.ts';
import { allSaved, byTest, choose, click, fill, seeText, signIn, tap, textOf } from './support/acts.ts';
import { newPage } from './support/browser.ts';
import { query } from './support/database.ts';
import { onStage } from './support/stage.ts';
import { answerFreezer, openJobOn, PASSWORD } from './support/steps.ts';
import { sayWhyOpen } from './support/leaving.ts';
import { expectHolds, expectSame, type EndToEndTest } from './support/suite.ts';

/** A logger as it would have hung in the fish store: simulated, in a layout of its own (scripts/makeDemoLog.ts). */
const logFile = fileURLToPath(new URL('../demo/logs/fish-store.csv', import.meta.url));

/** Survey to Hand over in one: complaint, fit, wires, program, tests, calibration, log, sign-off, sheet, shared page, unit page. */
export const provePath: EndToEndTest = {
  name: 'the whole path on a freezer: complaint, fit, wire, program, commissioning run, calibration, a logger’s file, sign-off, sheet with QR code, shared page, history',
  run: () =>
    onStage(async ({ server, browser }) => {
      const page = await newPage(browser);
      await signIn(page, server.base, 'tess', PASSWORD);
      const id = await openJobOn(page, server.base, 'FM-2', 'Prove it, end to end');
      const at = (path: string) =>
        page.goto(`${server.base}/jobs/${id}/${path}`, { waitUntil: 'networkidle0' });

      // Survey, and what is behind the complaint.
      await answerFreezer(page);
      await choose(page, byTest('control-new'), 'Marl 4');
      await allSaved(page);
      await click(page, byTest('to-complaint'));
      await click(page, '[data-test="sign-iceOnCoil"] button');
      await click(page, '[data-test="sign-boxWarm"] button');
      await page.waitForSelector(`${byTest('causes')} [data-cause]`);
      const check = await page.$eval(
        `${byTest('next-checks')} [data-check]`,
        (node) => (node as HTMLElement).dataset['check']!,
      );
      await click(page, `[data-check="${check}"] button`);
      await page.waitForFunction(
        (was) => !document.querySelector(`[data-test="next-checks"] [data-check="${was}"]`),
        {},
        check,
      );
      await click(page, byTest('record-verdict'));
      await page.waitForSelector(byTest('verdict-stands'));

      // Fit and wires, briefly: they have tests of their own.
      await at('wire/found');
      await click(page, '[data-start="timer-and-thermostat"]');
      await seeText(page, '23 wires traced');
      await allSaved(page);

      // Program at the cabinet.
      await at('program/cabinet');
      await page.waitForSelector('[data-code="hold"]');
      for (let n = 0; n < 5; n += 1) await page.keyboard.press('Enter');
      await page.waitForSelector('[data-code="hold"][data-state="keyed"]');
      await allSaved(page);

      await tests(page, at);
      await calibration(page, at);
      await logger(page, at);
      await handOver(page, at, server.base, id);

      const kinds = await query(
        server.databaseUrl,
        `select distinct body->>'kind' as kind from entry where job_id = '${id}'`,
      );
      const kept = new Set(kinds.map((row) => row['kind']));
      for (const kind of [
        'sign',
        'complaintCheck',
        'verdict',
        'test',
        'timer',
        'pullDown',
        'pullDownReading',
        'calibration',
        'log',
        'followUp',
        'signOff',
        'keypadLocked',
      ])
        expectSame([kind, kept.has(kind)], [kind, true], 'kinds of entries');
      const [points] = await query(server.databaseUrl, `select count(*)::int as n from log_point`);
      expectSame(points!['n'], 5760, 'readings in the database');

      await phone(await newPage(browser, 'phone'), server.base, id);
    }),
};

type Go = (path: string) => Promise<unknown>;

/** The commissioning run: a reading that fails, one that passes, a skip with its follow-up, a timer, the pull-down. */
async function tests(page: Page, at: Go): Promise<void> {
  await at('prove/run');
  await page.waitForSelector(byTest('pull-down'));
  const open = async (test: string) => {
    if (!(await page.$(`[data-test-id="${test}"]`))) await click(page, byTest(`test-${test}`));
    await page.waitForSelector(`[data-test-id="${test}"]`);
  };
  await open('regulation.rest');
  expectHolds(await textOf(page, '[data-test-id="regulation.rest"]'), 'Not before', 'what to expect');
  await click(page, byTest('timer-start'));
  await page.waitForFunction(() =>
    document.querySelector('[data-test="timer"]')?.textContent?.includes('to go'),
  );
  await fill(page, byTest('test-value'), '1');
  await click(page, byTest('pass'));
  await seeText(page, 'lies outside');
  await fill(page, byTest('test-value'), '4.5');
  await click(page, byTest('pass'));
  await page.waitForFunction(() =>
    document.querySelector('[data-test="test-regulation.rest"]')?.textContent?.includes('passed'),
  );
  await open('probes.coil');
  await click(page, byTest('skip'));
  await seeText(page, 'Say why it is skipped');
  await fill(page, byTest('test-word'), 'iced in');
  await click(page, byTest('skip'));
  await page.waitForFunction(() =>
    document.querySelector('[data-test="test-probes.coil"]')?.textContent?.includes('skipped'),
  );
  await open('outputs.compressor');
  await fill(page, byTest('test-word'), 'hums and trips');
  await click(page, byTest('fail'));
  await page.waitForFunction(() =>
    document.querySelector('[data-test="tally"]')?.textContent?.includes('1 passed, 1 failed, 1 skipped'),
  );
  await click(page, byTest('pull-down-start'));
  await fill(page, byTest('pull-down-value'), '84');
  await click(page, byTest('pull-down-add'));
  await page.waitForFunction(
    () => document.querySelectorAll('[data-test="pull-down"] svg:not(.lucide) circle').length === 1,
  );
  await allSaved(page);
}

/** Ice water: reads 34, true 32, offset now +1: the new offset is −1, in the control's own code. */
async function calibration(page: Page, at: Go): Promise<void> {
  await at('prove/probes');
  await fill(page, byTest('existing-offset'), '1');
  await fill(page, byTest('reads'), '34');
  await fill(page, byTest('truth'), '32');
  await page.waitForFunction(() =>
    document
      .querySelector('[data-test="proposal"]')
      ?.textContent?.replace(/\s+/g, ' ')
      .includes('Set trim to −1 dF'),
  );
  await click(page, byTest('keep-calibration'));
  await seeText(page, 'Name the reference');
  await fill(page, byTest('reference-name'), 'Ice water');
  await click(page, byTest('keep-calibration'));
  await page.waitForSelector(byTest('calibrations'));
  await fill(page, byTest('ohms'), '9.0k');
  await fill(page, byTest('at'), '80.6');
  await page.waitForFunction(() =>
    document.querySelector('[data-test="sensor-verdict"]')?.textContent?.includes('NTC 10 kΩ, B 3435'),
  );
  await allSaved(page);
}

/** A logger's file of an odd layout: guessed, read, held against the settings, kept. */
async function logger(page: Page, at: Go): Promise<void> {
  await at('prove/log');
  const input = await page.waitForSelector(byTest('log-file'));
  await (input as unknown as { uploadFile(path: string): Promise<void> }).uploadFile(logFile);
  await page.waitForSelector(byTest('preview'));
  expectHolds(
    await textOf(page, byTest('preview')),
    readFileSync(logFile, 'utf8').split('\r\n')[2]!.split(';')[2]!,
    'the first row as it stands in the file',
  );
  await click(page, byTest('read-log'));
  await page.waitForSelector(byTest('log-figures'));
  const said = await textOf(page, byTest('log-findings'));
  expectHolds(said, 'Wednesday 18 Nov', 'the day somebody turned it');
  expectHolds(said, 'somebody changed the set point', 'and what it means');
  expectHolds(await textOf(page, byTest('log-figures')), 'by temperature', 'what ended the defrosts');
  await page.waitForSelector(`${byTest('log-strip')} svg`);
  await click(page, byTest('keep-log'));
  await page.waitForSelector(byTest('log-kept'));
  await allSaved(page);
}

async function handOver(page: Page, at: Go, base: string, id: string): Promise<void> {
  await at('handover');
  await click(page, byTest('locked-yes'));
  await click(page, byTest('follow-threeDays'));
  await click(page, byTest('follow-sixMonths'));
  await fill(page, byTest('signer'), 'Ruth Quay');
  const pad = (await page.waitForSelector(byTest('signature')))!;
  await pad.evaluate((node) => node.scrollIntoView({ block: 'center' }));
  const box = (await pad.boundingBox())!;
  await page.mouse.move(box.x + 30, box.y + 60);
  await page.mouse.down();
  for (let i = 1; i < 12; i += 1) await page.mouse.move(box.x + 30 + i * 15, box.y + 60 - 30 * Math.sin(i));
  await page.mouse.up();
  await click(page, byTest('sign'));
  await page.waitForSelector(byTest('signed'));
  await click(page, byTest('make-share'));
  await page.waitForSelector(byTest('share-link'));
  // Told once: it is taken down before the page is left.
  const link = await page.$eval(byTest('share-link'), (node) => (node as HTMLAnchorElement).href);
  await fill(page, '#to', 'Market office');
  await fill(page, '#watch', 'Frost at the left fan.');
  await sayWhyOpen(page);
  await click(page, byTest('hand-over'));
  await seeText(page, 'Handed over to Market office');
  await allSaved(page);
  await page.waitForSelector(byTest('pdf'));

  const bytes = (address: string) =>
    page
      .evaluate(async (url) => [...new Uint8Array(await (await fetch(url)).arrayBuffer())], address)
      .then((list) => new Uint8Array(list));
  for (const [paper, type, unit] of [
    ['A4', 'small', 'degF'],
    ['LETTER', 'large', 'degC'],
  ] as const) {
    const pdf = await readPdf(
      await bytes(`${base}/api/jobs/${id}/sheet.pdf?paper=${paper}&type=${type}&unit=${unit}`),
    );
    expectSame(pdf.pages <= 5 && pdf.pages >= 2, true, `pages of the ${type} sheet (${pdf.pages})`);
    for (const part of [
      'FM-2 · Fish store freezer',
      'Marl 4',
      'hold',
      'Set point, cooling stops',
      'Frost at the left fan.',
      'The keypad is locked.',
      'Next dates',
      'skipped (iced in)',
      'Calibrate air probe again',
      'Wires',
      'Calibrations',
      'trim',
      'Ice water',
      'Taken over by',
      'Ruth Quay',
      'prove dead',
    ])
      expectHolds(pdf.text, part, `the ${type} sheet`);
    // In the other degrees the codes stay as the control shows them, and say what that is.
    if (unit === 'degC') expectHolds(pdf.text, '= −22.', 'degrees of the reader');
  }
  const calendar = new TextDecoder().decode(await bytes(`${base}/api/jobs/${id}/follow-ups.ics`));
  expectSame(
    calendar.match(/BEGIN:VEVENT/g)?.length,
    4,
    'three days, six months, the skipped test, the calibration',
  );

  const anybody = await page.browser().createBrowserContext();
  const shared = await newPage(anybody);
  await shared.goto(link, { waitUntil: 'networkidle0' });
  const said = await textOf(shared, byTest('shared-page'));
  expectHolds(said, 'Frost at the left fan.', 'the page behind the code');
  expectSame(
    ['Ruth Quay', 'Tess', 'Market office'].some((name) => said.includes(name)),
    false,
    'no people on it',
  );
  await anybody.close();

  const unit = await page.evaluate(
    async (job) => (await (await fetch(`/api/jobs/${job}`)).json()).job.unit.id as string,
    id,
  );
  await page.goto(`${base}/units/${unit}`, { waitUntil: 'networkidle0' });
  const history = await textOf(page, byTest('history'));
  for (const part of [
    'Handed over to Market office',
    'Calibrated air probe: code trim, 1 → −1 dF',
    'Log taken in: fish-store.csv, 5760 rows',
    'Test “Outputs, one by one: compressor”: failed',
  ])
    expectHolds(history, part, 'the history of the unit');
}

/** The run on a phone: by touch, nothing wider than the screen, the timer still runs. */
async function phone(page: Page, base: string, id: string): Promise<void> {
  for (const path of ['prove/run', 'prove/probes', 'prove/log', 'complaint', 'handover']) {
    await page.goto(`${base}/jobs/${id}/${path}`, { waitUntil: 'networkidle0' });
    expectSame(
      [path, (await page.evaluate(() => document.documentElement.scrollWidth)) <= 390],
      [path, true],
      'nothing is wider than the phone',
    );
  }
  await page.goto(`${base}/jobs/${id}/prove/run`, { waitUntil: 'networkidle0' });
  // What is settled is not timed any more; what is started counts on every page of the job.
  await tap(page, byTest('test-regulation.rest'));
  await page.waitForSelector('[data-test-id="regulation.rest"]');
  expectSame(await page.$(`[data-test-id="regulation.rest"] ${byTest('timer')}`), null, 'a settled test');
  await tap(page, byTest('test-alarms.high'));
  await tap(page, `[data-test-id="alarms.high"] ${byTest('timer-start')}`);
  await page.waitForSelector(byTest('timers'));
  await page.goto(`${base}/jobs/${id}/handover`, { waitUntil: 'networkidle0' });
  await page.waitForFunction(
    (at) =>
      /High alarm\s+\d+:\d\d of \d+:\d\d/.test(document.querySelector<HTMLElement>(at)?.innerText ?? ''),
    {},
    byTest('timers'),
  );
}
