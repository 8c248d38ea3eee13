import { fileURLToPath } from 'node:url';
import type { ElementHandle } from 'puppeteer-core';
import { allSaved, byTest, click, demoJob, seeText, signIn } from './support/acts.ts';
import { newPage } from './support/browser.ts';
import { onStage } from './support/stage.ts';
import { PASSWORD } from './support/steps.ts';
import { expectSame, type EndToEndTest } from './support/suite.ts';

const logFile = fileURLToPath(new URL('../demo/logs/fish-store.csv', import.meta.url));

/** A logger's file is read and kept while the server is away. */
export const logAway: EndToEndTest = {
  name: 'a logger’s file kept while the server is away stays on the device, opens from it, and reaches the server once that answers',
  run: () =>
    onStage(async ({ server, browser }) => {
      const page = await newPage(browser);
      await signIn(page, server.base, 'tess', PASSWORD);
      const id = await demoJob(page, 'fish store');
      await page.goto(`${server.base}/jobs/${id}/prove/log`, { waitUntil: 'networkidle0' });
      const input = (await page.waitForSelector(byTest('log-file'))) as ElementHandle<HTMLInputElement>;
      await input.uploadFile(logFile);
      await click(page, byTest('read-log'));
      await page.waitForSelector(byTest('keep-log'));

      await server.kill();
      await click(page, byTest('keep-log'));
      await page.waitForSelector(byTest('log-waits'));
      await seeText(page, 'still on this device only');
      await click(page, `${byTest('kept-logs')} button`);
      await page.waitForSelector(byTest('log-figures'));

      await server.start();
      await page.waitForSelector(byTest('log-kept'));
      await allSaved(page);
      const logs = await page.evaluate(
        async (job) =>
          ((await (await fetch(`/api/jobs/${job}/logs`)).json()) as { logs: { name: string }[] }).logs.map(
            (log) => log.name,
          ),
        id,
      );
      expectSame(logs, ['fish-store.csv'], 'the logs on the server');
    }),
};
