import { join } from 'node:path';
import type { Page } from 'puppeteer-core';
import { chance as seeded } from '@brine/core/foundation/statistics';
import { film } from './film/film.ts';
import { lampIn } from './film/lamp.ts';
import type { Shot } from './film/pictures.ts';
import { anyScene, type Scene } from './film/scenes.ts';
import { allSaved, byTest, choose, clickText, seeText, signIn, tap, textOf } from './support/acts.ts';
import { newPage } from './support/browser.ts';
import { ownFreezer } from './support/cabinet.ts';
import { inFolder, withCamera } from './support/camera.ts';
import { query } from './support/database.ts';
import { onStage } from './support/stage.ts';
import { PASSWORD } from './support/steps.ts';
import { expectHolds, expectSame, type EndToEndTest } from './support/suite.ts';

const untilShown = (page: Page, text: string) =>
  page.waitForFunction(
    (at, wanted) => document.querySelector(at)?.textContent?.trim() === wanted,
    { polling: 50 },
    byTest('watch-text'),
    text.toUpperCase(),
  );

export const watchedDisplay: EndToEndTest = {
  name: 'the phone watches the display of a control: a lamp and a text run the stopwatch, the pull-down and the log fill, and in cabinet mode it says whether the code shows what it must',
  run: () =>
    onStage((stage) =>
      inFolder(async (folder) => {
        const { server } = stage;
        const job = await ownFreezer(stage);
        const desk = await newPage(stage.browser, 'phone');
        await signIn(desk, server.base, 'tess', PASSWORD);
        await desk.goto(`${server.base}/jobs/${job}/program/cabinet`, { waitUntil: 'networkidle0' });
        const expected = (await textOf(desk, byTest('set-to'))).replace('−', '-').replace(/ ?°.*/, '');

        const drawing = await stage.browser.newPage();
        const chance = seeded(21);
        const scene: Scene = { ...anyScene(chance), digits: 3, size: 84, blur: 1, glare: null, flicker: 0.3 };
        const shots: readonly Shot[] = [
          { seconds: 6, text: '24.6', lamps: [false] },
          { seconds: 6, text: 'dEF', lamps: [true] },
          { seconds: 6, text: expected, lamps: [false] },
        ];
        const path = join(folder, 'camera.y4m');
        const lamp = await lampIn(drawing, scene, 0);
        await film(drawing, path, [{ scene, shots }], chance);

        await withCamera(stage, path, job, 'prove/run', async (phone) => {
          // The pull-down: what is read is written down by itself, in the degrees of the control.
          await tap(phone, byTest('pull-down-start'));
          await tap(phone, `${byTest('pull-down')} ${byTest('watch-start')}`);
          await untilShown(phone, '24.6');
          await seeText(phone, 'No picture leaves this device.');
          await phone.waitForFunction(
            (at) => document.querySelector(at)?.textContent?.includes('remove'),
            {},
            byTest('pull-down'),
          );

          // The stopwatch: begins when the display shows DEF, ends when the lamp beside it goes out, which are six seconds.
          await untilShown(phone, 'dEF');
          const picture = (await phone.waitForSelector(byTest('watch-picture')))!;
          const box = (await picture.boundingBox())!;
          await picture.click({ offset: { x: lamp[0] * box.width, y: lamp[1] * box.height } });
          await phone.waitForSelector(byTest('lamp-state'));
          await untilShown(phone, expected);
          await tap(phone, byTest(`test-${TIMED}`));
          await choose(phone, byTest('sight-begins'), 'the display shows DEF');
          await choose(phone, byTest('sight-ends'), 'lamp 1 goes out');
          await tap(phone, byTest('sight-arm'));
          await phone.waitForFunction(
            (at) => document.querySelector(at)?.textContent?.match(/passed|failed/),
            { timeout: 60_000 },
            byTest(`test-${TIMED}`),
          );
          await allSaved(phone);

          // The log: what was read so far, as a logger's file.
          await clickText(phone, '[role="radio"]', 'Log');
          await tap(phone, byTest('log-from-camera'));
          await tap(phone, byTest('read-log'));
          expectHolds(await textOf(phone, byTest('tidied')), 'rows', 'the log of what was read');

          // Cabinet mode, without the camera being opened anew: what is read is held against what the code must show.
          await tap(phone, `a[href^="/jobs/${job}/program"]`);
          await clickText(phone, '[role="radio"]', 'At the cabinet');
          await phone.waitForSelector(byTest('cabinet-card'));
          await phone.waitForSelector(`${byTest('watched-shown')}[data-agrees="true"]`);
          await tap(phone, `${byTest('cabinet-mode')} ${byTest('watch-stop')}`);
          await phone.waitForFunction((at) => !document.querySelector(at), {}, byTest('watch-panel'));
        });

        const kept = await query(
          server.databaseUrl,
          `select body from entry where job_id = '${job}' and body->>'kind' in ('test', 'pullDownReading')`,
        );
        const bodies = kept.map(
          ({ body }) => body as { kind: string; test?: string; value?: number; celsius?: number },
        );
        const timed = bodies.find(({ test }) => test === TIMED);
        // Six seconds between the two, each known to two tenths.
        expectSame(
          Math.abs(timed!.value! * 60 - 6) < 0.8,
          true,
          `six seconds, measured ${timed!.value! * 60}`,
        );
        const read = bodies.find(({ celsius }) => celsius !== undefined)!.celsius!;
        expectSame(Math.abs(read - (24.6 - 32) / 1.8) < 0.06, true, `24.6 °F, kept as ${read} °C`);
      }),
    ),
};
/** A test of this freezer that is timed. */
const TIMED = 'regulation.rest';
