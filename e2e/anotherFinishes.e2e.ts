import { readFileSync } from 'node:fs';
import type { Page } from 'puppeteer-core';
import type { CodeValue, ControllerDefinition } from '@brine/core/controllers/definitions';
import { afterKeying, machineOf, panelAtRest, printValue, type Wish } from '@brine/core/controllers/panel';
import { allSaved, byTest, seeText, signIn, tap, textOf } from './support/acts.ts';
import { newPage } from './support/browser.ts';
import { codeNow, keyOne, ownFreezer } from './support/cabinet.ts';
import { query } from './support/database.ts';
import { onStage, type Stage } from './support/stage.ts';
import { PASSWORD } from './support/steps.ts';
import { expectHolds, expectSame, type EndToEndTest } from './support/suite.ts';

/** Its menu drops what was not saved by leaving it, and closes by itself after a minute. */
const hamna = machineOf(
  JSON.parse(
    readFileSync(new URL('../demo/controllers/hamna-6.controller.json', import.meta.url), 'utf8'),
  ) as ControllerDefinition,
)!;

/** A person's own phone, at the cabinet of the job. */
async function atCabinet({ browser, server }: Stage, login: string, id: string): Promise<Page> {
  const context = await browser.createBrowserContext();
  const phone = await newPage(context, 'phone');
  await signIn(phone, server.base, login, PASSWORD);
  await phone.goto(`${server.base}/jobs/${id}/program/cabinet`, { waitUntil: 'networkidle0' });
  await phone.waitForSelector(byTest('cabinet-card'));
  return phone;
}

/** Reads what is asked for from a panel that holds this, until nothing is asked any more; how often it was read. */
async function readBack(phone: Page, held: ReadonlyMap<string, CodeValue>): Promise<number> {
  await tap(phone, `${byTest('cabinet-mode')} ${byTest('find-out')}`);
  await tap(phone, byTest('menu-closed'));
  const panel = panelAtRest(hamna, held);
  for (let read = 0; ; read += 1) {
    await phone.waitForFunction(
      (asked, out, before) =>
        document.querySelector(out) !== null ||
        (document.querySelectorAll(`${asked} li`).length > 0 &&
          document.querySelector(asked)?.getAttribute('data-reading') === before),
      {},
      byTest('what-was-kept'),
      byTest('take-it'),
      String(read),
    );
    if (await phone.$(byTest('take-it'))) return read;
    const code = await phone.$eval(byTest('what-was-kept'), (node) => node.getAttribute('data-now')!);
    const words = printValue(hamna, panel, hamna.parameters.get(code)!, panel.memory.get(code)!);
    await tap(phone, `[data-shows="${words}"]`);
  }
}

export const anotherFinishes: EndToEndTest = {
  name: 'a phone handed to another person in the middle of code 12: a reading tells what the control kept, and the strokes go on from there',
  run: () =>
    onStage(async (stage) => {
      const { server } = stage;
      const id = await ownFreezer(stage, true, 'Hamna 6');
      const tess = await atCabinet(stage, 'tess', id);
      expectSame(await tess.$(byTest('broken-off')), null, 'said before anything was keyed');
      for (let n = 0; n < 11; n += 1) await keyOne(tess);
      const twelfth = await codeNow(tess);
      await allSaved(tess);

      // Nobody left the menu: after a minute it closed by itself and dropped all of it.
      const lena = await atCabinet(stage, 'lena', id);
      await lena.waitForSelector(byTest('broken-off'));
      expectHolds(await textOf(lena, byTest('broken-off')), 'keyed up to', 'who keyed how far');
      expectHolds(await textOf(lena, byTest('broken-off')), 'is not sure', 'what is doubtful');
      expectSame(await readBack(lena, new Map()), 1, 'readings');
      await lena.waitForSelector(byTest('lost-codes'));
      const lost = (await textOf(lena, byTest('lost-codes'))).split(', ');
      // Codes that were to stay at their factory value stand there anyway.
      expectSame(lost.includes(twelfth!), false, 'the code under hand was never ticked');
      await tap(lena, byTest('take-it'));
      await lena.waitForSelector(byTest('cabinet-card'));
      expectSame(await codeNow(lena), lost[0], 'on from the first that is lost');
      expectSame(await lena.$(byTest('broken-off')), null, 'said once it is known');

      const codes: string[] = [];
      for (let n = 0; n < 2; n += 1) {
        codes.push((await codeNow(lena))!);
        await keyOne(lena);
      }
      await allSaved(lena);
      const said = await query(
        server.databaseUrl,
        `select distinct on (body->>'code') body from entry where job_id = '${id}' and body->>'kind' = 'keyed' and body->>'state' = 'keyed' order by body->>'code', sequence desc`,
      );
      const keyed = said
        .map((row) => row['body'] as Wish)
        .filter(({ code }) => codes.includes(code))
        .map(({ code, value }): Wish => ({ code, value }));
      expectSame(keyed.length, 2, 'codes keyed anew');

      // She left the menu as it should be: both are in the control.
      await tess.reload({ waitUntil: 'networkidle0' });
      await tess.bringToFront();
      await tess.waitForSelector(byTest('broken-off'));
      expectSame(await readBack(tess, afterKeying(hamna, new Map(), keyed)), 1, 'readings');
      await seeText(tess, 'All that was ticked is in the control');
      await tap(tess, byTest('take-it'));
      await tess.waitForSelector(byTest('cabinet-card'));
      expectSame(
        await codeNow(tess),
        lost.find((code) => !keyed.some((one) => one.code === code)),
        'goes on',
      );
      await allSaved(tess);
      const notes = await query(
        server.databaseUrl,
        `select p.login, json_array_length((body->'lost')::json) as lost from entry e join person p on p.id = e.author_id where job_id = '${id}' and body->>'kind' = 'readBack' order by sequence`,
      );
      expectSame(
        notes,
        [
          { login: 'lena', lost: lost.length },
          { login: 'tess', lost: 0 },
        ],
        'readings in the record',
      );
    }),
};
