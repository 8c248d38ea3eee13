import type { Page } from 'puppeteer-core';
import { allSaved, byTest, choose, fill, seeText, tap, textOf } from './support/acts.ts';
import { phoneOnOwnFreezer } from './support/cabinet.ts';
import { query } from './support/database.ts';
import { onStage } from './support/stage.ts';
import { expectHolds, expectSame, type EndToEndTest } from './support/suite.ts';

const row = (i: number, what: string) => `[data-instrument="${i}"] ${byTest(what)}`;

/** Types what each of three instruments reads, °F. */
async function reads(page: Page, ...values: readonly string[]): Promise<void> {
  for (const [i, value] of values.entries()) await fill(page, row(i, 'reads'), value);
}

export const threeThermometers: EndToEndTest = {
  name: 'three thermometers disagree by touch: none is believed from a box that moves, the one that is wrong is named with its odds, and ice water decides where that would be a guess',
  run: () =>
    onStage(async (stage) => {
      const { server } = stage;
      const { phone, id } = await phoneOnOwnFreezer(stage, 'prove/probes');
      await tap(phone, byTest('add-instrument'));
      await choose(phone, row(2, 'kind'), 'The logger');
      await choose(phone, row(2, 'place'), 'return air');

      // Plan of this freezer: −9 to −3 °F. A display at 20 °F is of a box on its way.
      await reads(phone, '20', '12', '15');
      await phone.waitForSelector(byTest('not-yet'));
      expectHolds(await textOf(phone, byTest('not-yet')), 'until the display has cut out once', 'how long');
      expectSame(await phone.$(byTest('verdict')), null, 'a verdict from a box that moves');

      // Out of the pocket a minute ago.
      await reads(phone, '-6', '-6', '-6.5');
      await fill(phone, row(1, 'minutes'), '1');
      await phone.waitForFunction(
        (at) => document.querySelector(at)?.textContent?.includes('still shows where it was'),
        {},
        byTest('not-yet'),
      );
      await fill(phone, row(1, 'minutes'), '');
      await phone.waitForFunction(
        (at) => document.querySelector(at)?.textContent?.includes('can be true at once'),
        {},
        byTest('verdict'),
      );

      // Two agree, and the display is nine degrees off: that needs no check. Who learns guesses first.
      await tap(phone, byTest('guess-first'));
      await reads(phone, '-6', '3', '3.5');
      await tap(phone, byTest('guess-nobody'));
      await phone.waitForFunction(
        (at) => document.querySelector(at)?.textContent?.includes('The display is wrong'),
        {},
        byTest('verdict'),
      );
      await seeText(phone, 'You said otherwise');

      // One against one: a check is named, and what it finds decides.
      await reads(phone, '-6', '-1', '');
      await tap(phone, byTest('do-check'));
      expectHolds(await textOf(phone, byTest('verdict')), 'too little to say so', 'before the check');
      const of = await phone.$eval(byTest('check-reads'), (node) => node.closest('label')?.textContent ?? '');
      expectHolds(of, 'in ice water', 'the check');
      await fill(phone, byTest('check-reads'), '37');
      const wrong = of.includes('display') ? 'The display is wrong' : 'The thermometer is wrong';
      await phone.waitForFunction(
        (at, words) => document.querySelector(at)?.textContent?.includes(words),
        {},
        byTest('verdict'),
        wrong,
      );
      await tap(phone, byTest('keep-comparison'));
      await allSaved(phone);
      const notes = await query(
        server.databaseUrl,
        `select body->>'text' as text from entry where job_id = '${id}' and body->>'kind' = 'note'`,
      );
      expectSame(notes.length, 1, 'kept in the record');
      expectHolds(String(notes[0]!['text']), wrong, 'what was kept');
    }),
};
