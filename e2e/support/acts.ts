import type { ElementHandle, Page } from 'puppeteer-core';

/** The element a test names by `data-test`. */
export const byTest = (name: string) => `[data-test="${name}"]`;

/** Waits for text to stand on the page. */
export async function seeText(page: Page, text: string, timeout = 60_000): Promise<void> {
  try {
    await page.waitForFunction((wanted) => document.body.innerText.includes(wanted), { timeout }, text);
  } catch {
    const body = await page.evaluate(() => document.body.innerText);
    throw new Error(`“${text}” does not stand on ${page.url()}; the page says:\n${body.slice(0, 2500)}`);
  }
}

/** How often a moving element is looked at: longer than a frame of a busy machine. */
const LOOK_MS = 60;
const STILL_LOOKS = 100;
/** A page that draws anew may put another element in the place of the one found. */
const FINDS = 3;

/**
 * Brings an element into view and waits until it stands still and nothing lies over it, as a person's eye does. Without it a press
 * lands where the element was before the page above it grew. False: it never comes to rest, or it is gone.
 */
const atRest = (element: ElementHandle<Element>): Promise<boolean> =>
  element.evaluate(
    async (node, every, looks) => {
      let before = '';
      for (let look = 0; look < looks && node.isConnected; look += 1) {
        node.scrollIntoView({ block: 'center', behavior: 'instant' });
        const { x, y, width, height } = node.getBoundingClientRect();
        const top = document.elementFromPoint(x + width / 2, y + height / 2);
        const now = [x, y, width, height].join(' ');
        const uncovered = top !== null && (node.contains(top) || top.contains(node));
        if (now === before && uncovered) return true;
        before = now;
        await new Promise((resolve) => setTimeout(resolve, every));
      }
      return false;
    },
    LOOK_MS,
    STILL_LOOKS,
  );

/** The element found, once it is at rest. */
async function restingOne(
  what: string,
  find: () => Promise<ElementHandle<Element>>,
): Promise<ElementHandle<Element>> {
  for (let i = 0; i < FINDS; i += 1) {
    const element = await find();
    if (await atRest(element)) return element;
  }
  throw new Error(`${what} does not come to rest, or something lies over it`);
}

const visible = async (page: Page, selector: string) =>
  (await page.waitForSelector(selector, { visible: true })) as ElementHandle<Element>;

/** Clicks what is there and can be clicked; waits for it. */
export async function click(page: Page, selector: string): Promise<void> {
  await (await restingOne(selector, () => visible(page, selector))).click();
}

/** Taps, on a page with touch. */
export async function tap(page: Page, selector: string): Promise<void> {
  await (await restingOne(selector, () => visible(page, selector))).tap();
}

/** Clicks the first element whose text holds the words, among those a selector finds. */
export async function clickText(page: Page, selector: string, words: string): Promise<void> {
  const find = async () => {
    const found = await page.waitForFunction(
      (at, wanted) => [...document.querySelectorAll(at)].find((node) => node.textContent?.includes(wanted)),
      {},
      selector,
      words,
    );
    return found.asElement() as ElementHandle<Element>;
  };
  await (await restingOne(`${selector} with “${words}”`, find)).click();
}

/** Replaces what stands in a field and leaves it, where it is not to stay in it; waits until it may be typed in. */
export async function fill(page: Page, selector: string, text: string, leave = true): Promise<void> {
  await page.waitForFunction(
    (at) => {
      const field = document.querySelector(at);
      return field !== null && !field.matches(':disabled');
    },
    {},
    selector,
  );
  const element = (await page.waitForSelector(selector, {
    visible: true,
  })) as ElementHandle<HTMLInputElement>;
  await element.evaluate((node) => {
    node.scrollIntoView({ block: 'center' });
    node.select?.();
  });
  await element.focus();
  await page.keyboard.down('Control');
  await page.keyboard.press('KeyA');
  await page.keyboard.up('Control');
  await page.keyboard.press('Backspace');
  await element.type(text);
  if (leave) await element.evaluate((node) => node.blur());
}

/** Chooses an option by its text. */
export async function choose(page: Page, selector: string, text: string): Promise<void> {
  await page.waitForFunction(
    (at, wanted) =>
      [...(document.querySelector<HTMLSelectElement>(at)?.options ?? [])].some((o) =>
        o.text.includes(wanted),
      ),
    {},
    selector,
    text,
  );
  const value = await page.$eval(
    selector,
    (node, wanted) => [...(node as HTMLSelectElement).options].find((o) => o.text.includes(wanted))!.value,
    text,
  );
  await page.select(selector, value);
}

/** Finds one of many in a field that looks for what is typed, and chooses the first whose line holds the text. */
export async function findOne(page: Page, selector: string, text: string): Promise<void> {
  // The list is gone once one of it is chosen.
  const chosen = () =>
    page
      .waitForFunction(
        (at, wanted) =>
          document.querySelector('[role="option"]') === null &&
          document.querySelector<HTMLInputElement>(at)?.value.includes(wanted),
        { timeout: 5000 },
        selector,
        text,
      )
      .then(() => true)
      .catch(() => false);
  for (let i = 0; i < FINDS; i += 1) {
    await fill(page, selector, text, false);
    await clickText(page, '[role="option"]', text);
    // A later answer may have put other lines under the mouse.
    if (await chosen()) return;
  }
  throw new Error(`${text} was not chosen in ${selector}`);
}

/** Waits until nothing waits to be sent. */
export async function allSaved(page: Page): Promise<void> {
  await page.waitForFunction(
    (at) => {
      const state = document.querySelector(at)?.textContent ?? '';
      return state.includes('All saved');
    },
    {},
    byTest('save-state'),
  );
}

/** Signs in through the form. */
export async function signIn(page: Page, base: string, login: string, password: string): Promise<void> {
  await page.goto(`${base}/sign-in`, { waitUntil: 'networkidle0' });
  await fill(page, 'input[name="login"]', login);
  await fill(page, 'input[name="password"]', password);
  await click(page, byTest('sign-in'));
  await page.waitForSelector(byTest('person-menu'));
}

/** What a person reads in an element. */
export async function textOf(page: Page, selector: string): Promise<string> {
  await page.waitForSelector(selector);
  return page.$eval(selector, (node) => (node as HTMLElement).innerText);
}

/** What the server answers the page that asks: with a body it is told something, else asked. */
export const askServer = <Answer>(page: Page, path: string, body?: object): Promise<Answer> =>
  page.evaluate(
    async (to, sent) =>
      (
        await fetch(to, {
          ...(sent !== null && { method: 'POST', body: sent }),
          headers: { 'content-type': 'application/json' },
        })
      ).json(),
    `/api/${path}`,
    body ? JSON.stringify(body) : null,
  );

/** The id of the one demo job whose title holds the words. */
export async function demoJob(page: Page, words: string): Promise<string> {
  const { jobs } = await askServer<{ jobs: { id: string }[] }>(
    page,
    `jobs?search=${encodeURIComponent(words)}`,
  );
  if (jobs.length !== 1) throw new Error(`“${words}” finds ${jobs.length} jobs, not one`);
  return jobs[0]!.id;
}
