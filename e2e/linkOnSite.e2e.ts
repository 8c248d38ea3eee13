import { spawn } from 'node:child_process';
import { fileURLToPath } from 'node:url';
import { noLineTroubles, noTroubles, StandInDevice } from '@brine/core/practice/standIn';
import { serve } from '@brine/bus/standIn';
import { byTest, choose, click, fill, seeText, signIn, textOf } from './support/acts.ts';
import { enterLine, openLines } from './support/lines.ts';
import { skerryDx } from './support/skerryDx.ts';
import { newPage } from './support/browser.ts';
import { ownFreezer } from './support/cabinet.ts';
import { onStage } from './support/stage.ts';
import { PASSWORD } from './support/steps.ts';
import { expectHolds, expectSame, type EndToEndTest } from './support/suite.ts';

const control = skerryDx;
const root = fileURLToPath(new URL('..', import.meta.url));

export const linkOnSite: EndToEndTest = {
  name: 'a link on site: a lead makes one, it is started as the page says, and carries a reading of 42 values; ended, it is let in no more',
  run: () =>
    onStage(async (stage) => {
      const { server, browser } = stage;
      const device = new StandInDevice(control, new Map(), noTroubles);
      const serving = await serve(device, {
        host: '127.0.0.1',
        port: 0,
        unit: 7,
        speed: 1,
        line: noLineTroubles,
      });
      const job = await ownFreezer(stage, true, 'Skerry DX');
      const lead = await newPage(browser);
      await signIn(lead, server.base, 'lena', PASSWORD);
      await openLines(lead, server.base, 'Own quay');
      await click(lead, `${byTest('links')} summary`);
      await fill(lead, byTest('link-name'), 'Una’s laptop');
      await click(lead, byTest('link-make'));
      await lead.waitForSelector(byTest('link-start'));
      const [, ...words] = (await textOf(lead, byTest('link-start'))).trim().split(/\s+/);
      expectSame(words.slice(0, 2), ['brine', 'link'], 'what the page says');
      const said: string[] = [];
      const laptop = spawn(process.execPath, ['cli/dist/main.js', ...words.slice(1)], { cwd: root });
      laptop.stderr.on('data', (part: Buffer) => said.push(part.toString()));
      const over = new Promise<number | null>((done) => laptop.once('exit', done));
      try {
        await enterLine(lead, 'Behind the wall', serving.port, 'Una’s laptop');
        expectHolds(await textOf(lead, byTest('line-row')), 'by Una’s laptop', 'who calls it');

        const desk = await newPage(await browser.createBrowserContext());
        await signIn(desk, server.base, 'tess', PASSWORD);
        await desk.goto(`${server.base}/jobs/${job}/survey`, { waitUntil: 'networkidle0' });
        await choose(desk, byTest('control-old'), 'Skerry DX');
        await click(desk, byTest('read-by-bus'));
        await fill(desk, byTest('bus-device'), '7');
        await click(desk, byTest('bus-read'));
        await seeText(desk, '42 values read in');

        await click(lead, byTest('link-end'));
        expectSame(await over, 2, 'how the link ends');
        expectHolds(said.join(''), 'does not let this link in', 'what it says');
      } finally {
        laptop.kill();
        await serving.close();
      }
    }),
};
