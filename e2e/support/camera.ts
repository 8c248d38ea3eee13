import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Page } from 'puppeteer-core';
import { signIn } from './acts.ts';
import { launch, newPage } from './browser.ts';
import type { Stage } from './stage.ts';
import { PASSWORD } from './steps.ts';

/** So much of a page is told when a play fails. */
const SHOWN = 1500;

/** What a phone with a film in place of its camera does on a page of a job. */
export async function withCamera(
  { server }: Stage,
  path: string,
  job: string,
  place: string,
  play: (phone: Page) => Promise<void>,
): Promise<void> {
  const { browser, close } = await launch(undefined, path);
  const phone = await newPage(browser, 'phone');
  try {
    await signIn(phone, server.base, 'tess', PASSWORD);
    await phone.goto(`${server.base}/jobs/${job}/${place}`, { waitUntil: 'networkidle0' });
    await play(phone);
  } catch (error) {
    const failed = error as Error;
    const text = await phone
      .evaluate((length) => document.body.innerText.slice(0, length), SHOWN)
      .catch(() => '');
    failed.stack = `${failed.stack}\n— the phone shows\n${text}`;
    throw failed;
  } finally {
    await close();
  }
}

/** A folder for films, gone afterwards. */
export const inFolder = async (play: (folder: string) => Promise<void>) => {
  const folder = mkdtempSync(join(tmpdir(), 'brine-watch-'));
  try {
    await play(folder);
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
};
