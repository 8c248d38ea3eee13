import type { Page } from 'puppeteer-core';
import type { ControllerDefinition } from '@brine/core/controllers/definitions';
import { allSaved, byTest, choose, click, fill, findOne, seeText, signIn, textOf } from './support/acts.ts';
import { newPage } from './support/browser.ts';
import { query } from './support/database.ts';
import { enterLine, openLines } from './support/lines.ts';
import { ownBooklet, ownDevice, ownOnTheWire } from './support/ownBus.ts';
import { onStage } from './support/stage.ts';
import { openJobOn, ownUnit, PASSWORD } from './support/steps.ts';
import { expectHolds, expectSame, type EndToEndTest } from './support/suite.ts';
import { libraryOf, pasteTable, writerStep } from './support/writer.ts';

/** Its register table as the booklet prints it: numbers that count from 1, which it does not say; nothing of the scale of the calibration, and a set point in tenths. */
const registerTable = `Serial communication, 9600 baud
Reg.;Name;Meaning;Type;Res.;Unit;R/W
101;co1;Set point;INT;0.1;°C;R/W
102;co2;Differential;INT;0.1;°C;R/W
103;co3;Compressor off time;INT;1;min;R/W
104;co4;Defrost interval;INT;1;h;R/W
105;co5;Defrost duration;INT;1;min;R/W
106;co6;High alarm;INT;0.1;°C;R/W
107;co7;Alarm delay;INT;1;min;R/W
108;co8;Calibration;INT;;°C;R/W
201;;Air temperature;INT;0.1;°C;R
202;;Compressor relay;INT;;;R
`;
async function pasteRegisters(page: Page, text: string): Promise<void> {
  await page.waitForSelector(byTest('paste-registers'));
  await page.$eval(
    byTest('paste-registers'),
    (node, pasted) => {
      (node as HTMLTextAreaElement).value = pasted;
      node.dispatchEvent(new InputEvent('input', { bubbles: true }));
    },
    text,
  );
}

export const ownRegisters: EndToEndTest = {
  name: 'over the bus, a control that nobody prepared: its register table is pasted and tried on the device, which tells that addresses count from 1; then it is read as found and written',
  run: () =>
    onStage(async ({ server, browser }) => {
      const { device, serving } = await ownDevice([['co1', 6.5]], 3);
      try {
        const page = await newPage(browser);
        await signIn(page, server.base, 'tess', PASSWORD);
        await ownUnit(page, 'Own quay', { name: 'Own counter', tag: 'OWN-3', plate: 'R-290 230 V' });
        const lead = await newPage(await browser.createBrowserContext());
        await signIn(lead, server.base, 'lena', PASSWORD);
        await openLines(lead, server.base, 'Own quay');
        await enterLine(lead, 'Shop floor', serving.port);

        await page.goto(`${server.base}/controls/write`, { waitUntil: 'networkidle0' });
        await pasteTable(page, ownBooklet);
        await seeText(page, '8 rows');
        await writerStep(page, 'Registers');
        await pasteRegisters(page, registerTable);
        await seeText(page, '8 codes and 2 readings');
        await click(page, byTest('trial-open'));
        await findOne(page, `${byTest('trial')} ${byTest('find-one')}`, 'Own quay');
        await fill(page, byTest('bus-device'), '3');
        await click(page, byTest('trial-all'));
        await page.waitForSelector(byTest('trial-words'));
        expectHolds(
          await textOf(page, byTest('trial-shift')),
          'one address lower',
          'where addresses count from',
        );
        await click(page, byTest('trial-shift-take'));
        await seeText(page, '10 of 10 can be what they are taken for.');
        await page.select(byTest('register-table'), '3');
        const row = (key: string) => `[data-register="${key}"]`;
        expectHolds(
          await textOf(page, `${row('101')} ${byTest('register-tried')}`),
          '6.5 °C',
          'the set point',
        );
        // What the booklet does not say is asked, and is only read until then.
        expectHolds(
          await textOf(page, `${row('108')} ${byTest('register-doubt')}`),
          'tenths',
          'what is in doubt',
        );
        while (await page.$(byTest('register-checked'))) {
          const left = await page.$$eval(byTest('register-checked'), (all) => all.length);
          await click(page, byTest('register-checked'));
          await page.waitForFunction(
            (at, n) => document.querySelectorAll(at).length < n,
            {},
            byTest('register-checked'),
            left,
          );
        }
        await seeText(page, '8 may be written');
        await writerStep(page, 'Try');
        await fill(page, byTest('family-name'), 'Corran 8');
        await click(page, byTest('save-definition'));
        await page.waitForFunction(() => /^\/controls\/[0-9a-f]{64}$/.test(location.pathname));
        const [saved] = await libraryOf(page, 'Corran 8');
        const places = (of: ControllerDefinition) =>
          of.registers!.map(({ code, reading, address, scale = 1, writable = false }) => [
            code ?? reading,
            address,
            scale,
            writable,
          ]);
        expectSame(places(saved!), places(ownOnTheWire), 'the registers that were written down');

        const job = await openJobOn(page, server.base, 'OWN-3', 'Over the wire');
        await choose(page, byTest('control-old'), 'Corran 8');
        await click(page, byTest('read-by-bus'));
        await fill(page, byTest('bus-device'), '3');
        await click(page, byTest('bus-read'));
        await seeText(page, '8 values read in');
        await allSaved(page);
        const found = await query(
          server.databaseUrl,
          `select body from entry where job_id = '${job}' and body->>'kind' = 'found'`,
        );
        expectSame(
          found
            .map(({ body }) => body as { code: string; value: string })
            .map(({ code, value }) => [code, value])
            .sort(),
          [...device.memory].map(([code, value]) => [code, String(value)]).sort(),
          'as found is what the machine holds',
        );
      } finally {
        await serving.close();
      }
    }),
};
