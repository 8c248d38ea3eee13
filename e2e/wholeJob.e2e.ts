import { readPdf } from '../server/testing/readPdf.ts';
import { newPage } from './support/browser.ts';
import { allSaved, byTest, choose, click, fill, seeText, signIn, tap } from './support/acts.ts';
import { answerFreezer, foundValue, oldSheet, openJobOn, paste, PASSWORD } from './support/steps.ts';
import { onStage } from './support/stage.ts';
import { query } from './support/database.ts';
import { sayWhyOpen } from './support/leaving.ts';
import { expectHolds, expectSame, type EndToEndTest } from './support/suite.ts';

/** The whole job, from signing in to the page left in the unit. */
export const wholeJob: EndToEndTest = {
  name: 'a technician programs a freezer: survey, plan, rule, cabinet at the desk and by touch, sheet; a restart of the server loses nothing',
  run: () =>
    onStage(async ({ server, browser }) => {
      const page = await newPage(browser);
      await signIn(page, server.base, 'tess', PASSWORD);
      const id = await openJobOn(page, server.base, 'FM-2', 'Replace the control, end to end');

      // Survey: as found in the old control's own codes, pasted and typed.
      await choose(page, byTest('control-old'), 'Gault P');
      await paste(page, oldSheet);
      // The whole sheet stands before anything is typed over it.
      await page.waitForFunction(
        () =>
          (document.querySelector('[data-found="Cp"] input') as HTMLInputElement | null)?.value === '240' &&
          (document.querySelector('[data-found="CA"] :is(input, select)') as HTMLInputElement | null)
            ?.value === '1',
      );
      await allSaved(page);
      await fill(page, '[data-found="hY"] input', '4');
      await answerFreezer(page);
      await fill(page, '#question-refrigerant-field', 'R-449A');
      await choose(page, byTest('control-new'), 'Marl 4');
      await allSaved(page);
      expectSame(await foundValue(page, 'hY'), '4', 'the typed value beats the pasted one');

      // Plan: values with reasons; one typed, one moved on the rule.
      await click(page, byTest('to-program'));
      await seeText(page, 'keeps the air under the limit');
      await seeText(page, 'Nothing collides');
      const melt = '[data-setting="defrost.endTemperature"]';
      await fill(page, `${melt} input`, '60');
      await seeText(page, 'Changed by hand; the plan says 55 °F');
      await fill(page, `${melt} input[placeholder^="Say why"]`, 'corners iced up at 40');
      await page.focus('[data-mark="high"]');
      const before = Number(
        await page.$eval('[data-mark="high"]', (node) => node.getAttribute('aria-valuenow')),
      );
      await page.keyboard.press('ArrowRight');
      await page.waitForFunction(
        (was) =>
          Number(document.querySelector('[data-mark="high"]')?.getAttribute('aria-valuenow')) === was + 1,
        {},
        before,
      );
      // A collision turns red where it collides, and says so; back again all is well.
      await fill(page, '[data-setting="alarms.highOffset"] input', '3');
      await page.waitForSelector('[data-code="highAlarmInsideBand"]');
      await page.waitForFunction(() =>
        document
          .querySelector('[data-mark="high"]')
          ?.getAttribute('aria-label')
          ?.includes('sounds in normal running'),
      );
      await click(page, '[data-setting="alarms.highOffset"] [data-test="back-to-plan"]');
      await seeText(page, 'Nothing collides');

      // Differences stay differences when °F and °C are switched.
      await click(page, byTest('unit-switch'));
      await page.waitForFunction(
        () =>
          (document.querySelector('[data-setting="regulation.differential"] input') as HTMLInputElement)
            .value === '3.33',
      );
      await click(page, byTest('unit-switch'));

      // At the cabinet: the new control's own codes, units and resolution.
      await page.goto(`${server.base}/jobs/${id}/program/cabinet`, { waitUntil: 'networkidle0' });
      await page.waitForSelector('[data-code="hold"]');
      const rowOf = (code: string) =>
        page.$eval(`[data-code="${code}"]`, (node) => (node as HTMLElement).innerText.replace(/\s+/g, ' '));
      expectHolds(await rowOf('hold'), '−9 °F', 'set point, whole °F of this control');
      expectHolds(await rowOf('hold'), '−7 °F', 'found −3 as cut-in with 4 below: cut-out −7');
      expectHolds(await rowOf('melt'), '60 °F', 'the change is in the new code');
      // The strokes: the way in first, then on from the code before.
      const strokesOf = (from: typeof page) =>
        from.$eval(byTest('strokes'), (node) => (node as HTMLElement).innerText.replace(/\s+/g, ' '));
      expectHolds(await strokesOf(page), 'hold together ▲ ▼ for 5 s shows 0', 'the chord into the menu');
      expectHolds(await strokesOf(page), 'hold ▲ until 27 shows SET once shows hold', 'the access code');
      expectHolds(
        await strokesOf(page),
        'shows a value ▲ ▼ until it shows -9 SET takes it',
        'nobody has seen what it stands at',
      );
      await page.keyboard.press('Enter');
      await page.waitForSelector('[data-code="hold"][data-state="keyed"]');
      await page.waitForSelector('[data-code="gap"][aria-current="true"]');
      const onward = await strokesOf(page);
      expectHolds(onward, '▲ once shows gap', 'on to the next code');
      expectSame(onward.includes('hold together'), false, 'the menu is open already');
      // The display stands somewhere else: the way from there.
      await page.select(byTest('display-shows'), '');
      await page.waitForFunction(
        (at) => (document.querySelector(at) as HTMLElement).innerText.includes('hold together'),
        {},
        byTest('strokes'),
      );
      await click(page, byTest('keyed-in'));
      await page.waitForSelector('[data-code="gap"][data-state="keyed"]');
      await allSaved(page);

      // The server is restarted under the open page; then the phone goes on by touch.
      await server.kill();
      await server.start();
      const phone = await newPage(browser, 'phone');
      await phone.goto(`${server.base}/jobs/${id}/program/cabinet`, { waitUntil: 'networkidle0' });
      await phone.waitForSelector(byTest('cabinet-card'));
      expectHolds(
        await phone.$eval(byTest('place'), (node) => node.textContent ?? ''),
        '3 of',
        'the phone goes on where the desk stopped',
      );
      for (let n = 0; n < 100; n += 1) {
        const place = await phone.$eval(byTest('place'), (node) => node.textContent ?? '');
        const code = await phone.$eval(byTest('cabinet-card'), (node) => node.getAttribute('data-now'));
        const left = await phone.evaluate(() => document.body.innerText.includes('All codes are settled'));
        if (left) break;
        if (code === 'drip') {
          await tap(phone, byTest('shows-else'));
          await fill(phone, byTest('say-input'), '4');
          await tap(phone, byTest('say-take'));
        } else if (code === 'trim') {
          // Nobody planned it: it is decided or skipped with a reason, but not just keyed in.
          await phone.waitForSelector(byTest('decide-first'));
          expectSame(
            await phone.$eval(byTest('keyed-in'), (node) => (node as HTMLButtonElement).disabled),
            true,
            'keying in before a decision',
          );
          await tap(phone, byTest('shows-else'));
          await fill(phone, byTest('skip-why'), 'no reference at hand');
          await tap(phone, byTest('skip-take'));
        } else await tap(phone, byTest('keyed-in'));
        await phone.waitForFunction(
          (at, was) =>
            document.querySelector(at)?.textContent !== was ||
            document.body.innerText.includes('All codes are settled'),
          {},
          byTest('place'),
          place,
        );
      }
      await seeText(phone, 'All codes are settled');
      const wide = await phone.evaluate(() => document.documentElement.scrollWidth);
      expectSame(wide <= 390, true, 'nothing is wider than the phone');

      // Hand over at the desk, after a reload.
      await page.bringToFront();
      await page.goto(`${server.base}/jobs/${id}/handover`, { waitUntil: 'networkidle0' });
      // Every code is settled: none stands among what is open.
      await page.waitForSelector(byTest('open-items'));
      expectSame(await page.$('[data-open="codes"]'), null, 'codes not keyed in');
      await fill(page, '#to', 'Market office');
      await fill(page, '#watch', 'Look at the frost on Friday.');
      await sayWhyOpen(page);
      await click(page, byTest('hand-over'));
      await seeText(page, 'Handed over to Market office');
      await page.waitForSelector(byTest('pdf'));
      const href = await page.$eval(byTest('pdf'), (node) =>
        (node as HTMLAnchorElement).href.replace('for=site', 'for=file'),
      );
      const bytes = await page.evaluate(
        async (url) => [...new Uint8Array(await (await fetch(url)).arrayBuffer())],
        href,
      );
      const pdf = await readPdf(new Uint8Array(bytes));
      for (const part of [
        'FM-2 · Fish store freezer',
        'Quayside Fish Market',
        'Marl 4',
        'Set by Tess Marram',
        'melt',
        '60 °F',
        'Termination temperature of the defrost',
        'planned 5 min',
        'left alone: no reference at hand',
        'Look at the frost on Friday.',
        'the display showed 4',
      ])
        expectHolds(pdf.text, part, 'the sheet');

      // Every step is a row in PostgreSQL.
      const kinds = await query(
        server.databaseUrl,
        `select body->>'kind' as kind, count(*)::int as n from entry where job_id = '${id}' group by 1 order by 1`,
      );
      const count = Object.fromEntries(kinds.map((row) => [row['kind'], row['n']]));
      expectSame(
        Object.keys(count),
        ['answer', 'control', 'found', 'handedOver', 'keyed', 'planned', 'sheet'],
        'kinds of entries',
      );
      expectSame(count['sheet'], 3, 'as found, planned and as left are kept');
    }),
};
