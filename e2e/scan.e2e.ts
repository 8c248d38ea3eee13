import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { ElementHandle, Page } from 'puppeteer-core';
import { byTest, seeText, signIn, tap } from './support/acts.ts';
import { launch, newPage } from './support/browser.ts';
import { filmOfCode } from './support/qrCamera.ts';
import { startServer } from './support/server.ts';
import { ownUnit, PASSWORD } from './support/steps.ts';
import { expectSame, type EndToEndTest } from './support/suite.ts';

const onPath = (page: Page, path: string) => page.waitForFunction((at) => location.pathname === at, {}, path);

/** A phone before the label of a unit. */
export const scan: EndToEndTest = {
  name: 'the code on a unit is read by the camera, and from a photograph of its label; a sheet’s code opens the unit too; another code is said to be none',
  async run() {
    const folder = mkdtempSync(join(tmpdir(), 'brine-scan-'));
    const film = join(folder, 'camera.y4m');
    const server = await startServer();
    try {
      const desk = await launch();
      let unit: string;
      let share: string;
      const label = join(folder, 'label.png');
      try {
        const page = await newPage(desk.browser);
        await signIn(page, server.base, 'tess', PASSWORD);
        await ownUnit(page, 'Own quay', { name: 'Own freezer', tag: 'OWN-9', plate: 'R-449A 230 V' });
        unit = await page.evaluate(async () => {
          const answer = await fetch('/api/units?search=OWN-9');
          return ((await answer.json()) as { units: { id: string }[] }).units[0]!.id;
        });
        share = await page.evaluate(async (id) => {
          const answer = await fetch(`/api/units/${id}/share`, {
            method: 'POST',
            headers: { 'content-type': 'application/json' },
            body: '{}',
          });
          return ((await answer.json()) as { share: { token: string } }).share.token;
        }, unit);
        await page.goto(`${server.base}/units/${unit}`, { waitUntil: 'networkidle0' });
        const code = await page.waitForSelector(`${byTest('unit-label')} svg`);
        await code!.screenshot({ path: label as `${string}.png` });
      } finally {
        await desk.close();
      }

      for (const [text, path] of [
        [`https://long-ago.example:4780/units/${unit}`, `/units/${unit}`],
        [`${server.base}/u/${share}`, `/units/${unit}`],
      ] as const) {
        filmOfCode(film, text);
        const { browser, close } = await launch(undefined, film);
        try {
          const phone = await newPage(browser, 'phone');
          await signIn(phone, server.base, 'tess', PASSWORD);
          await tap(phone, byTest('scan'));
          await onPath(phone, path);
          await seeText(phone, 'Own freezer');
        } finally {
          await close();
        }
      }

      filmOfCode(film, 'WIFI:S:harbour;T:nopass;;');
      const { browser, close } = await launch(undefined, film);
      try {
        const phone = await newPage(browser, 'phone');
        await signIn(phone, server.base, 'tess', PASSWORD);
        await tap(phone, byTest('scan'));
        await seeText(phone, 'Read, but no code of a unit: WIFI:S:harbour');
        // The same camera, as a photograph of the label.
        const file = (await phone.waitForSelector(byTest('scan-photo'))) as ElementHandle<HTMLInputElement>;
        await file.uploadFile(label);
        await onPath(phone, `/units/${unit}`);
        expectSame(await phone.$(byTest('scan-video')), null, 'the camera is closed');
      } finally {
        await close();
      }
    } finally {
      await server.stop();
      rmSync(folder, { recursive: true, force: true });
    }
  },
};
