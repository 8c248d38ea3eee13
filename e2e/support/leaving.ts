import type { Page } from 'puppeteer-core';
import { fill } from './acts.ts';

/** Says why each kind of open item stays open at a hand-over. Typing only: nothing is tapped. */
export async function sayWhyOpen(page: Page, why = 'Comes with the next visit'): Promise<readonly string[]> {
  await page.waitForSelector('[data-test="open-items"]');
  const kinds = await page.$$eval('[data-open]', (rows) =>
    rows.map((row) => (row as HTMLElement).dataset['open']!),
  );
  for (const kind of kinds) await fill(page, `[data-test="why-${kind}"]`, why);
  return kinds;
}
