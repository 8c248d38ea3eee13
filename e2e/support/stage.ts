import type { Browser } from 'puppeteer-core';
import { launch } from './browser.ts';
import { startServer, type TestServer } from './server.ts';

/** What most tests play on: a server with a database of its own, and a browser. */
export interface Stage {
  readonly server: TestServer;
  readonly browser: Browser;
}

const PAGE_TEXT = 1500;
const ANSWER_MS = 5000;

/** What each open page shows when a play fails: its address, its focus, its text. A page that does not answer is told. */
async function whatPagesShow(browser: Browser): Promise<string> {
  const pages = (await Promise.all(browser.browserContexts().map((context) => context.pages()))).flat();
  const told = pages.map((page) =>
    Promise.race([
      page.evaluate(
        (length) =>
          `  focus: ${document.activeElement?.outerHTML.slice(0, 200) ?? 'none'}\n  scrolled by ${scrollY} of ${document.documentElement.scrollHeight}\n  ${document.body.innerText.slice(0, length).replaceAll('\n', '\n  ')}`,
        PAGE_TEXT,
      ),
      new Promise<string>((resolve) => setTimeout(() => resolve('  does not answer'), ANSWER_MS)),
    ])
      .catch((error: unknown) => `  ${(error as Error).message}`)
      .then((text) => `— ${page.url()}\n${text}`),
  );
  return (await Promise.all(told)).join('\n');
}

/** Sets a stage, plays on it, and clears it away however the play ends. */
export async function onStage(
  play: (stage: Stage) => Promise<void>,
  options: { readonly demo?: boolean; readonly web?: string } = {},
): Promise<void> {
  const server = await startServer(options);
  try {
    const { browser, close } = await launch();
    try {
      await play({ server, browser });
    } catch (error) {
      const failed = error as Error;
      failed.stack = `${failed.stack}\n${await whatPagesShow(browser)}`;
      throw failed;
    } finally {
      await close();
    }
  } finally {
    await server.stop();
  }
}
