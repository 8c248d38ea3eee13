import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { ElementHandle, Page } from 'puppeteer-core';
import { newPage } from './support/browser.ts';
import { allSaved, byTest, choose, fill, seeText, signIn } from './support/acts.ts';
import { answerFreezer, foundValue, openJobOn, paste, PASSWORD } from './support/steps.ts';
import { onStage } from './support/stage.ts';
import { expectSame, type EndToEndTest } from './support/suite.ts';

async function upload(
  page: Page,
  selector: string,
  folder: string,
  name: string,
  content: string | Buffer,
): Promise<void> {
  const path = join(folder, name);
  writeFileSync(path, content);
  const input = (await page.waitForSelector(selector)) as ElementHandle<HTMLInputElement>;
  await input.uploadFile(path);
}

/** What people really drop and type. */
export const badInput: EndToEndTest = {
  name: 'bad input: each gets a sentence that names the place and what was expected, and nothing typed is lost',
  run: () =>
    onStage(async ({ server, browser }) => {
      const folder = mkdtempSync(join(tmpdir(), 'brine-files-'));
      try {
        const page = await newPage(browser);
        await signIn(page, server.base, 'tess', PASSWORD);
        const id = await openJobOn(page, server.base, 'BK-2', 'Bad input');
        await choose(page, byTest('control-old'), 'Gault P');
        await page.waitForSelector('[data-found="Cp"] input');
        const file = byTest('sheet-file');
        await upload(page, file, folder, 'empty.csv', '');
        await seeText(page, 'empty.csv: This cannot be read: the file is empty');
        await upload(page, file, folder, 'photo.csv', Buffer.from([0x89, 0x50, 0x4e, 0x47, 0, 0, 1, 2]));
        await seeText(page, 'photo.csv: This cannot be read: this is not a text file');
        await upload(page, file, folder, 'log.csv', `code,value\n${'Cp,240\n'.repeat(10_000)}`);
        await seeText(page, '10000 rows; expected at most 5000');
        await upload(page, file, folder, 'headless.csv', 'Cp,240\nhY,3\n');
        await seeText(page, 'expected a header with code and value');
        await paste(page, 'code;value\r\nSn;-2,5\r\nhY;3\r\n');
        await page.waitForFunction(
          () => (document.querySelector('[data-found="Sn"] input') as HTMLInputElement).value === '-2,5',
        );
        await upload(page, file, folder, 'excel.csv', '\uFEFFcode;value\r\nUn;F\r\nZZ;7\r\nHi;900\r\n');
        await seeText(page, 'Gault P has no code ZZ');
        await seeText(page, '900 is out of range; expected −40 to 68 °F in steps of 0.5');
        expectSame(
          [await foundValue(page, 'ZZ'), await foundValue(page, 'Hi'), await foundValue(page, 'Sn')],
          ['7', '900', '-2,5'],
          'what was typed stays',
        );
        await fill(page, '[data-found="Cp"] input', 'four hours');
        await seeText(page, '“four hours” is not a number; expected 30 to 1440 min in steps of 10');

        await answerFreezer(page);
        await fill(page, '#question-ambient-field', '5K');
        await seeText(page, '“5K” is a temperature difference; expected a temperature such as 37F or 2.8C');
        await allSaved(page);
        await page.goto(`${server.base}/jobs/${id}/program/plan`, { waitUntil: 'networkidle0' });
        await fill(page, '[data-setting="regulation.differential"] input', '4F');
        await seeText(page, 'Differential: “4F” is a temperature; expected a difference such as 5K or 9dF');
        await fill(page, '[data-setting="regulation.setpoint"] input', 'cold');
        await seeText(page, '“cold” is no quantity; expected a temperature');
        await fill(page, '[data-setting="regulation.setpoint"] input', '-22C');
        await page.waitForFunction(
          () =>
            (document.querySelector('[data-setting="regulation.setpoint"] input') as HTMLInputElement)
              .value === '−7.6',
        );

        await page.goto(`${server.base}/controls`, { waitUntil: 'networkidle0' });
        await upload(
          page,
          byTest('controller-file'),
          folder,
          'new.controller.json',
          '{"format": "brine-dial/controller@7"}',
        );
        await seeText(page, 'version 7 of brine-dial/controller is newer than this program');
        await upload(page, byTest('controller-file'), folder, 'broken.controller.json', '{"format": ');
        await seeText(page, 'broken.controller.json: no JSON');
        await upload(
          page,
          byTest('controller-file'),
          folder,
          'thin.controller.json',
          '{"format":"brine-dial/controller@1","id":"x","family":"X","parameters":[{"code":"a","encoding":{"type":"number","min":0,"max":1}}]}',
        );
        await seeText(page, '$.parameters[0].encoding.unit');
        await seeText(page, '$.parameters[0].encoding.default');
      } finally {
        rmSync(folder, { recursive: true, force: true });
      }
    }),
};
