import type { Browser } from 'puppeteer-core';
import { launch } from './browser.ts';
import { startServer, type TestServer } from './server.ts';

/** What most tests play on: a server with a database of its own, and a browser. */
export interface Stage {
  readonly server: TestServer;
  readonly browser: Browser;
}

/** Sets a stage, plays on it, and clears it away however the play ends. */
export async function onStage(
  play: (stage: Stage) => Promise<void>,
  options: { readonly demo?: boolean } = {},
): Promise<void> {
  const server = await startServer(options);
  try {
    const { browser, close } = await launch();
    try {
      await play({ server, browser });
    } finally {
      await close();
    }
  } finally {
    await server.stop();
  }
}
