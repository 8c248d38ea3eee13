import { launch, newPage } from './support/browser.ts';
import { allSaved, byTest, click, fill, seeText, signIn } from './support/acts.ts';
import { query } from './support/database.ts';
import { startServer } from './support/server.ts';
import { openJobOn, PASSWORD } from './support/steps.ts';
import { expectSame, type EndToEndTest } from './support/suite.ts';

/** Entries at the edge of what can be stored, and beyond. */
export const keptEntries: EndToEndTest = {
  name: 'a note that ends in an emoji is stored whole; an entry that the server cannot store does not hold up the next one, and can be edited',
  async run() {
    const server = await startServer();
    const chromium = await launch();
    try {
      const page = await newPage(chromium.browser);
      await signIn(page, server.base, 'tess', PASSWORD);
      const id = await openJobOn(page, server.base, 'BK-2', 'Notes at the edge');
      const notes = async () =>
        (
          await query(
            server.databaseUrl,
            `select e.body->>'text' as text from entry e where e.job_id = '${id}' and e.body->>'kind' = 'note' order by sequence`,
          )
        ).map((row) => row['text']);
      const addNote = async (text: string) => {
        await page.$eval(
          byTest('note'),
          (field, typed) => {
            (field as HTMLTextAreaElement).value = typed;
            field.dispatchEvent(new Event('input', { bubbles: true }));
          },
          text,
        );
        await click(page, byTest('add-note'));
        // On the list: until it stands there the form may still move under the pointer.
        await page.waitForFunction(
          (start) =>
            [...document.querySelectorAll('section[aria-label="Notes"] li')].some((line) =>
              line.textContent?.startsWith(start),
            ),
          {},
          text.slice(0, 20),
        );
      };

      // 2,000 characters as a person counts them, the last an emoji of two units.
      const whole = `${'a'.repeat(1999)}😀`;
      await addNote(whole);
      await allSaved(page);
      expectSame(await notes(), [whole], 'the note is whole');
      // One more than a note holds: cut before the emoji, which stays in the field.
      await addNote(`${'b'.repeat(2000)}😀 and more`);
      await seeText(page, 'the rest is still in the field');
      await allSaved(page);
      expectSame(await notes(), [whole, 'b'.repeat(2000)], 'cut at a whole character');
      await click(page, byTest('add-note'));
      await allSaved(page);
      expectSame((await notes()).at(-1), '😀 and more', 'the rest as a second note');

      // The server stumbles over one entry; the next one arrives all the same.
      await page.setRequestInterception(true);
      page.on('request', (request) => {
        const poisoned =
          request.url().endsWith('/api/entries') && (request.postData() ?? '').includes('poison');
        if (!poisoned) return void request.continue();
        void request.respond({
          status: 500,
          contentType: 'application/json',
          body: JSON.stringify({
            error: { code: 'internal', message: 'Something went wrong on the server', problems: [] },
          }),
        });
      });
      await addNote('poison');
      await addNote('after it');
      for (let tries = 0; (await notes()).at(-1) !== 'after it'; tries += 1) {
        if (tries > 100) throw new Error(`held up: ${JSON.stringify(await notes())}`);
        await new Promise((done) => setTimeout(done, 100));
      }
      await click(page, byTest('save-state'));
      // Tried three rounds, then put aside with the sentence.
      for (let round = 0; round < 3; round += 1) {
        await page.evaluate(() => dispatchEvent(new Event('online')));
        await new Promise((done) => setTimeout(done, 400));
      }
      await seeText(page, 'Refused: Something went wrong on the server');
      await click(page, byTest('edit'));
      await fill(page, byTest('edit-text'), 'mended');
      await click(page, byTest('send-edited'));
      await seeText(page, 'Nothing waits');
      expectSame((await notes()).slice(-2), ['after it', 'mended'], 'the edited one arrives');
    } finally {
      await chromium.close();
      await server.stop();
    }
  },
};
