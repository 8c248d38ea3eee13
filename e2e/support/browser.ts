import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import puppeteer, { type Browser, type BrowserContext, type Page } from 'puppeteer-core';

const program = process.env['BRINE_CHROMIUM'];

/** Starts Chromium as bin/test found it, with a profile of its own, and with a film in place of its camera where one is given. Fails loudly where there is none. */
export async function launch(
  profile?: string,
  film?: string,
): Promise<{ readonly browser: Browser; close(): Promise<void> }> {
  if (!program) throw new Error('BRINE_CHROMIUM is not set: run bin/test, which installs Chromium');
  const folder = profile ?? mkdtempSync(join(tmpdir(), 'brine-chromium-'));
  const browser = await puppeteer.launch({
    executablePath: program,
    // The shell of Debian's Chromium draws the same pages for half of the work.
    headless: program.endsWith('headless-shell') ? 'shell' : true,
    pipe: true,
    userDataDir: folder,
    args: [
      '--no-sandbox',
      '--disable-gpu',
      '--disable-quic',
      '--no-first-run',
      '--disable-background-networking',
      '--disable-component-update',
      '--disable-sync',
      '--disable-dev-shm-usage',
      ...(film === undefined
        ? []
        : [
            '--use-fake-ui-for-media-stream',
            '--use-fake-device-for-media-stream',
            `--use-file-for-fake-video-capture=${film}`,
          ]),
    ],
  });
  return {
    browser,
    async close() {
      await browser.close();
      if (profile === undefined) rmSync(folder, { recursive: true, force: true });
    },
  };
}

/**
 * A page of desk size or, by touch, of a phone. Errors of the page are kept for the test to look at. Unless a test asks for it, requests go past the
 * service worker: of one that is cut off by going to another page the driver is told nothing, and waits for it for ever.
 */
export async function newPage(
  from: Browser | BrowserContext,
  size: 'desk' | 'phone' = 'desk',
  { serviceWorker = false }: { readonly serviceWorker?: boolean } = {},
): Promise<Page> {
  const page = await from.newPage();
  await page.setBypassServiceWorker(!serviceWorker);
  await page.setViewport(
    size === 'desk'
      ? { width: 1280, height: 800 }
      : { width: 390, height: 800, hasTouch: true, isMobile: true, deviceScaleFactor: 1 },
  );
  // Only a page that hangs should meet it, on a machine that may be several times slower.
  page.setDefaultTimeout(60_000);
  // “Leave the page?”: a test goes where it goes.
  page.on(
    'dialog',
    (dialog) => void (dialog.type() === 'beforeunload' && dialog.accept().catch(() => undefined)),
  );
  page.on('pageerror', (error) => process.stderr.write(`page error: ${(error as Error).message}\n`));
  return page;
}
