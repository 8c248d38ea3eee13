import { allSaved, byTest, click, fill, seeText } from './support/acts.ts';
import { newPage } from './support/browser.ts';
import { onStage } from './support/stage.ts';
import { expectSame, type EndToEndTest } from './support/suite.ts';

/** A new company looks at the demo and changes something there: nothing of it is found in its own. */
export const besideTheDemo: EndToEndTest = {
  name: 'an empty company looks around in the demo company, which is kept apart: in its database, its session and on the device',
  run: () =>
    onStage(
      async ({ server, browser }) => {
        const link = /http:\S+\/link\/\S+/.exec(server.output())![0];
        const page = await newPage(browser);
        const ask = (path: string) =>
          page.evaluate(async (at) => {
            const answer = await fetch(at);
            return { status: answer.status, json: (await answer.json()) as Record<string, unknown> };
          }, path);
        await page.goto(link, { waitUntil: 'networkidle0' });
        // Nobody enters the demo without being of the company.
        expectSame((await ask('/demo/api/me')).status, 401, 'a stranger in the demo');
        await fill(page, 'input[name="login"]', 'olga');
        await fill(page, 'input[name="name"]', 'Olga Brack');
        await fill(page, 'input[name="password"]', 'a long password');
        await fill(page, 'input[name="again"]', 'a long password');
        await click(page, byTest('take-link'));
        await click(page, byTest('look-around'));
        await page.waitForFunction(() => location.pathname === '/demo/today');
        await page.waitForSelector('[data-today]');
        await seeText(page, 'kept apart from yours');
        await seeText(page, 'Lena');

        // Something is done there: a job is opened, an entry written and sent.
        const job = await page.$eval('[data-today]', (node) => node.getAttribute('data-today')!);
        await page.goto(`${server.base}/demo/jobs/${job}/survey`, { waitUntil: 'networkidle0' });
        await fill(page, '#question-complaint-field', 'Tried in the demo');
        await allSaved(page);
        const entries = async (mount: string) => await ask(`${mount}/api/jobs/${job}/entries`);
        expectSame(
          JSON.stringify((await entries('/demo')).json).includes('Tried in the demo'),
          true,
          'the entry in the demo',
        );

        // Back: one's own company is as empty as before, with its own person and its own things on the device.
        await Promise.all([
          page.waitForNavigation({ waitUntil: 'networkidle0' }),
          click(page, `${byTest('demo-bar')} a`),
        ]);
        await seeText(page, 'Three steps to the first job');
        await seeText(page, 'Olga Brack');
        expectSame((await entries('')).status, 404, 'the job in one’s own company');
        expectSame((await ask('/api/jobs')).json['total'], 0, 'jobs of one’s own');
        expectSame(
          (await ask('/api/controllers')).json['controllers'] as unknown,
          [],
          'controllers of one’s own',
        );
        const bases = await page.evaluate(async () =>
          (await indexedDB.databases()).map(({ name }) => name ?? ''),
        );
        expectSame(
          bases.some((name) => name.startsWith('demo:')) && bases.some((name) => !name.startsWith('demo:')),
          true,
          `databases on the device: ${bases.join(', ')}`,
        );
        // Signing out of one does not sign out of the other.
        await page.evaluate(() =>
          fetch('/demo/api/sign-out', {
            method: 'POST',
            headers: { 'content-type': 'application/json' },
            body: '{}',
          }),
        );
        expectSame((await ask('/demo/api/me')).status, 401, 'signed out of the demo');
        expectSame((await ask('/api/me')).status, 200, 'signed in to one’s own');
      },
      { demo: false },
    ),
};
