import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import type { Page } from 'puppeteer-core';

const require = createRequire(import.meta.url);
const source = readFileSync(require.resolve('axe-core/axe.min.js'), 'utf8');

/** What is read of axe-core's answer. */
interface AxeResult {
  readonly violations: readonly {
    readonly id: string;
    readonly nodes: readonly { readonly html: string }[];
  }[];
}

const WCAG = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'];

/** What a page breaks of WCAG 2.2 AA that axe-core can see, in both themes. The theme changes colours alone: the other rules are asked once, on paper. */
export async function brokenRules(page: Page): Promise<readonly string[]> {
  await page.evaluate(source);
  const broken: string[] = [];
  for (const [theme, rules] of [
    ['box', ['color-contrast']],
    ['paper', WCAG],
  ] as const)
    broken.push(...(await inTheme(page, theme, rules)).map((problem) => `${theme}: ${problem}`));
  return broken;
}

const inTheme = (page: Page, theme: string, rules: readonly string[]) =>
  page.evaluate(
    async (name, runOnly) => {
      document.documentElement.setAttribute('data-theme', name);
      // Colours that fade over are looked at once they are there.
      await Promise.all(document.getAnimations().map((animation) => animation.finished.catch(() => null)));
      const { axe: tool } = window as unknown as {
        axe: { run(where: Document, how: object): Promise<AxeResult> };
      };
      const { violations } = await tool.run(document, { runOnly });
      return violations.map(
        ({ id, nodes }) =>
          `${id}: ${nodes
            .map(({ html }) => html.slice(0, 160))
            .slice(0, 3)
            .join(' | ')}`,
      );
    },
    theme,
    [...rules],
  );
