import type { Page } from 'puppeteer-core';
import {
  allSaved,
  byTest,
  choose,
  click,
  demoJob,
  fill,
  seeText,
  signIn,
  tap,
  textOf,
} from './support/acts.ts';
import { newPage } from './support/browser.ts';
import { onStage } from './support/stage.ts';
import { openJobOn, PASSWORD } from './support/steps.ts';
import { expectHolds, expectSame, type EndToEndTest } from './support/suite.ts';

/** Working it out beside a fault finder on a busy machine. */
const LONG = { timeout: 120_000 };

/** Fit and Wire on the page: two typical conversions, each from as found to the meter. */
export const timerToControl: EndToEndTest = {
  name: 'wiring at a desk: timer and thermostat to one control, as found, fit, plan, diagram, meter; a missing jumper is found; a bridged limit is told',
  run: () =>
    onStage(async ({ server, browser }) => {
      const page = await newPage(browser);
      await signIn(page, server.base, 'tess', PASSWORD);
      const id = await openJobOn(page, server.base, 'Bread freezer', 'Timer out, one control in');
      await choose(page, '#question-application-field', 'Walk-in freezer');
      await choose(page, '#question-goods-field', 'Frozen food');
      await choose(page, '#question-defrostMethod-field', 'Electric heater');
      await click(page, '#question-probes input[value="air"]');
      await click(page, '#question-probes input[value="coil"]');
      await allSaved(page);
      const at = (path: string) =>
        page.goto(`${server.base}/jobs/${id}/${path}`, { waitUntil: 'networkidle0' });

      await at('wire/found');
      await click(page, '[data-start="timer-and-thermostat"]');
      await seeText(page, '23 wires traced');
      // One wire is not as such units usually have it: its colour is corrected.
      await click(page, '[data-found-wire="TM.nc-M2.1"] button');
      await choose(page, '[data-found-wire="TM.nc-M2.1"] [data-test="wire-colour"]', 'grey');
      await click(page, '[data-found-wire="TM.nc-M2.1"] button[type="submit"]');
      await allSaved(page);

      await at('fit');
      await page.waitForSelector('[data-fit="marl-4"]');
      expectHolds(await textOf(page, '[data-fit="marl-4"]'), 'fits', 'the control that lacks nothing');
      expectHolds(await textOf(page, '[data-fit="tarn-1"]'), 'cannot', 'one relay cannot');
      await click(page, '[data-fit="marl-4"] button');
      await click(page, byTest('choose-control'));
      await seeText(page, 'Marl 4 is chosen');
      await allSaved(page);

      await at('wire/diagram');
      await page.waitForSelector(`${byTest('diagram')} [data-box="CC"]`);
      expectSame(
        await page.$$eval(`${byTest('diagram')} g[data-wire]`, (all) => all.length),
        28,
        'every wire is drawn',
      );
      await page.$eval('g[data-wire="K3.no-M2.1"]', (node) =>
        node.dispatchEvent(new MouseEvent('click', { bubbles: true })),
      );
      expectHolds(
        await textOf(page, byTest('wire-facts')),
        'grey GY',
        'both ends, colour and letters of a wire',
      );
      expectHolds(await textOf(page, byTest('wire-facts')), 'Evaporator fan 1', 'both ends of a wire');

      // The drawing as a file: whole, with its colours in it.
      const svg = await page.evaluate(async (button) => {
        const kept = URL.createObjectURL;
        const blobs: Blob[] = [];
        URL.createObjectURL = (blob) => (blobs.push(blob as Blob), kept(blob));
        document.querySelector<HTMLElement>(button)!.click();
        URL.createObjectURL = kept;
        return blobs[0]!.text();
      }, byTest('save-svg'));
      expectHolds(svg, 'xmlns="http://www.w3.org/2000/svg"', 'a file that stands alone');
      expectHolds(svg, 'Heater limit', 'every part in the file');
      expectSame(svg.includes('var('), false, 'no colour is left to the page');

      await at('wire/list');
      await seeText(page, '0 of 12 wires done');
      await click(page, '[data-wire="U1.p3-K1.com"] input');
      await seeText(page, '1 of 12 wires done');
      // A size too thin for the fuse before it is told, and taken back.
      await click(page, '[data-wire="K1.com-K2.com"] summary');
      await fill(page, '[data-wire="K1.com-K2.com"] [data-test="choose-gauge"]', '18 AWG');
      await page.waitForSelector('[data-code="wireUndersized"]');
      await fill(page, '[data-wire="K1.com-K2.com"] [data-test="choose-gauge"]', '14 AWG');
      await page.waitForFunction(() => !document.querySelector('[data-code="wireUndersized"]'));

      // Dead fields open only once locked out, live ones only once energised again.
      await page.waitForSelector(byTest('meter-table'));
      await click(page, '[data-state="dead"]');
      await page.waitForSelector('[data-place="dead|K2.no|L2"] input:disabled');
      await click(page, byTest('locked-out'));
      await fill(page, '[data-place="dead|K2.no|L2"] input', '23,1');
      await page.waitForFunction(() =>
        document.querySelector('[data-place="dead|K2.no|L2"]')?.textContent?.includes('right'),
      );
      await click(page, '[data-state="cooling"]');
      await page.waitForSelector('[data-place="cooling|M2"] input:disabled');
      await click(page, byTest('live-again'));
      await fill(page, '[data-place="cooling|M2"] input', 'about 0');
      await seeText(page, 'Expected amps from 0 up');
      await fill(page, '[data-place="cooling|M2"] input', '0');
      await page.waitForSelector(byTest('fault-finder'));
      // The heater works, so the chain of jumpers is whole up to it: only what feeds the fan is left.
      await click(page, '[data-state="defrost"]');
      await fill(page, '[data-place="defrost|H1"] input', '8.8');
      await seeText(page, 'J3, Marl 4 defr com to Marl 4 fan com is missing', 40_000);
      expectHolds(
        await textOf(page, byTest('fault-finder')),
        'Read next',
        'the reading that splits the rest',
      );
      await allSaved(page);

      // Half done it is not to be energised, and the page says what is live; with the last wire nothing is.
      await at('wire/list');
      const verdict = (wanted: 'safe' | 'unsafe') =>
        page.waitForSelector(`${byTest('before-power-verdict')}[data-verdict="${wanted}"]`, LONG);
      for (const box of await page.$$('[data-wire] input[type="checkbox"]:not(:checked)')) await box.click();
      await verdict('safe');
      await click(page, '[data-wire="K2.com-K3.com"] input[type="checkbox"]');
      await verdict('unsafe');
      await click(page, byTest('before-power-verdict'));
      expectHolds(await textOf(page, byTest('dangers')), 'waits for a wire', 'the live end');
      expectHolds(await textOf(page, byTest('before-power')), 'Local codes and licensed practice', 'caution');
      expectHolds(
        await textOf(page, `${byTest('start-strip')} [data-output="compressor"]`),
        'if the box is warm',
        'what may start',
      );
      await click(page, '[data-wire="K2.com-K3.com"] input[type="checkbox"]');
      await verdict('safe');
      await allSaved(page);

      // The limit bridged as found and planned on: the finding stands where the plan is.
      await at('wire/found');
      await choose(page, `${byTest('add-wire')} [data-test="wire-from"]`, 'HP.a');
      await choose(page, `${byTest('add-wire')} [data-test="wire-to"]`, 'N1');
      await click(page, `${byTest('add-wire')} button[type="submit"]`);
      await seeText(page, '24 wires traced');
      await seeText(page, 'energised in every state');
    }),
};

/** The same on a phone, by touch: a vehicle fridge whose thermostat wires carry the probe. */
export const vehicleFridge: EndToEndTest = {
  name: 'wiring on a phone: a vehicle fridge reuses its thermostat wires for the probe, from as found to the meter, with a marked picture',
  run: () =>
    onStage(async ({ server, browser }) => {
      const page = await newPage(browser, 'phone');
      await signIn(page, server.base, 'tess', PASSWORD);
      const id = await demoJob(page, 'sticks');
      const at = (path: string) =>
        page.goto(`${server.base}/jobs/${id}/${path}`, { waitUntil: 'networkidle0' });
      await at('wire/found');
      await seeText(page, 'Pictures');
      await addPicture(page);
      await page.waitForSelector('[data-picture] img');
      await tap(page, '[data-picture] img');
      await page.waitForSelector(byTest('mark-wire'));
      await page.select(byTest('mark-wire'), 'EC.C-ST.com');
      await page.waitForFunction(() =>
        document.querySelector('[data-picture] ol')?.textContent?.includes('3 grey'),
      );
      await allSaved(page);
      const stored = await page.waitForFunction(
        async (job) => {
          const picture = document.querySelector('[data-picture]')!.getAttribute('data-picture');
          const answer = await fetch(`/api/jobs/${job}/pictures/${picture}`);
          return answer.ok ? answer.headers.get('content-disposition') : null;
        },
        { polling: 500 },
        id,
      );
      expectHolds(String(await stored.jsonValue()), 'attachment', 'a picture is served as an attachment');

      await at('fit');
      await page.waitForSelector('[data-fit="wick-12"]');
      expectHolds(await textOf(page, '[data-fit="wick-12"]'), 'fits', 'the 12 V control');
      await at('wire/list');
      await seeText(page, 'carry the probe now');
      await tap(page, '[data-wire="U1.N1-P1.a"] input');
      await seeText(page, '1 of');
      await at('wire/diagram');
      await page.waitForSelector(`${byTest('diagram')} [data-box="EU"]`);
      await at('wire/meter');
      await page.waitForSelector(byTest('meter-table'));
      await tap(page, '[data-state="off"]');
      await tap(page, byTest('locked-out'));
      await page.waitForSelector(byTest('live-again'));
      await tap(page, byTest('live-again'));
      await page.waitForSelector('[data-place="off|U1.+|U1.−"] input:not(:disabled)');
      await fill(page, '[data-place="off|U1.+|U1.−"] input', '10.4');
      await page.waitForFunction(() =>
        document.querySelector('[data-place="off|U1.+|U1.−"]')?.textContent?.includes('off'),
      );
      await fill(page, '[data-place="off|U1.+|U1.−"] input', '12.0');
      await page.waitForFunction(() =>
        document.querySelector('[data-place="off|U1.+|U1.−"]')?.textContent?.includes('right'),
      );
      await seeText(page, 'qualified');
      expectSame(
        await page.evaluate(
          () => document.documentElement.scrollWidth <= document.documentElement.clientWidth,
        ),
        true,
        'nothing is wider than the phone',
      );
      await allSaved(page);
    }),
};

/** A picture drawn in the page and handed to the field as a camera would. */
async function addPicture(page: Page): Promise<void> {
  await page.$eval(byTest('take-picture'), async (node) => {
    const canvas = document.createElement('canvas');
    canvas.width = 1800;
    canvas.height = 1200;
    const paint = canvas.getContext('2d')!;
    paint.fillStyle = '#8a9a9a';
    paint.fillRect(0, 0, 1800, 1200);
    paint.fillStyle = '#303030';
    paint.fillRect(300, 200, 900, 700);
    const blob = await new Promise<Blob>((done) => canvas.toBlob((b) => done(b!), 'image/png'));
    const files = new DataTransfer();
    files.items.add(new File([blob], 'module.png', { type: 'image/png' }));
    (node as HTMLInputElement).files = files.files;
    node.dispatchEvent(new Event('change', { bubbles: true }));
  });
}
